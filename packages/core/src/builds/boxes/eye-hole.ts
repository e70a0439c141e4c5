import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import type { Circuit } from '../../power/circuit/index.js';

/** An eye is set flush in so wide a hole; as the steps have it (mm). */
export const eyeMm = 6;

/** Left between the hole and others, seats and strip (mm). */
const clearMm = 3;
/** Places are tried so far from each other, from this far beside the middle, where the lead is (mm). */
const stepMm = 5;
const besideMm = 30;

type Hole = Extract<PartShape, { kind: 'hole' }>;

const holesOf = ({ layers }: CutPart): readonly Hole[] =>
  layers.flatMap(({ shapes }) => shapes.filter((shape): shape is Hole => shape.kind === 'hole'));

/** Heights of strip along the lower return, from the inner side of the back (mm). */
const stripHeights = ({ segments }: LightRuns): readonly number[] =>
  segments.filter(({ on }) => on === 'bottom').map(({ path }) => path[0]![2]);

/** What tells where there is room in the lower return. */
interface EyeFacts {
  readonly geometry: CaseGeometry;
  readonly runs: LightRuns;
  readonly materials: { readonly strip: { readonly widthMm: number } };
}

/** Where the eye looks out of the lower return, on its drawing: beside the lead, clear of holes and strip; null where there is no room. */
const placeIn = (bottom: CutPart, { geometry, runs, materials }: EyeFacts): readonly [number, number] | null => {
  const { depthMm } = geometry.inside;
  const backMm = geometry.back.thicknessMm + geometry.recessMm;
  const reach = eyeMm / 2 + clearMm;
  const strip = stripHeights(runs);
  const heights = [12, depthMm / 2, depthMm - 12]
    .filter((z) => z >= reach && z <= depthMm - reach)
    .filter((z) => strip.every((at) => Math.abs(at - z) >= reach + materials.strip.widthMm / 2));
  const holes = holesOf(bottom);
  for (const z of heights)
    for (let x = bottom.widthMm / 2 + besideMm; x < bottom.widthMm - 40; x += stepMm) {
      const y = backMm + z;
      if (holes.every((hole) => Math.hypot(hole.x - x, hole.y - y) >= reach + hole.diameterMm / 2)) return [x, y];
    }
  return null;
};

/** The parts of a case with a hole in the lower return, where the eye of a remote in the case is to look out. */
export const withEyeHole = (
  cut: readonly CutPart[],
  { controller, inside, sensorWindow }: Circuit['drive'],
  ...[geometry, runs, materials]: readonly [EyeFacts['geometry'], EyeFacts['runs'], EyeFacts['materials']]
): readonly CutPart[] => {
  if (controller?.remote !== 'infrared' || !inside || !sensorWindow) return cut;
  return cut.map((part) => {
    if (part.id !== 'bottom') return part;
    const place = placeIn(part, { geometry, runs, materials });
    if (place === null) return part;
    const [x, y] = place;
    const hole: Hole = { kind: 'hole', x, y, diameterMm: eyeMm };
    const drills = part.layers.some(({ operation }) => operation === 'drill');
    return {
      ...part,
      note: `${part.note}; hole Ø ${eyeMm} mm for the eye of the remote`,
      layers: drills
        ? part.layers.map((layer) =>
            layer.operation === 'drill' ? { ...layer, shapes: [...layer.shapes, hole] } : layer,
          )
        : [...part.layers, { operation: 'drill', shapes: [hole] }],
    };
  });
};
