import { fieldsIn } from '../../judging/results/index.js';
import type { FaceLitResults } from './results.js';
import { oneChange, wholeFront, type Rule } from '../../judging/findings/index.js';

/** Metal is rolled to no less than so many thicknesses; tighter it must be folded, or filed (typical). */
const leastRollThicknesses = 4;

const tightest = ({ returns }: FaceLitResults): number =>
  returns
    .flatMap(({ bends }) => bends)
    .filter(({ kind }) => kind === 'roll')
    .reduce((least, { radiusMm }) => Math.min(least, radiusMm), Infinity);

/** Returns must be rolled tighter than their metal takes. */
export const returnTooTight: Rule<FaceLitResults> = ({ results }) => {
  const radius = tightest(results);
  const { wallMm } = results.geometry;
  const least = leastRollThicknesses * wallMm;
  if (radius >= least) return null;
  const thinner = [0.6, 0.8, 1, 1.2, 1.5].filter((mm) => mm < wallMm).reverse();
  return {
    id: 'return-too-tight',
    severity: 'note',
    step: 'case',
    what: `A return is rolled to a radius of ${radius.toFixed(1)} mm`,
    why: `Metal ${wallMm} mm thick takes ${least.toFixed(1)} mm or more without cracking (typical); anneal it, or fold it in small steps.`,
    numbers: [{ label: 'tightest roll', value: radius, unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'radius over thickness',
      better: 'higher',
      unit: '',
      read: (tried) => Math.min(1000, tightest(tried) / tried.geometry.wallMm),
      settled: (tried) => tightest(tried) >= leastRollThicknesses * tried.geometry.wallMm,
    },
    remedies: thinner.map((mm) =>
      oneChange(`thinner-${mm}`, `Returns ${mm} mm thick`, fieldsIn(results).cans.wallMm, mm),
    ),
  };
};
