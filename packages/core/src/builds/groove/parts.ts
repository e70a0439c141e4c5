import {
  intersect,
  inOutline,
  subtract,
  outlineArea,
  outlineBounds,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import {
  layerOf,
  sundry,
  type BoughtPart,
  type CutPart,
  type PartLayer,
  type PartShape,
} from '../../making/parts/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import { flatLetter, pinMarks } from '../letters/parts.js';
import { bandsOf, plateOf, type GrooveGeometry } from './geometry.js';
import type { LitLine } from './lines.js';
import type { GrooveFacts } from './results.js';
import { linesMm } from './runs.js';

/** A plate behind letters stands so far out round them (mm). */
export const plateMarginMm = 40;

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** A bit takes half its width at a pass; typical. */
const passShare = 0.5;

/** How often a bit goes round a groove, and how deep at a time. */
export const passesFor = (depthMm: number, cutMm: number): { readonly count: number; readonly mm: number } => {
  const count = Math.max(1, Math.ceil(depthMm / Math.max(0.5, passShare * cutMm) - 1e-9));
  return { count, mm: depthMm / count };
};

/**
 * Where the middle of a bit runs: along the lines themselves where it is as wide as the groove, else along the edge of a band by so much
 * narrower, and inside that again until nothing is left between.
 */
export const bitPaths = (
  lines: readonly Pick<LitLine, 'points' | 'closed'>[],
  widthMm: number,
  bitMm: number,
): readonly PartShape[] => {
  const plain = lines.map(({ points, closed }): PartShape => ({ kind: 'path', points, closed }));
  const over = widthMm - bitMm;
  if (over < 0.05) return plain;
  const shapes: PartShape[] = [];
  for (let band = over; band > 0; band -= 2 * bitMm * 0.9)
    shapes.push(...bandsOf(lines, band).map((points): PartShape => ({ kind: 'path', points, closed: true })));
  return over > bitMm ? [...shapes, ...plain] : shapes;
};

/** What of lines lies within a part, cut where they leave it. */
const linesWithin = (
  lines: readonly LitLine[],
  part: Outline,
  whole: boolean,
): readonly Pick<LitLine, 'points' | 'closed'>[] => {
  if (whole) return lines;
  return lines.flatMap((line): readonly Pick<LitLine, 'points' | 'closed'>[] => {
    if (line.points.every((place) => inOutline(place, part))) return [line];
    const ring = line.closed ? [...line.points, line.points[0]!] : line.points;
    const pieces: Point[][] = [];
    let open: Point[] | null = null;
    for (const place of denser(ring)) {
      if (inOutline(place, part)) {
        if (open === null) pieces.push((open = []));
        open.push(place);
      } else open = null;
    }
    return pieces.filter((piece) => piece.length > 1).map((points) => ({ points, closed: false }));
  });
};

/** Points no farther apart than a millimetre, so that a line is cut where it leaves a part. */
const denser = (ring: Ring): Ring =>
  ring.flatMap((from, at): Ring => {
    const to = ring[at + 1];
    if (to === undefined) return [from];
    const count = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1])));
    return Array.from({ length: count }, (_, step): Point => [
      from[0] + ((to[0] - from[0]) * step) / count,
      from[1] + ((to[1] - from[1]) * step) / count,
    ]);
  });

const roleWords = { board: 'Board', 'two-layer': 'Front layer', clear: 'Clear sheet', letters: 'Letter' } as const;

const grooveNote = (facts: GrooveFacts): string => {
  const { geometry, materials, assembly } = facts;
  const { groove } = geometry;
  const { tool } = materials;
  if (assembly.carrier.kind === 'two-layer') return `groove ${mm(groove.widthMm)} wide, cut through`;
  const passes = passesFor(groove.depthMm, tool.cutMm);
  return tool.kind === 'bit'
    ? `groove ${mm(groove.widthMm)} wide, ${mm(groove.depthMm)} deep: ${tool.name.toLowerCase()}, ${passes.count} passes of ${mm(passes.mm)}`
    : `groove ${mm(groove.widthMm)} wide, ${mm(groove.depthMm)} deep`;
};

/** The parts that the groove is cut into, from left to right. */
const carrierParts = (facts: GrooveFacts): readonly CutPart[] => {
  const { geometry, materials, assembly, runs } = facts;
  const { carrier } = assembly;
  const { sheet, tool } = materials;
  const { groove, parts, lines, grooveArea, pins } = geometry;
  const fromBehind = carrier.kind === 'clear';
  const through = carrier.kind === 'two-layer';
  const sorted = [...parts].sort((a, b) => outlineBounds(a)!.x - outlineBounds(b)!.x);
  return sorted.map((part, index): CutPart => {
    const { bounds, outline, place } = flatLetter(part, fromBehind);
    const area = sorted.length === 1 ? grooveArea : intersect(grooveArea, part);
    const flat = (each: Outline): Outline => {
      const moved = each.map((ring) => ring.map(place));
      return fromBehind ? moved.map((ring) => [...ring].reverse()) : moved;
    };
    const own = linesWithin(lines, part, sorted.length === 1).map(({ points, closed }) => ({
      points: points.map(place),
      closed,
    }));
    const holes = runs.holes.filter(({ at }) => sorted.length === 1 || inOutline(at, part));
    // One outline with the groove as a hole in it: the tool runs within a hole, and outside an edge.
    const cut: readonly PartShape[] = [{ kind: 'outline', outline: through ? subtract(outline, flat(area)) : outline }];
    const name =
      sorted.length === 1 && carrier.kind !== 'letters'
        ? roleWords[carrier.kind]
        : `${roleWords[carrier.kind]} ${index + 1}`;
    const solidMm2 = Math.abs(outlineArea(part));
    const gone = Math.abs(outlineArea(area)) * (through ? sheet.thicknessMm : groove.depthMm);
    return {
      id: `carrier-${index + 1}`,
      name,
      materialId: sheet.id,
      materialName: sheet.name,
      stock: sheet.clear ? 'face' : 'board',
      widthMm: bounds.width,
      heightMm: bounds.height,
      thicknessMm: sheet.thicknessMm,
      count: 1,
      kg: ((solidMm2 * sheet.thicknessMm - gone) * sheet.densityKgM3) / 1e9,
      note: [
        grooveNote(facts),
        fromBehind ? 'drawn mirrored: its back up' : 'seen from the front',
        ...(holes.length === 0 || fromBehind || through ? [] : [`${holes.length} wire holes through its floor`]),
      ].join('; '),
      layers: [
        { operation: 'cut', shapes: cut },
        ...(through
          ? []
          : [
              ...layerOf('rout', area.length === 0 ? [] : [{ kind: 'outline', outline: flat(area) }], groove.depthMm),
              ...layerOf(
                'bit-path',
                tool.kind === 'bit' ? bitPaths(own, groove.widthMm, Math.min(tool.cutMm, groove.widthMm)) : [],
                groove.depthMm,
              ),
            ]),
        ...layerOf('drill', fromBehind || through ? [] : holeShapes(holes, place)),
        ...layerOf('mark', pinMarks(pins, part, place)),
      ],
    };
  });
};

const holeShapes = (holes: GrooveFacts['runs']['holes'], place: (at: Point) => Point): readonly PartShape[] =>
  holes.map(({ at, diameterMm }): PartShape => {
    const [x, y] = place(at);
    return { kind: 'hole', x, y, diameterMm };
  });

/** What is behind: the back layer, in one piece over the seams of the front, or the plate that letters stand on. */
const backPart = ({ geometry, materials, assembly, runs }: GrooveFacts): readonly CutPart[] => {
  const { back } = materials;
  if (back === null) return [];
  const letters = assembly.carrier.kind === 'letters';
  const shape: Outline = letters ? [plateOf(geometry, plateMarginMm)] : geometry.outline;
  const { bounds, outline, place } = flatLetter(shape, false);
  const layers: readonly PartLayer[] = [
    { operation: 'cut', shapes: [{ kind: 'outline', outline }] },
    ...layerOf('drill', holeShapes(runs.holes, place)),
  ];
  return [
    {
      id: 'back',
      name: letters ? 'Plate' : 'Back layer',
      materialId: back.id,
      materialName: back.name,
      stock: 'board',
      widthMm: bounds.width,
      heightMm: bounds.height,
      thicknessMm: back.thicknessMm,
      count: 1,
      kg: (Math.abs(outlineArea(shape)) * back.thicknessMm * back.densityKgM3) / 1e9,
      note: letters
        ? 'letters are screwed or glued on; holes go through both'
        : 'glued behind the front layer, over its seams',
      layers,
    },
  ];
};

/** The cut parts of a carrier. */
export const grooveParts = (facts: GrooveFacts): readonly CutPart[] => [...carrierParts(facts), ...backPart(facts)];

/** Free ends of lines: each takes a cap where the cover has one. */
export const capCount = ({ lines }: Pick<GrooveGeometry, 'lines'>): number =>
  2 * lines.filter(({ closed }) => !closed).length;

/** What is bought for strip in a groove beside strip and wiring. */
export const grooveBought = (
  catalogue: Catalogue,
  { geometry, materials, assembly }: GrooveFacts,
): readonly BoughtPart[] => {
  const { cover } = materials;
  const metres = linesMm(geometry) / 1000;
  const caps = cover === null || cover.capWidthMm === 0 ? 0 : capCount(geometry);
  return [
    ...(cover === null
      ? []
      : [
          {
            id: cover.id,
            name: cover.name,
            quantity: metres,
            unit: 'm' as const,
            unitPrice: (cover.price * 1000) / cover.pieceMm,
            kg: metres * cover.kgPerM,
            hangs: true,
          },
        ]),
    ...(caps === 0
      ? []
      : [
          {
            id: 'end-cap',
            name: `End caps for ${cover!.name.toLowerCase()}`,
            quantity: caps,
            unit: 'piece' as const,
            unitPrice: 0.4,
            kg: caps * 0.001,
            hangs: true,
          },
        ]),
    ...(assembly.carrier.kind === 'letters' ? sundry(catalogue, 'screw', 3 * geometry.parts.length) : []),
  ];
};
