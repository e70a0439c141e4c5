import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { wholeFront, type Rule } from '../../judging/findings/index.js';
import type { HaloResults } from './results.js';

const one = (mm: number): number => Math.round(mm * 10) / 10;

/** What of the glow, to its half, goes past the edge of the backer (mm). */
const past = ({ glow, assembly: { backer } }: HaloResults): number =>
  backer === null || backer === undefined ? 0 : Math.max(0, glow.halfMm - backer.marginMm);

/** The glow is wider than the backer that is to catch it. */
export const glowPastBacker: Rule<HaloResults> = ({ results }) => {
  const mm = one(past(results));
  if (mm <= 0) return null;
  const { backer } = results.assembly;
  const wanted = Math.ceil(backer!.marginMm + mm);
  return {
    id: 'glow-past-backer',
    severity: 'note',
    step: 'case',
    what: 'The glow is wider than the backer',
    why: `It falls to half ${one(backer!.marginMm + mm)} mm out, and the backer ends at ${one(backer!.marginMm)} mm: a bright edge is cut off in the middle of the glow.`,
    numbers: [{ label: 'past the edge', value: mm, unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'past the edge',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(past(tried)),
      settled: (tried) => past(tried) <= 0,
    },
    remedies: [
      {
        id: 'wider-backer',
        candidates: [
          {
            label: `A margin of ${wanted} mm`,
            change: [set(fieldsIn(results).backer, { ...backer!, marginMm: wanted })],
          },
        ],
      },
    ],
  };
};
