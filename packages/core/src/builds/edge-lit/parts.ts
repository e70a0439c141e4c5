import { memberMm3, type Member } from '../../joinery/members/index.js';
import { outlineArea, rectRing, type Outline, type Point, type Rect } from '../../base/outlines/index.js';
import { capital } from '../../base/words/index.js';
import type { Brief } from '../../document/design/index.js';
import { plainBoard, type CutPart, type PartLayer, type PartShape } from '../../making/parts/index.js';
import { workedOf, type WorkedArea } from './areas.js';
import type { BaseGeometry } from './base-geometry.js';
import { closingIn, membersIn } from './geometry.js';
import type { WorkedFace } from '../common/worked-face.js';
import { faceRaster } from './fill/face-raster.js';
import { mostMarks } from './fill/hatch.js';
import { marksOf, type Marks } from './fill/marks.js';
import { isSheetSide } from './sheet-light.js';
import { looseOf, stencilOf } from './stencil.js';
import type { PanelFacts } from './results.js';

const round = (mm: number): string => `${Math.round(mm * 10) / 10}`;

const layer = (operation: PartLayer['operation'], shapes: readonly PartShape[]): readonly PartLayer[] =>
  shapes.length > 0 ? [{ operation, shapes }] : [];

const cutOut = (outline: Outline): PartLayer => ({ operation: 'cut', shapes: [{ kind: 'outline', outline }] });

const rectOutline = (widthMm: number, heightMm: number): Outline => [
  rectRing({ x: 0, y: 0, width: widthMm, height: heightMm }),
];

/** As it lies on the machine: from the sheet’s lower left corner, turned over where it is worked from behind. */
const onMachine = (sheet: Rect, mirrored: boolean) => {
  const point = ([x, y]: Point): Point => [mirrored ? sheet.x + sheet.width - x : x - sheet.x, y - sheet.y];
  return {
    point,
    outline: (outline: Outline): Outline => {
      const moved = outline.map((ring) => ring.map(point));
      return mirrored ? moved.map((ring) => [...ring].reverse()) : moved;
    },
  };
};

/** The most lines or dots that go into the drawing of a part: more is for the file of the machine alone. */
const mostDrawn = 4000;

/** What is worked of an area, as shapes of a drawing; its outline where they are more than `most`. */
const workedShapes = (area: WorkedArea, sheet: Rect, mirrored: boolean, most = mostDrawn): readonly PartShape[] => {
  const { outline: worked } = area.lettering;
  if (worked.length === 0) return [];
  const { point, outline } = onMachine(sheet, mirrored);
  const marks = marksOf(area, sheet);
  const whole: PartShape = { kind: 'outline', outline: outline(worked) };
  switch (marks.kind) {
    case 'area':
    case 'too-many':
      return [whole];
    case 'lines':
      return marks.strokes.length > most
        ? [whole]
        : marks.strokes.map(([from, to]): PartShape => ({ kind: 'line', from: point(from), to: point(to) }));
    case 'dots':
      return marks.dots.length > most
        ? [whole]
        : marks.dots.map((dot): PartShape => {
            const [x, y] = point(dot);
            return { kind: 'hole', x, y, diameterMm: marks.diameterMm };
          });
  }
};

const methodWords = {
  beam: 'engraved by laser',
  bit: 'engraved by bit',
  hand: 'engraved by hand',
  blasted: 'blasted through a stencil',
  sanded: 'sanded through a stencil',
} as const;

const workedNote = ({ artwork, engraving, onBack }: WorkedArea): string =>
  `${methodWords[engraving.method]} ${round(artwork.depthMm)} mm deep on the ${onBack ? 'back: drawn mirrored, its back up' : 'front'}`;

/** The clear sheet with what is worked into it, as it lies with the artwork’s own face up; the other face’s areas are marked alone. */
const sheetPart = ({ geometry, materials, areas }: PanelFacts): CutPart => {
  const { sheet, ring } = geometry;
  const { pane } = materials;
  const worked = workedOf(areas);
  const up = (worked[0] ?? areas[0]!).onBack;
  const { outline } = onMachine(sheet, up);
  const shapes = (onBack: boolean): readonly PartShape[] =>
    worked.filter((area) => area.onBack === onBack).flatMap((area) => workedShapes(area, sheet, up));
  return {
    id: 'sheet',
    name: 'Sheet',
    materialId: pane.id,
    materialName: pane.name,
    stock: 'face',
    widthMm: sheet.width,
    heightMm: sheet.height,
    thicknessMm: pane.thicknessMm,
    count: 1,
    kg: (Math.abs(outlineArea([ring])) * pane.thicknessMm * pane.densityKgM3) / 1e9,
    note: [
      ...new Set((worked.length > 0 ? worked : areas.slice(0, 1)).map(workedNote)),
      'lit edges polished before its film comes off',
    ].join('; '),
    layers: [cutOut(outline([ring])), ...layer('engrave', shapes(up)), ...layer('mark', shapes(!up))],
  };
};

/** Where the lead leaves a base, in the drawing of the block seen from above: through an end, or the rear. */
const exitShape = (base: BaseGeometry, exit: Brief['leadExit']): readonly PartShape[] => {
  const { lengthMm, depthMm, exit: hole } = base;
  const [x, y] = exit === 'left' ? [0, depthMm / 2] : exit === 'right' ? [lengthMm, depthMm / 2] : [lengthMm / 2, 0];
  return exit === 'bottom'
    ? []
    : [{ kind: 'line', from: [x - hole.diameterMm / 2, y], to: [x + hole.diameterMm / 2, y] }];
};

/** A block of wood with slot and cavity, drawn from above, its front edge up. */
const woodenBase = ({ materials, brief }: PanelFacts, base: BaseGeometry): readonly CutPart[] => {
  const { lengthMm, depthMm, heightMm, slot, cavity, closing, exit, pocket } = base;
  const { board } = materials;
  const centred = (width: number, height: number): PartShape => ({
    kind: 'outline',
    outline: [rectRing({ x: (lengthMm - width) / 2, y: (depthMm - height) / 2, width, height })],
  });
  const member: Member = {
    name: 'Base',
    runs: 'between',
    lengthMm,
    widthMm: depthMm,
    thicknessMm: heightMm,
    joint: 'butt',
    ends: 'square',
    seats: [
      {
        kind: 'groove',
        holds: 'sheet',
        fromFrontMm: (depthMm - slot.widthMm) / 2,
        widthMm: slot.widthMm,
        depthMm: slot.deepMm,
        // A base that is longer than its sheet shows no slot beside it.
        stopMm: Math.max(0, (lengthMm - slot.lengthMm) / 2 - 0.5),
        sheetMm: materials.pane.thicknessMm,
      },
    ],
    endRabbetMm: 0,
    fasteners: [],
  };
  const volume =
    lengthMm * depthMm * heightMm -
    slot.widthMm * slot.deepMm * (slot.lengthMm + 1) -
    cavity.lengthMm * cavity.widthMm * cavity.highMm -
    pocket.lengthMm * Math.max(0, pocket.widthMm - cavity.widthMm) * cavity.highMm -
    closing.widthMm * closing.heightMm * closing.thicknessMm;
  return [
    {
      id: 'base',
      name: 'Base',
      materialId: board.id,
      materialName: board.name,
      stock: 'board',
      widthMm: lengthMm,
      heightMm: depthMm,
      thicknessMm: heightMm,
      count: 1,
      kg: (Math.max(0, volume) * board.densityKgM3) / 1e9,
      note: [
        `slot ${round(slot.widthMm)} × ${round(slot.deepMm)} mm from above`,
        `cavity ${round(cavity.lengthMm)} × ${round(cavity.widthMm)} mm from below, ${round(cavity.highMm + closing.thicknessMm)} mm deep`,
        `rebate for the lid ${round(closing.widthMm)} × ${round(closing.heightMm)} mm, ${round(closing.thicknessMm)} mm deep`,
        brief.leadExit === 'bottom'
          ? 'the lead goes through the lid'
          : `hole ${round(exit.diameterMm)} mm, its middle ${round(exit.upMm)} mm above the underside`,
        ...(exit.bay !== null && brief.leadExit !== 'bottom'
          ? [
              `bay for the jack ${round(exit.bay.widthMm)} mm wide from below, ${round(exit.bay.wallMm)} mm of wall left`,
            ]
          : []),
        ...(pocket.lengthMm > 0
          ? [`pocket ${round(pocket.lengthMm)} × ${round(pocket.widthMm)} mm over the left end of the cavity, as deep`]
          : []),
      ].join('; '),
      member,
      layers: [
        cutOut(rectOutline(lengthMm, depthMm)),
        ...layer('seat', [
          centred(slot.lengthMm + 1, slot.widthMm),
          centred(cavity.lengthMm, cavity.widthMm),
          centred(closing.widthMm, closing.heightMm),
          ...(pocket.lengthMm > 0
            ? [
                {
                  kind: 'outline' as const,
                  outline: [
                    rectRing({
                      x: (lengthMm - cavity.lengthMm) / 2,
                      y: (depthMm - pocket.widthMm) / 2,
                      width: pocket.lengthMm,
                      height: pocket.widthMm,
                    }),
                  ],
                },
              ]
            : []),
        ]),
        ...layer('mark', exitShape(base, brief.leadExit)),
      ],
    },
  ];
};

/** The lid with its screws and feet, and the batten on it. */
const lidParts = ({ materials, brief }: PanelFacts, base: BaseGeometry): readonly CutPart[] => {
  const { closing, battenMm, cavity } = base;
  const lid = materials.closing;
  if (lid === null) return [];
  const { widthMm, heightMm } = closing;
  const inset = 4;
  const screws = [-1, 1].flatMap((side) =>
    [inset, heightMm - inset].map((y): PartShape => ({
      kind: 'hole',
      x: widthMm / 2 + side * (widthMm / 2 - inset),
      y,
      diameterMm: 3,
    })),
  );
  const lead: readonly PartShape[] =
    brief.leadExit === 'bottom'
      ? [{ kind: 'hole', x: widthMm / 2, y: heightMm / 2, diameterMm: base.exit.diameterMm }]
      : [];
  const plain = plainBoard(
    lid,
    'lid',
    'Lid',
    widthMm,
    heightMm,
    'let in from below, four screws; comes off for the strip',
  );
  const battenWide = Math.min(materials.strip.widthMm + 1, cavity.widthMm - 1);
  return [
    { ...plain, layers: [...plain.layers, { operation: 'drill', shapes: [...screws, ...lead] }] },
    ...(battenMm > 0.5
      ? [
          plainBoard(
            materials.board,
            'batten',
            'Batten under the strip',
            Math.max(20, cavity.lengthMm - 4),
            Math.max(3, battenWide),
            `planed to ${round(battenMm)} mm; glued to the lid, it holds the LEDs at their gap`,
          ),
        ]
      : []),
  ];
};

/** A member of a frame or case, drawn with its front edge up and its inner side toward the viewer. */
const memberPart = (member: Member, { materials, brief }: PanelFacts): CutPart => {
  const { board } = materials;
  const { lengthMm, widthMm, thicknessMm } = member;
  const seats = member.seats.map(({ fromFrontMm, widthMm: wide, stopMm }): PartShape => ({
    kind: 'outline',
    outline: [rectRing({ x: stopMm, y: widthMm - fromFrontMm - wide, width: lengthMm - 2 * stopMm, height: wide })],
  }));
  const lead: readonly PartShape[] =
    brief.leadExit === member.name || (brief.leadExit === 'back' && member.name === 'bottom')
      ? [
          {
            kind: 'hole',
            x: lengthMm / 2,
            y: widthMm - (member.seats[1]!.fromFrontMm + member.seats[1]!.widthMm / 2),
            diameterMm: 6,
          },
        ]
      : [];
  return {
    id: member.name,
    name: `${capital(member.name)} member`,
    materialId: board.id,
    materialName: board.name,
    stock: 'board',
    widthMm: lengthMm,
    heightMm: widthMm,
    thicknessMm,
    count: 1,
    kg: (memberMm3(member) * board.densityKgM3) / 1e9,
    note: [
      ...(member.ends === 'mitre' ? ['ends mitred 45°, long side given'] : []),
      ...member.seats.map(
        (seat) =>
          `${seat.kind} ${round(seat.widthMm)} × ${round(seat.depthMm)} mm for the ${seat.holds}, ${round(seat.fromFrontMm)} mm from the front edge`,
      ),
    ].join('; '),
    member,
    layers: [cutOut(rectOutline(lengthMm, widthMm)), ...layer('seat', seats), ...layer('drill', lead)],
  };
};

const closingPart = (results: PanelFacts): readonly CutPart[] => {
  const closing = closingIn(results.geometry);
  const board = results.materials.closing;
  if (closing === null || board === null || results.geometry.holder.kind === 'base') return [];
  return [
    plainBoard(
      board,
      'case-bottom',
      'Bottom',
      closing.widthMm,
      closing.heightMm,
      `screwed into its rabbet from below; opens for service${results.runs.segments.some(({ on }) => !isSheetSide(on)) ? '; a hole of 8 mm for the wires of the strip under it' : ''}`,
    ),
  ];
};

/** What is cut out of the film of an area: its outline with bridges, or its lines and dots. */
const weeded = (area: WorkedArea, sheet: Rect): readonly PartShape[] => {
  const { point, outline } = onMachine(sheet, area.onBack);
  const whole = stencilOf(area);
  if (whole === null) return [];
  const marks = marksOf(area, sheet);
  if (marks.kind !== 'lines' || marks.strokes.length > mostDrawn)
    return marks.kind === 'dots'
      ? workedShapes(area, sheet, area.onBack)
      : [{ kind: 'outline', outline: outline(whole) }];
  const half = marks.lineMm / 2;
  return marks.strokes.map(([from, to]): PartShape => {
    const [[x0, y], [x1]] = [point(from), point(to)];
    const x = Math.min(x0, x1);
    return { kind: 'outline', outline: [rectRing({ x, y: y - half, width: Math.abs(x1 - x0), height: 2 * half })] };
  });
};

/** The resist that is blasted or sanded through, one for each area that is: film with the artwork cut out of it, and its bridges. */
const stencilParts = ({ geometry: { sheet }, areas }: PanelFacts): readonly CutPart[] =>
  areas.flatMap((area): readonly CutPart[] => {
    const shapes = weeded(area, sheet);
    if (shapes.length === 0) return [];
    const loose = looseOf(area);
    const number = area.place === 0 ? '' : `${area.place + 1}`;
    return [
      {
        id: `stencil${number === '' ? '' : `-${number}`}`,
        name: `Stencil${number === '' ? '' : ` ${number}`}`,
        materialId: 'blast-resist',
        materialName: 'Stencil film',
        stock: 'film',
        widthMm: sheet.width,
        heightMm: sheet.height,
        thicknessMm: 0.2,
        count: 1,
        kg: 0,
        note: `the artwork is weeded, the ground stays on the sheet${loose > 0 ? `; ${loose} middles kept by bridges or transfer film` : ''}${area.onBack ? '; cut mirrored, for the back' : ''}`,
        layers: [{ operation: 'cut', shapes }],
        hangs: false,
      },
    ];
  });

/** What an edge-lit sheet is cut from. */
export const panelParts = (results: PanelFacts): readonly CutPart[] => {
  const { holder } = results.geometry;
  const printed = results.assembly.holder.kind === 'base' && results.assembly.holder.make === 'printed';
  return [
    sheetPart(results),
    ...(holder.kind === 'base' && !printed ? [...woodenBase(results, holder), ...lidParts(results, holder)] : []),
    ...membersIn(results.geometry).map((member) => memberPart(member, results)),
    ...closingPart(results),
    ...stencilParts(results),
  ];
};

/** Marks moved to where they lie on the machine. */
const moved = (marks: Marks, point: (at: Point) => Point): Marks => {
  if (marks.kind === 'lines')
    return { ...marks, strokes: marks.strokes.map(([from, to]) => [point(from), point(to)] as const) };
  return marks.kind === 'dots' ? { ...marks, dots: marks.dots.map(point) } : marks;
};

/**
 * What machines work, area by area: every line and dot of it in the drawing of the sheet, and as a picture where the tool goes over the
 * face. More marks than a drawing takes are in the picture alone.
 */
export const workedFacesOf = (results: PanelFacts): readonly WorkedFace[] => {
  const { sheet } = results.geometry;
  const part = sheetPart(results);
  return workedOf(results.areas).map((area): WorkedFace => {
    const marks = marksOf(area, sheet);
    const { dotsPerInch } = area.engraving;
    const { point, outline } = onMachine(sheet, area.onBack);
    const number = area.place === 0 ? '' : `${area.place + 1}`;
    return {
      part: {
        ...part,
        id: `engraving${number === '' ? '' : `-${number}`}`,
        name: `Engraving${number === '' ? '' : ` ${number}`}`,
        note: workedNote(area),
        layers: [
          cutOut(outline([results.geometry.ring])),
          ...layer('engrave', workedShapes(area, sheet, area.onBack, mostMarks)),
        ],
      },
      raster:
        dotsPerInch === undefined
          ? null
          : faceRaster(
              moved(marks, point),
              outline(area.lettering.outline),
              { x: 0, y: 0, width: sheet.width, height: sheet.height },
              dotsPerInch,
            ),
    };
  });
};
