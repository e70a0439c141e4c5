import { set } from '../../document/design/index.js';
import type { Rule } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { backHoldOf } from './back-hold.js';
import type { BoxResults } from './results.js';

/** What of a cleat’s mate between the returns lies over the back (mm): the back cannot pass it. */
const overBack = ({ hang }: BoxResults): number => (hang?.onReturns === true ? (hang.cleat?.highMm ?? 0) : 0);

/** A cleat that is fixed to the returns shuts the back in, which opens for service. */
export const backShutIn: Rule<BoxResults> = ({ results }) => {
  const mm = overBack(results);
  if (mm <= 0) return null;
  const { inside, back, recessMm } = results.geometry;
  return {
    id: 'back-shut-in',
    severity: 'fix',
    step: 'hang',
    what: 'The back cannot come out past the cleat',
    why: `The cleat’s mate stands between the returns and lies ${mm} mm over the back, which must come off when strip fails.`,
    numbers: [{ label: 'over the back', value: mm, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: -back.thicknessMm - recessMm,
        y: inside.heightMm / 2 - mm - 30,
        width: back.thicknessMm + recessMm,
        height: mm,
      },
    },
    target: {
      label: 'over the back',
      better: 'lower',
      unit: 'mm',
      read: overBack,
      settled: (tried) => overBack(tried) <= 0,
    },
    remedies: [
      {
        id: 'mate-on-back',
        candidates: [
          {
            label: 'Fix the cleat to the back, which comes off with it',
            change: [set(fieldsIn(results).hanging, { ...results.assembly.hanging!, matedTo: 'back' })],
          },
        ],
      },
      {
        id: 'hang-keyholes',
        candidates: [
          {
            label: 'Hang it on slotted plates',
            change: [set(fieldsIn(results).hanging, { way: 'keyholes', blocks: true })],
          },
        ],
      },
    ],
  };
};

/** A cleat that is thicker than the recess behind the back, where the case has one: it holds the whole sign off the wall (mm). */
const proud = ({ hang, geometry }: BoxResults): number =>
  hang?.cleat === undefined || hang.cleat === null || geometry.recessMm <= 0
    ? 0
    : Math.max(0, hang.cleat.thicknessMm - geometry.recessMm);

/** The back was set in for the cleat, and not deep enough. */
export const cleatProud: Rule<BoxResults> = ({ results }) => {
  const mm = Math.round(10 * proud(results)) / 10;
  if (mm <= 0) return null;
  const { hang, geometry } = results;
  const { back, inside } = geometry;
  return {
    id: 'cleat-proud',
    severity: 'fix',
    step: 'hang',
    what: 'The cleat stands out of its recess',
    why: `The back is set in by ${geometry.recessMm} mm, the cleat is ${hang!.cleat!.thicknessMm} mm thick: the case stands ${mm} mm off the wall, and light and dust get behind it.`,
    numbers: [{ label: 'stands out', value: mm, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: -back.thicknessMm - geometry.recessMm,
        y: inside.heightMm / 2 - 60,
        width: geometry.recessMm,
        height: 50,
      },
    },
    target: {
      label: 'stands out',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(10 * proud(tried)) / 10,
      settled: (tried) => proud(tried) <= 0,
    },
    remedies: [
      {
        id: 'deeper-recess',
        candidates: [
          {
            label: `Set the back in by ${hang!.cleat!.thicknessMm} mm`,
            change: [set(fieldsIn(results).case.recessMm, hang!.cleat!.thicknessMm)],
          },
        ],
      },
      {
        id: 'thinner-cleat',
        candidates: [
          {
            label: 'A cleat of thinner battens',
            change: [
              set(fieldsIn(results).hanging, { ...results.assembly.hanging!, cleatMm: Math.max(6, geometry.recessMm) }),
            ],
          },
        ],
      },
    ],
  };
};

/** How far turn buttons stand out past what holds the sign off the wall (mm). */
const buttonsProud = ({ hang, assembly }: BoxResults): number =>
  hang === null || hang.way === null ? 0 : Math.max(0, backHoldOf(assembly.case).proudMm - hang.offWallMm);

/** Turn buttons between the sign and the wall that it hangs flush on. */
export const buttonsAtWall: Rule<BoxResults> = ({ results }) => {
  const mm = Math.round(10 * buttonsProud(results)) / 10;
  if (mm <= 0) return null;
  const { back, inside, recessMm } = results.geometry;
  const { case: box, hanging } = fieldsIn(results);
  return {
    id: 'buttons-at-wall',
    severity: 'fix',
    step: 'hang',
    what: 'Turn buttons stand between the sign and the wall',
    why: `They stand ${backHoldOf(results.assembly.case).proudMm} mm out of the rear edges, and the sign hangs ${results.hang!.offWallMm} mm off the wall: it would rock on them.`,
    numbers: [{ label: 'stand out', value: mm, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: { x: -back.thicknessMm - recessMm - 4, y: inside.heightMm / 2 - 10, width: 4, height: 20 },
    },
    target: {
      label: 'stand out',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(10 * buttonsProud(tried)) / 10,
      settled: (tried) => buttonsProud(tried) <= 0,
    },
    remedies: [
      { id: 'back-screws', candidates: [{ label: 'Screw the back', change: [set(box.backHold, 'screws')] }] },
      {
        id: 'hang-cleat',
        candidates: [{ label: 'Hang it on a cleat', change: [set(hanging, { way: 'cleat', blocks: true })] }],
      },
    ],
  };
};
