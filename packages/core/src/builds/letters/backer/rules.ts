import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { wholeFront, type Rule } from '../../../judging/findings/index.js';
import type { LetterResults } from '../results.js';

const one = (mm: number): number => Math.round(mm * 10) / 10;

/** Wires behind a backer want so much room (mm): their jacket, and none of it pinched. */
const wireRoomMm = 6;

const withWay = (results: LetterResults, way: 'spacers' | 'cleat') =>
  set(fieldsIn<LetterResults['assembly']>(results).hanging, {
    ...(results.assembly.hanging?.heightMm === undefined ? {} : { heightMm: results.assembly.hanging.heightMm }),
    way,
  });

/** How much room wires behind a backer lack (mm); nothing where none run there, or nothing is chosen. */
const pinched = ({ hang, jumpers, assembly, design }: LetterResults): number => {
  const { backer } = assembly;
  if (backer?.kind !== 'board' || hang?.way === undefined || hang.way === null) return 0;
  const behind = jumpers.some(({ holes }) => holes.length > 0) || design.brief.leadExit === 'back';
  return behind ? Math.max(0, wireRoomMm - hang.offWallMm) : 0;
};

/** Wires run behind the backer, and it lies on the wall. */
export const wiresBehindBacker: Rule<LetterResults> = ({ results }) => {
  const mm = pinched(results);
  if (mm <= 0) return null;
  const { hang, jumpers } = results;
  return {
    id: 'wires-behind-backer',
    severity: 'fix',
    step: 'hang',
    what: 'Wires are pinched behind the backer',
    why: `${jumpers.filter(({ holes }) => holes.length > 0).length} jumpers and the lead run behind it, and it stands ${one(hang!.offWallMm)} mm off the wall; they want ${wireRoomMm} mm.`,
    numbers: [
      { label: 'off the wall', value: one(hang!.offWallMm), unit: 'mm' },
      { label: 'wanted', value: wireRoomMm, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: { label: 'lacking', better: 'lower', unit: 'mm', read: pinched, settled: (tried) => pinched(tried) <= 0 },
    remedies: [
      {
        id: 'on-spacers',
        candidates: [{ label: 'Hang it on spacers of 20 mm', change: [withWay(results, 'spacers')] }],
      },
      { id: 'on-cleat', candidates: [{ label: 'Hang it on a cleat', change: [withWay(results, 'cleat')] }] },
    ],
  };
};

const proudOf = ({ assembly: { backer } }: LetterResults): number =>
  backer?.kind === 'box' && backer.trimmed !== true ? (backer.overMm ?? 0) : 0;

/** Cladding cut larger than its box and left so. */
export const claddingProud: Rule<LetterResults> = ({ results }) => {
  const mm = proudOf(results);
  if (mm <= 0) return null;
  const field = fieldsIn<LetterResults['assembly']>(results).backer;
  const { backer } = results.assembly;
  return {
    id: 'cladding-proud',
    severity: 'fix',
    step: 'case',
    what: 'The cladding stands out past its box',
    why: `It is cut ${one(mm)} mm larger all round and not trimmed: the edge shows, catches, and chips.`,
    numbers: [{ label: 'stands out', value: mm, unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'stands out',
      better: 'lower',
      unit: 'mm',
      read: proudOf,
      settled: (tried) => proudOf(tried) <= 0,
    },
    remedies: [
      {
        id: 'flush-trim',
        candidates: [
          { label: 'Trim it flush once it is glued on', change: [set(field, { ...backer!, trimmed: true })] },
        ],
      },
      {
        id: 'cut-to-size',
        candidates: [{ label: 'Cut it to the size of the box', change: [set(field, { ...backer!, overMm: 0 })] }],
      },
    ],
  };
};

const shallow = ({ hang, assembly }: LetterResults): number =>
  assembly.backer?.kind === 'box' && hang?.cleat !== undefined && hang.cleat !== null
    ? Math.max(0, hang.cleat.thicknessMm - hang.bodies[0]!.recessMm)
    : 0;

/** A clad box that is not deep enough for the cleat that it hangs on. */
export const boxTooShallow: Rule<LetterResults> = ({ results }) => {
  const mm = one(shallow(results));
  if (mm <= 0) return null;
  const { backer } = results.assembly;
  const thick = results.hang!.cleat!.thicknessMm;
  return {
    id: 'box-too-shallow',
    severity: 'fix',
    step: 'case',
    what: 'The box is too shallow for its cleat',
    why: `Behind its cladding it is ${one(results.hang!.bodies[0]!.recessMm)} mm deep, the cleat ${one(thick)} mm thick: it stands ${mm} mm off the wall.`,
    numbers: [{ label: 'stands off', value: mm, unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'stands off',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(shallow(tried)),
      settled: (tried) => shallow(tried) <= 0,
    },
    remedies: [
      {
        id: 'deeper-box',
        candidates: [
          {
            label: `A box ${thick + 2} mm deep`,
            change: [set(fieldsIn<LetterResults['assembly']>(results).backer, { ...backer!, depthMm: thick + 2 })],
          },
        ],
      },
    ],
  };
};

/** What may be wrong with a backer. */
export const backerRules: readonly Rule<LetterResults>[] = [wiresBehindBacker, claddingProud, boxTooShallow];
