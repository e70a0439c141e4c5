import { changeStrip, suitableStrips, wholeFront, type Candidate, type Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { set } from '../../../document/design/index.js';
import { mm, placeAt, middleOf } from '../../common/rule-words.js';
import { stripLaid } from '../../common/strip-laid.js';
import { dropLoop, fartherFromBand, liftBands, liftLid, narrowerWall, smallerLetters } from '../candidates.js';
import { leastWallMm } from '../held-at.js';
import { loopHeights } from '../runs.js';
import type { StackedResults } from '../results.js';

/** No loop of strip fits at all. */
export const noLoop: Rule<StackedResults> = ({ results, catalogue }) => {
  if (results.runs.segments.length > 0) return null;
  const { strip } = results.materials;
  return {
    id: 'no-strip',
    severity: 'stop',
    step: 'light',
    what: 'Not one loop of this strip fits',
    why: `It is cut every ${mm(strip.cutPitchMm)}, and round the room there is no place for that where it lies now.`,
    numbers: [{ label: 'cut pitch', value: strip.cutPitchMm, unit: 'mm' }],
    where: wholeFront(results),
    target: stripLaid,
    remedies: [
      {
        id: 'on-the-wall',
        candidates:
          results.assembly.light.facing === 'in'
            ? []
            : [
                {
                  label: 'Strip on the wall, looking in',
                  change: [set(fieldsIn(results).light.facing, 'in' as const)],
                },
              ],
      },
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(({ cutPitchMm }) => cutPitchMm < strip.cutPitchMm),
      ),
    ],
  };
};

const lacking = ({ geometry }: StackedResults): number => Math.max(0, geometry.stripMm - geometry.roomMm);

/** Strip on its edge is wider than the room between base and lid is high. */
export const stackTooThin: Rule<StackedResults> = ({ results, catalogue }) => {
  const by = lacking(results);
  if (by <= 0) return null;
  const { geometry, materials, assembly } = results;
  return {
    id: 'stack-too-thin',
    severity: 'stop',
    step: 'case',
    what: 'The stack is too thin for its strip',
    why: `${assembly.light.loops === 1 ? 'The strip' : `${assembly.light.loops} loops of strip`} on edge and a millimetre beside each take ${mm(geometry.stripMm)}; the rings leave ${mm(geometry.roomMm)} between base and lid.`,
    numbers: [
      { label: 'strip takes', value: Math.round(10 * geometry.stripMm) / 10, unit: 'mm' },
      { label: 'room', value: Math.round(10 * geometry.roomMm) / 10, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'lacking',
      unit: 'mm',
      better: 'lower',
      read: (tried) => Math.round(10 * lacking(tried)) / 10,
      settled: (tried) => lacking(tried) <= 0,
    },
    remedies: [
      dropLoop(results),
      liftLid(results),
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ widthMm }) => widthMm < materials.strip.widthMm)
          .sort((a, b) => b.widthMm - a.widthMm),
      ),
    ],
  };
};

/** How much of the height of glowing rings strip on the wall covers (mm). */
const covered = ({ geometry, assembly, materials, runs }: StackedResults): number => {
  if (geometry.ledge !== null || runs.segments.length === 0) return 0;
  const half = materials.strip.widthMm / 2;
  return loopHeights(geometry, assembly.light, materials.strip.widthMm).reduce(
    (sum, z) =>
      sum +
      geometry.rings
        .filter((ring) => ring.glows)
        .reduce((own, ring) => own + Math.max(0, Math.min(z + half, ring.toZMm) - Math.max(z - half, ring.fromZMm)), 0),
    0,
  );
};

/** Less than this of a band covered is a hair (mm). */
const hairMm = 0.25;

/** Strip stuck over the inside of a ring that is to glow: it stays dark there, and shows. */
export const stripCoversBand: Rule<StackedResults> = ({ results }) => {
  const now = covered(results);
  if (now <= hairMm) return null;
  const { geometry } = results;
  const fields = fieldsIn(results);
  const room = geometry.rings
    .filter((ring) => !ring.glows)
    .flatMap((ring) => [ring.fromZMm + geometry.stripMm / 2, ring.toZMm - geometry.stripMm / 2]);
  return {
    id: 'strip-covers-band',
    severity: 'fix',
    step: 'light',
    what: 'Strip covers the inside of the band',
    why: `${mm(now)} of what is to glow has strip stuck on it: it is dark there, and LEDs and pads show through its edge. Strip on the wall wants an opaque ring as high as it is wide, ${mm(geometry.stripMm)}.`,
    numbers: [
      { label: 'covered', value: Math.round(10 * now) / 10, unit: 'mm' },
      { label: 'strip takes', value: Math.round(10 * geometry.stripMm) / 10, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'covered',
      unit: 'mm',
      better: 'lower',
      read: (tried) => Math.round(10 * covered(tried)) / 10,
      settled: (tried) => covered(tried) <= hairMm,
    },
    remedies: [
      {
        id: 'move-strip',
        candidates: [...new Set(room.map((z) => Math.round(10 * z) / 10))]
          .filter((z) => z >= geometry.stripMm / 2 && z <= geometry.roomMm - geometry.stripMm / 2)
          .map((z): Candidate => ({
            label: `Strip ${mm(z)} from the base`,
            change: [set(fields.light.fromBaseMm, z)],
          })),
      },
      liftBands(results),
      fartherFromBand(results),
      dropLoop(results),
    ],
  };
};

const overWall = ({ lid }: StackedResults): number => Math.round(1000 * lid.overWallShare) / 10;
/** So little of a letter over the wall is a hair of its edge (%). */
const leastOver = 0.3;

/** Letters that reach over the rings, where there is no light behind them, or past the plates. */
export const lettersOverWall: Rule<StackedResults> = ({ results }) => {
  const share = overWall(results);
  if (share <= leastOver) return null;
  const { geometry, lid } = results;
  return {
    id: 'letters-over-wall',
    severity: share > 25 ? 'stop' : 'fix',
    step: 'artwork',
    what: 'Letters reach over the rings',
    why: `${share} % of them lie where there is ring behind, ${mm(geometry.wallMm)} wide, or nothing: dark, and cut into what holds the lid.`,
    numbers: [
      { label: 'over the rings', value: share, unit: '%' },
      { label: 'rings', value: geometry.wallMm, unit: 'mm' },
    ],
    where: placeAt(middleOf(lid.pockets), 40),
    target: {
      label: 'over the rings',
      unit: '%',
      better: 'lower',
      read: overWall,
      settled: (tried) => overWall(tried) <= leastOver,
    },
    remedies: [smallerLetters(results), narrowerWall(results, leastWallMm)],
  };
};

/** Rings too narrow for a screw or a pin: the base can only be glued on, and the strip is shut in. */
export const ringTooNarrow: Rule<StackedResults> = ({ results }) => {
  const { wallMm } = results.geometry;
  if (wallMm >= leastWallMm) return null;
  return {
    id: 'ring-too-narrow',
    severity: 'fix',
    step: 'case',
    what: 'Rings are too narrow for screws',
    why: `A screw wants ${mm(leastWallMm)} of ring, its own width and as much on both sides; these have ${mm(wallMm)}. Glued on, the base shuts the strip in for good, and strip fails before plates do.`,
    numbers: [
      { label: 'rings', value: wallMm, unit: 'mm' },
      { label: 'usual least', value: leastWallMm, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'rings',
      unit: 'mm',
      better: 'higher',
      read: (tried) => tried.geometry.wallMm,
      settled: (tried) => tried.geometry.wallMm >= leastWallMm,
    },
    remedies: [
      {
        id: 'wider-rings',
        candidates: [leastWallMm, 12, 15].map((wide): Candidate => ({
          label: `Rings ${wide} mm wide`,
          change: [set(fieldsIn(results).plates.wallMm, wide)],
        })),
      },
    ],
  };
};

/** Metal plates beside bare pads and joints. */
const metalPlates = ({ materials, geometry }: StackedResults): readonly string[] => {
  const { base, lid, strip } = materials;
  if (strip.protection !== 'bare') return [];
  return [base, lid, ...geometry.rings.map(({ stock }) => stock)]
    .filter(({ stuff }) => stuff === 'metal' || stuff === 'composite')
    .map(({ name }) => name);
};

/** Bare strip in a room of metal: a joint that lifts is a short. */
export const metalInRoom: Rule<StackedResults> = ({ results, catalogue }) => {
  const found = metalPlates(results);
  const [first] = found;
  if (first === undefined) return null;
  const { strip } = results.materials;
  return {
    id: 'metal-at-joints',
    severity: 'fix',
    step: 'case',
    what: 'Bare strip in a room of metal',
    why: `${first} stands beside bare pads and joints: one that lifts is a short. Take coated strip, or cut what carries it from wood.`,
    numbers: [{ label: 'metal plates', value: found.length, unit: '' }],
    where: wholeFront(results),
    target: {
      label: 'metal plates at bare strip',
      unit: '',
      better: 'lower',
      read: (tried) => metalPlates(tried).length,
      settled: (tried) => metalPlates(tried).length === 0,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(
          ({ protection, voltageV }) => protection !== 'bare' && voltageV === strip.voltageV,
        ),
      ),
      {
        id: 'wooden-plates',
        candidates: [
          {
            label: 'Base, lid and opaque rings from birch plywood 6 mm',
            change: [
              set(fieldsIn(results).plates.baseId, 'ply-6'),
              set(fieldsIn(results).lid.materialId, 'ply-4'),
              set(
                fieldsIn(results).plates.rings,
                results.assembly.plates.rings.map((ring, at) =>
                  results.geometry.rings[at]!.glows ? ring : { ...ring, materialId: 'ply-6' },
                ),
              ),
            ],
          },
        ],
      },
    ],
  };
};
