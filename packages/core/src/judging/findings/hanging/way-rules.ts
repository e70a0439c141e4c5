import { leastTipDeg, wayNames, type Hang } from '../../../making/hanging/index.js';
import type { AssemblyResults } from '../../results/index.js';
import { wholeFront } from '../places.js';
import type { Rule } from '../types.js';
import { change, kg, mm, one, otherWays, suited } from './common.js';

/** Chosen, and by what suits the place. */
const isHung = ({ hang, design }: AssemblyResults): boolean =>
  hang === null ||
  hang.ways.length === 0 ||
  (hang.way !== null && (suited[design.brief.place] as readonly Hang['way'][]).includes(hang.way));

/** Nobody has said how it hangs, or by a way that the place does not take. */
export const nothingToHangBy: Rule = ({ results }) => {
  const { hang } = results;
  if (hang === null || isHung(results)) return null;
  const { place } = results.design.brief;
  const asked = { wall: 'on a wall', window: 'in a window', counter: 'on a counter', ceiling: 'from a ceiling' }[place];
  return {
    id: 'nothing-to-hang-by',
    severity: 'fix',
    step: 'hang',
    what: hang.way === null ? 'Nothing is chosen to hang it by' : 'It hangs by what its place does not take',
    why:
      hang.way === null
        ? `It weighs ${kg(hang.kg)} and goes ${asked}; where it is fixed decides what is cut, drilled and bought.`
        : `It is to be ${asked} and is made to hang ${wayNames[hang.way]}; it weighs ${kg(hang.kg)}.`,
    numbers: [{ label: 'weight', value: hang.kg, unit: 'kg' }],
    where: wholeFront(results),
    target: {
      label: 'ways to hang it',
      better: 'higher',
      unit: '',
      read: (tried) => (isHung(tried) ? 1 : 0),
      settled: isHung,
    },
    remedies: otherWays(results, hang.way),
  };
};

const tip = ({ hang }: AssemblyResults): number => one(hang?.feet?.tipDeg ?? 90);

/** A sign on feet falls when it is bumped into. */
export const tipsOver: Rule = ({ results }) => {
  const feet = results.hang?.feet;
  if (feet === null || feet === undefined || feet.tipDeg >= leastTipDeg) return null;
  return {
    id: 'tips-over',
    severity: 'fix',
    step: 'hang',
    what: 'It tips over easily',
    why: `On feet ${mm(feet.depthMm)} deep its centre of gravity stands over their edge at ${one(feet.tipDeg)}°; ${leastTipDeg}° is the least where people pass (typical).`,
    numbers: [
      { label: 'tipped until it falls', value: feet.tipDeg, unit: '°' },
      { label: 'feet', value: feet.depthMm, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'tipped until it falls',
      better: 'higher',
      unit: '°',
      read: tip,
      settled: (tried) => tip(tried) >= leastTipDeg,
    },
    remedies: [
      {
        id: 'deeper-feet',
        candidates: [{ label: `Feet ${mm(feet.wantedMm)} deep`, change: change(results, { footMm: feet.wantedMm }) }],
      },
    ],
  };
};

/** What is slipped over its screws is lifted so far (mm). */
const slotLiftMm = 12;

const liftOf = ({ hang }: AssemblyResults): number =>
  hang?.cleat?.liftMm ?? (hang?.way === 'keyholes' ? slotLiftMm : 0);

const lacksRoom = (results: AssemblyResults): number =>
  Math.max(0, liftOf(results) - (results.assembly.hanging?.roomAboveMm ?? Infinity));

/** What hooks on must be lifted over its hook, and there is something above it. */
export const noRoomToLift: Rule = ({ results }) => {
  if (lacksRoom(results) <= 0) return null;
  const room = results.assembly.hanging?.roomAboveMm ?? 0;
  return {
    id: 'no-room-to-lift',
    severity: 'fix',
    step: 'hang',
    what: 'There is no room above to hook it on',
    why: `It is lifted ${mm(liftOf(results))} over its hook; ${mm(room)} are free above it.`,
    numbers: [
      { label: 'lifted', value: liftOf(results), unit: 'mm' },
      { label: 'free above', value: room, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'lacking',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(lacksRoom(tried)),
      settled: (tried) => lacksRoom(tried) <= 0,
    },
    remedies: [
      {
        id: 'thinner-cleat',
        candidates:
          results.hang?.cleat === undefined || results.hang.cleat === null
            ? []
            : [{ label: 'A cleat of thinner battens', change: change(results, { cleatMm: 6 }) }],
      },
      ...otherWays(results, results.hang?.way ?? null),
    ],
  };
};
