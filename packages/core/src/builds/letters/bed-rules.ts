import { fieldsIn } from '../../judging/results/index.js';
import type { LetterResults } from './results.js';
import { oneChange, overBed, wholeFront, type Remedy, type Rule } from '../../judging/findings/index.js';
import { idleSplits, middleSplit } from './splits.js';

/** Cuts the part that does not fit across the middle of its longer side. */
const splitInTwo = (results: LetterResults): readonly Remedy[] => {
  const { lettering, assembly } = results;
  const place = middleSplit(lettering.outline, assembly.artwork);
  return place === null
    ? []
    : [
        oneChange(
          'split',
          `Cut that letter in two, ${place.angleDeg === 90 ? 'upright' : 'level'} through its middle`,
          fieldsIn(results).artwork.splits,
          [...(assembly.artwork.splits ?? []), place],
        ),
      ];
};

/** A letter larger than the machine reaches: it can be split. */
export const letterOverBed: Rule<LetterResults> = ({ results, catalogue }) => {
  const found = overBed({ results, catalogue });
  return found === null
    ? null
    : {
        ...found,
        what: 'A letter is larger than the machine reaches',
        remedies: [...splitInTwo(results), ...found.remedies],
      };
};

const idleOf = ({ lettering, assembly }: LetterResults): readonly number[] =>
  idleSplits(lettering.outline, assembly.artwork.splits);

/** A split that is put where it cuts no letter. */
export const splitMisses: Rule<LetterResults> = ({ results }) => {
  const idle = idleOf(results);
  const splits = results.assembly.artwork.splits ?? [];
  const kept = splits.filter((_, index) => !idle.includes(index));
  const first = splits[idle[0] ?? -1];
  if (first === undefined) return null;
  const { lettering, assembly } = results;
  const middle = middleSplit(lettering.outline, { ...assembly.artwork, splits: kept });
  return {
    id: 'split-misses',
    severity: 'fix',
    step: 'artwork',
    what: idle.length === 1 ? `Split ${idle[0]! + 1} cuts no letter` : `${idle.length} splits cut no letter`,
    why: 'A split cuts the letter whose box its place lies in; this one lies beside all of them, or its line runs past the strokes.',
    numbers: [{ label: 'cut nothing', value: idle.length, unit: idle.length === 1 ? 'split' : 'splits' }],
    where: wholeFront(results),
    target: {
      label: 'cut nothing',
      better: 'lower',
      unit: 'splits',
      read: (tried) => idleOf(tried).length,
      settled: (tried) => idleOf(tried).length === 0,
    },
    remedies: [
      ...(middle === null
        ? []
        : [
            oneChange('move-split', 'Put it through the largest part', fieldsIn(results).artwork.splits, [
              ...kept,
              middle,
            ]),
          ]),
      oneChange(
        'take-split',
        idle.length === 1 ? 'Take it away' : 'Take them away',
        fieldsIn(results).artwork.splits,
        kept,
      ),
    ],
  };
};
