import { outlineArea, rectRing, type Outline, type Point, type Rect } from '../../base/outlines/index.js';
import { layerOf, layersByDepth, type CutPart, type PartShape } from '../../making/parts/index.js';
import type { WorkedFace } from '../common/worked-face.js';
import { workedOf, type WorkedArea } from './areas.js';
import { cutOut, round } from './drawn-parts.js';
import { faceRaster } from './fill/face-raster.js';
import { mostMarks } from './fill/hatch.js';
import { marksOf, type Marks } from './fill/marks.js';
import type { PanelFacts } from './results.js';
import { looseOf, stencilOf } from './stencil.js';

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
export const sheetPart = ({ geometry, materials, areas }: PanelFacts): CutPart => {
  const { sheet, ring } = geometry;
  const { pane } = materials;
  const worked = workedOf(areas);
  const up = (worked[0] ?? areas[0]!).onBack;
  const { outline } = onMachine(sheet, up);
  const shapes = (onBack: boolean) =>
    worked
      .filter((area) => area.onBack === onBack)
      .map((area) => ({ depthMm: area.artwork.depthMm, shapes: workedShapes(area, sheet, up) }));
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
    layers: [
      cutOut(outline([ring])),
      ...layersByDepth('engrave', shapes(up)),
      ...layerOf(
        'mark',
        shapes(!up).flatMap((each) => each.shapes),
      ),
    ],
  };
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
export const stencilParts = ({ geometry: { sheet }, areas }: PanelFacts): readonly CutPart[] =>
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
          ...layerOf('engrave', workedShapes(area, sheet, area.onBack, mostMarks), area.artwork.depthMm),
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
