import type { Reel } from '../../making/packing/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { BoxResults } from './results.js';
import {
  changeStrip,
  oneChange,
  wholeFront,
  suitableStrips,
  type Remedy,
  type Rule,
} from '../../judging/findings/index.js';

const tenths = (value: number): number => Math.round(value * 10) / 10;
const mm = (value: number): string => `${tenths(value)} mm`;

const longestLeftover = ({ runs }: BoxResults) =>
  runs.segments.reduce(
    (worst, segment) => (segment.leftoverMm > worst.leftoverMm ? segment : worst),
    runs.segments[0]!,
  );

/** Leftover that is worth a word (mm): less disappears in the blur at the returns. */
const leftoverNoticedMm = 8;

/** A row ends between cut marks: the rest stays dark, or the box changes a little. */
export const betweenCutMarks: Rule<BoxResults> = ({ results, catalogue }) => {
  const { runs, materials, assembly } = results;
  if (runs.segments.length === 0) return null;
  const segment = longestLeftover(results);
  const { leftoverMm } = segment;
  if (leftoverMm < leftoverNoticedMm) return null;
  const resized = (longer: boolean): Remedy => {
    const fields = (['widthMm', 'heightMm'] as const).flatMap((size) => {
      const along = runs.segments.find(({ from, to }) => (size === 'widthMm' ? from[1] === to[1] : from[0] === to[0]));
      if (along === undefined) return [];
      const by = longer ? materials.strip.cutPitchMm - along.leftoverMm : -along.leftoverMm;
      return [{ size, value: tenths(assembly.case[size] + by) }];
    });
    const words = fields.map(({ size, value }) => `${size === 'widthMm' ? 'width' : 'height'} ${mm(value)}`).join(', ');
    const change = fields.map(({ size, value }) => set(fieldsIn(results).case[size], value));
    return { id: longer ? 'longer' : 'shorter', candidates: [{ label: `Make the ${words}`, change }] };
  };
  const finer = suitableStrips(results, catalogue).filter(
    (strip) => strip.cutPitchMm < materials.strip.cutPitchMm && strip.voltageV === materials.strip.voltageV,
  );
  const rest = (tried: BoxResults): number =>
    tried.runs.segments.length === 0 ? 0 : longestLeftover(tried).leftoverMm;
  return {
    id: 'between-cut-marks',
    severity: 'note',
    step: 'light',
    what: `Row ends fall ${mm(leftoverMm)} past a cut mark`,
    why: `Each row gets ${mm(segment.lengthMm)} of strip, cut every ${mm(materials.strip.cutPitchMm)}; the rest is shared as ${mm(leftoverMm / 2)} more at both ends.`,
    numbers: [{ label: 'left over', value: leftoverMm, unit: 'mm' }],
    where: {
      view: 'front',
      rect: {
        x: Math.max(segment.from[0], segment.to[0]),
        y: segment.to[1] - 15,
        width: Math.max(10, leftoverMm / 2),
        height: 30,
      },
    },
    target: {
      label: 'left over',
      better: 'lower',
      unit: 'mm',
      read: rest,
      settled: (tried) => rest(tried) < leftoverNoticedMm,
    },
    remedies: [changeStrip(results, finer), resized(true), resized(false)],
  };
};

/** A reel is opened for less than this share of it. */
const littleShare = 0.2;

/** The reels of its strip: others of the sign may be on them too. */
const ownReels = ({ packing, materials }: BoxResults): { readonly reels: readonly Reel[]; readonly reelMm: number } =>
  packing.reels.find(({ stripId }) => stripId === materials.strip.id) ?? { reels: [], reelMm: materials.strip.reelMm };

/** Reels run short by little: one more is opened for a few cuts. */
export const reelShort: Rule<BoxResults> = ({ results }) => {
  const { assembly, materials } = results;
  const { reels, reelMm } = ownReels(results);
  const last = reels[reels.length - 1];
  if (reels.length < 2 || last === undefined) return null;
  const usedMm = reelMm - last.leftMm;
  if (usedMm > reelMm * littleShare) return null;
  const reelsNeeded = (tried: BoxResults): number => ownReels(tried).reels.length;
  const shorter = Array.from(
    { length: 6 },
    (_, step) => assembly.light.endMarginMm + ((step + 1) * materials.strip.cutPitchMm) / 2,
  );
  const { rowCount, layout } = assembly.light;
  return {
    id: 'reel-short',
    severity: 'note',
    step: 'light',
    what: `Reel ${reels.length} is opened for ${(usedMm / 1000).toFixed(2)} m`,
    why: `${reels.length - 1} reel${reels.length === 2 ? '' : 's'} of ${reelMm / 1000} m would do with a little less strip.`,
    numbers: [
      { label: 'short by', value: usedMm / 1000, unit: 'm' },
      { label: 'left on the last', value: last.leftMm / 1000, unit: 'm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'reels',
      better: 'lower',
      unit: '',
      read: reelsNeeded,
      settled: (tried) => reelsNeeded(tried) < reels.length,
    },
    remedies: [
      {
        id: 'shorter-rows',
        candidates: shorter.map((margin) => ({
          label: `Rows ${mm(margin)} from the ends`,
          change: [set(fieldsIn(results).light.endMarginMm, margin)],
        })),
      },
      ...(layout === 'rows' && rowCount > 1
        ? [oneChange('one-row-less', `${rowCount - 1} rows`, fieldsIn(results).light.rowCount, rowCount - 1)]
        : []),
    ],
  };
};
