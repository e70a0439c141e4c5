import { memberMm3, type Member } from '../../joinery/members/index.js';
import { rectRing, type Outline } from '../../base/outlines/index.js';
import { capital } from '../../base/words/index.js';
import type { Brief } from '../../document/design/index.js';
import { layerOf, layersByDepth, plainBoard, type CutPart, type PartShape } from '../../making/parts/index.js';
import { seatsOf } from '../common/seat-shapes.js';
import type { BaseGeometry } from './base-geometry.js';
import { cutOut, round } from './drawn-parts.js';
import { closingIn, membersIn } from './geometry.js';
import { isSheetSide } from './sheet-light.js';
import { sheetPart, stencilParts } from './sheet-parts.js';
import type { PanelFacts } from './results.js';

const rectOutline = (widthMm: number, heightMm: number): Outline => [
  rectRing({ x: 0, y: 0, width: widthMm, height: heightMm }),
];

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
        ...layersByDepth('seat', [
          { depthMm: slot.deepMm, shapes: [centred(slot.lengthMm + 1, slot.widthMm)] },
          { depthMm: cavity.highMm + closing.thicknessMm, shapes: [centred(cavity.lengthMm, cavity.widthMm)] },
          { depthMm: closing.thicknessMm, shapes: [centred(closing.widthMm, closing.heightMm)] },
          ...(pocket.lengthMm > 0
            ? [
                {
                  depthMm: cavity.highMm + closing.thicknessMm,
                  shapes: [
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
                  ],
                },
              ]
            : []),
        ]),
        ...layerOf('mark', exitShape(base, brief.leadExit)),
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
    layers: [
      cutOut(rectOutline(lengthMm, widthMm)),
      ...layersByDepth('seat', seatsOf(member)),
      ...layerOf('drill', lead),
    ],
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
