import { distanceToOutline, outlineBounds, type Rect } from '../../base/outlines/index.js';
import type { Rule, Remedy } from '../../judging/findings/index.js';
import { fieldsIn, inDesign } from '../../judging/results/index.js';
import { set, type Brief } from '../../document/design/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import type { BoxResults } from './results.js';
import { ventChoices } from './vents.js';

type Hole = Extract<PartShape, { kind: 'hole' }>;

/** Wood left between two holes, and to an edge (mm). */
const leastWoodMm = 1.5;

interface Collision {
  readonly part: CutPart;
  readonly hole: Hole;
  readonly what: string;
  /** How far one reaches into the other (mm). */
  readonly byMm: number;
}

const shapesOf = ({ layers }: CutPart, operation: CutPart['layers'][number]['operation']): readonly PartShape[] =>
  layers.filter((layer) => layer.operation === operation).flatMap(({ shapes }) => shapes);

const holesOf = (part: CutPart): readonly Hole[] =>
  shapesOf(part, 'drill').filter((shape): shape is Hole => shape.kind === 'hole');

const toRect = ({ x, y }: Hole, rect: Rect): number =>
  Math.hypot(Math.max(rect.x - x, 0, x - rect.x - rect.width), Math.max(rect.y - y, 0, y - rect.y - rect.height));

/** Holes of a part that run into a seat, into strip, into one another, or out of an edge. */
const collisionsIn = (part: CutPart, stripMm: number): readonly Collision[] => {
  const holes = holesOf(part);
  const seats = shapesOf(part, 'seat')
    .flatMap((shape) => (shape.kind === 'outline' ? (outlineBounds(shape.outline) ?? []) : []))
    // A rabbet across an end is where the screws of the corner belong.
    .filter(({ height }) => height < part.heightMm - 1e-6);
  const lines = shapesOf(part, 'mark').filter((shape) => shape.kind === 'line');
  return holes.flatMap((hole, at) => {
    const reach = hole.diameterMm / 2;
    const found = (what: string, byMm: number): readonly Collision[] =>
      byMm > 1e-6 ? [{ part, hole, what, byMm }] : [];
    const edge = Math.min(hole.x, hole.y, part.widthMm - hole.x, part.heightMm - hole.y);
    return [
      // Screws of the back have a rule of their own.
      ...(part.id === 'back' && hole.diameterMm < 4 ? [] : found('the edge', reach + leastWoodMm - edge)),
      ...seats.flatMap((seat) => found('a seat', reach - toRect(hole, seat))),
      ...lines.flatMap((line) =>
        found('strip', reach + stripMm / 2 - distanceToOutline([hole.x, hole.y], [[line.from, line.to]])),
      ),
      ...holes
        .slice(at + 1)
        .flatMap((other) =>
          found(
            'another hole',
            reach + other.diameterMm / 2 + leastWoodMm - Math.hypot(hole.x - other.x, hole.y - other.y),
          ),
        ),
    ];
  });
};

const collisions = ({ cut, materials }: BoxResults): readonly Collision[] =>
  cut.flatMap((part) => collisionsIn(part, materials.strip.widthMm));

const worstOf = (results: BoxResults): number => Math.max(0, ...collisions(results).map(({ byMm }) => byMm));

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const exits: readonly { readonly exit: Brief['leadExit']; readonly label: string }[] = [
  { exit: 'bottom', label: 'Lead out at the bottom' },
  { exit: 'left', label: 'Lead out at the left' },
  { exit: 'right', label: 'Lead out at the right' },
  { exit: 'back', label: 'Lead out through the back' },
  { exit: 'top', label: 'Lead out at the top' },
];

/** Fixings at other places than now. */
export const fixingsElsewhere = (results: BoxResults): readonly Remedy[] => {
  const { hanging } = results.assembly;
  const fields = fieldsIn(results);
  if (hanging === null || hanging === undefined) return [];
  return [
    {
      id: 'fixings-elsewhere',
      candidates: [
        { label: 'Let Vitrum place the fixings', change: [set(fields.hanging, { ...hanging, pinned: [] })] },
        ...[3, 4].map((count) => ({
          label: `${count} fixings`,
          change: [set(fields.hanging, { ...hanging, pinned: [], count })],
        })),
      ],
    },
  ];
};

/** Other ways for the lead, other vents: whichever of them is in the way. */
const remediesOf = (results: BoxResults): readonly Remedy[] => {
  const { design, assembly } = results;
  const fields = fieldsIn(results);
  const vents = assembly.case.vents ?? null;
  return [
    {
      id: 'lead-elsewhere',
      candidates: exits
        .filter(({ exit }) => exit !== design.brief.leadExit)
        .map(({ exit, label }) => ({ label, change: [set(inDesign.brief.leadExit, exit)] })),
    },
    ...fixingsElsewhere(results),
    ...(vents === null
      ? []
      : [
          {
            id: 'other-vents',
            candidates: ventChoices
              .filter(({ diameterMm }) => diameterMm <= vents.diameterMm)
              .map(({ count, diameterMm }) => ({
                label: `${count} vents of ${mm(diameterMm)} in each return`,
                change: [set(fields.case.vents, { ...vents, count, diameterMm })],
              })),
          },
        ]),
  ];
};

/** Where a hole of a part is, seen from the front: returns are drawn with their inner side toward the viewer, front edge up. */
const placeOf = ({ part, hole }: Collision, { geometry: { outside } }: BoxResults): Rect => {
  const along = hole.x - part.widthMm / 2;
  const [right, up] = [outside.widthMm / 2, outside.heightMm / 2];
  const edge = part.thicknessMm / 2;
  const places: Readonly<Record<string, readonly [x: number, y: number]>> = {
    top: [along, up - edge],
    bottom: [-along, edge - up],
    left: [edge - right, along],
    right: [right - edge, -along],
  };
  const [x, y] = places[part.id] ?? [along, hole.y - part.heightMm / 2];
  const size = hole.diameterMm + 2 * edge;
  return { x: x - size / 2, y: y - size / 2, width: size, height: size };
};

/** A hole that runs into a groove, into strip, into another, or out of an edge: seen only once it is drilled. */
export const holesCollide: Rule<BoxResults> = ({ results }) => {
  const [worst] = [...collisions(results)].sort((a, b) => b.byMm - a.byMm);
  if (worst === undefined) return null;
  const { part, hole, what, byMm } = worst;
  return {
    id: 'holes-collide',
    severity: 'fix',
    step: 'case',
    what: `A hole in the ${part.name.toLowerCase()} runs into ${what}`,
    why: `The hole of ${mm(hole.diameterMm)} at ${mm(hole.x)}, ${mm(hole.y)} from the lower left corner of its drawing is ${mm(byMm)} too near.`,
    numbers: [{ label: 'too near', value: byMm, unit: 'mm' }],
    where: { view: 'front', rect: placeOf(worst, results) },
    target: {
      label: 'too near',
      better: 'lower',
      unit: 'mm',
      read: worstOf,
      settled: (tried) => worstOf(tried) <= 0,
    },
    remedies: remediesOf(results),
  };
};
