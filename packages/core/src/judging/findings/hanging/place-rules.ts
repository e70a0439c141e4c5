import { fieldsIn, type AssemblyResults } from '../../results/index.js';
import { oneChange } from '../candidates.js';
import { wholeFront } from '../places.js';
import type { Rule } from '../types.js';
import { around, change, mm, more, one, otherWays } from './common.js';

/** So much off level is seen on a sign (mm). */
const seenOffMm = 1;

/** How far the upper fixings of one body are off one level (mm). */
const offLevel = ({ hang }: AssemblyResults): number => {
  if (hang === null || hang.way === 'posts') return 0;
  const spreads = hang.bodies.map(({ own, bounds }, index) => {
    const ys = hang.fixings.filter(({ body }) => body === index).map(({ at }) => at[1]);
    const upper = ys.filter((y) => y > Math.max(...ys) - Math.max(60, bounds.height / 4));
    return own !== null || upper.length < 2 ? 0 : Math.max(...upper) - Math.min(...upper);
  });
  return Math.max(0, ...spreads);
};

/** Upper fixings that are not level hang it crooked. */
export const fixingsNotLevel: Rule = ({ results }) => {
  const off = offLevel(results);
  if (off < seenOffMm) return null;
  const { hang, assembly } = results;
  const top = Math.max(...hang!.fixings.map(({ at }) => at[1]));
  const upper = hang!.fixings.filter(({ at }) => at[1] > top - Math.max(60, off + 1));
  const mean = one(upper.reduce((sum, { at }) => sum + at[1], 0) / upper.length);
  const levelled = (assembly.hanging?.pinned ?? []).map((pin) =>
    upper.some(({ at }) => Math.hypot(at[0] - pin.xMm, at[1] - pin.yMm) < 0.2) ? { ...pin, yMm: mean } : pin,
  );
  const pinnedAll = upper.filter(({ pinned }) => !pinned).map(({ at }) => ({ xMm: one(at[0]), yMm: mean }));
  return {
    id: 'fixings-not-level',
    severity: 'fix',
    step: 'hang',
    what: 'The upper fixings are not level',
    why: `They differ by ${mm(off)} in height; the sign hangs as crooked as they are.`,
    numbers: [{ label: 'off level', value: off, unit: 'mm' }],
    where: around(upper[0]!, results.placing),
    target: {
      label: 'off level',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(offLevel(tried)),
      settled: (tried) => offLevel(tried) < seenOffMm,
    },
    remedies: [
      {
        id: 'level-fixings',
        candidates: [
          {
            label: `All at ${mm(mean)} from the middle`,
            change: change(results, { pinned: [...levelled, ...pinnedAll] }),
          },
        ],
      },
      oneChange('place-fixings', 'Let Vitrum place the fixings', fieldsIn(results).hanging, {
        ...assembly.hanging!,
        pinned: [],
      }),
    ],
  };
};

const inTimber = ({ hang }: AssemblyResults): number =>
  hang?.fixings.filter(({ ground }) => ground === 'timber').length ?? 0;

const missesStuds = (results: AssemblyResults): boolean =>
  results.hang?.way === 'cleat' && results.hang.wall.kind === 'studs' && inTimber(results) < 2;

/** A cleat that does not reach two studs holds in board alone. */
export const cleatMissesStuds: Rule = ({ results }) => {
  const { hang } = results;
  if (hang?.cleat === undefined || hang.cleat === null || !missesStuds(results)) return null;
  const { cleat, wall } = hang;
  const { wallLengthMm } = cleat;
  return {
    id: 'cleat-misses-studs',
    severity: 'fix',
    step: 'hang',
    what: 'The cleat does not reach two studs',
    why: `It is ${mm(wallLengthMm)} long and meets ${inTimber(results)} of the studs, which are ${mm(wall.studPitchMm)} apart${wall.studAtMm === null ? ' and not found yet: measure from the middle of the sign to the nearest' : ''}. The board between them carries little.`,
    numbers: [
      { label: 'cleat', value: wallLengthMm, unit: 'mm' },
      { label: 'from stud to stud', value: wall.studPitchMm, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'studs missed',
      better: 'lower',
      unit: '',
      read: (tried) => (missesStuds(tried) ? 2 - inTimber(tried) : 0),
      settled: (tried) => !missesStuds(tried),
    },
    remedies: [
      {
        id: 'less-shift',
        candidates: [{ label: 'No shift sideways once it hangs', change: change(results, { shiftMm: 0 }) }],
      },
      ...otherWays(results, 'cleat'),
    ],
  };
};

const leans = ({ hang }: AssemblyResults): number =>
  hang === null || hang.ways.length === 0 ? 0 : Math.max(0, ...hang.bodies.map(({ leanMm }) => leanMm));

/** So much over its width is seen (mm). */
const seenLeanMm = 1;

/** Weight that is not between its fixings turns it until their play is taken up. */
export const hangsCrooked: Rule = ({ results }) => {
  const lean = leans(results);
  if (lean < seenLeanMm) return null;
  return {
    id: 'hangs-crooked',
    severity: 'fix',
    step: 'hang',
    what: 'It hangs crooked',
    why: `Its centre of gravity is not between its fixings: one is lifted, and it turns ${mm(lean)} over its width until their play is taken up.`,
    numbers: [{ label: 'leans over its width', value: lean, unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'leans',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(leans(tried)),
      settled: (tried) => leans(tried) < seenLeanMm,
    },
    remedies: [
      {
        id: 'place-fixings',
        candidates: [{ label: 'Let Vitrum place the fixings', change: change(results, { pinned: [] }) }],
      },
      more(results),
    ],
  };
};

/** What of both battens stands out above or below what hangs on them (mm). */
const showing = ({ hang }: AssemblyResults): number => {
  const [body] = hang?.bodies ?? [];
  if (hang?.cleat === undefined || hang.cleat === null || body === undefined) return 0;
  const { mateTopMm, topMm, highMm } = hang.cleat;
  const { y, height } = body.bounds;
  return Math.max(0, mateTopMm - y - height, y - (topMm - highMm));
};

/** A sign that is too low to hide its cleat. */
export const cleatShows: Rule = ({ results }) => {
  const out = one(showing(results));
  if (out <= 0) return null;
  const { cleat, bodies } = results.hang!;
  const tall = cleat!.mateTopMm - cleat!.topMm + cleat!.highMm;
  return {
    id: 'cleat-shows',
    severity: 'fix',
    step: 'hang',
    what: 'The cleat shows past the sign',
    why: `Both battens are ${mm(tall)} high together, the sign ${mm(bodies[0]!.bounds.height)}: ${mm(out)} stand out.`,
    numbers: [
      { label: 'stands out', value: out, unit: 'mm' },
      { label: 'both battens', value: one(tall), unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'stands out',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(showing(tried)),
      settled: (tried) => one(showing(tried)) <= 0,
    },
    remedies: [
      {
        id: 'thinner-cleat',
        candidates: [{ label: 'A cleat of thinner battens', change: change(results, { cleatMm: 6 }) }],
      },
      ...otherWays(results, 'cleat'),
    ],
  };
};
