import { wayNames, type WallFixing } from '../../../making/hanging/index.js';
import type { AssemblyResults } from '../../results/index.js';
import { wholeFront } from '../places.js';
import type { Rule } from '../types.js';
import { around, change, kg, mm, more, one, otherWays } from './common.js';

const worst = ({ hang }: AssemblyResults): WallFixing | null =>
  hang?.fixings.reduce<WallFixing | null>((a, b) => (a === null || b.use > a.use ? b : a), null) ?? null;

const share = (results: AssemblyResults): number => Math.round(100 * (worst(results)?.use ?? 0));

/** A fixing in the wall carries more than it may. */
export const fixingsOverloaded: Rule = ({ results, catalogue }) => {
  const most = worst(results);
  if (most === null || most.use <= 1) return null;
  const { item, load, pullKg, ground } = most;
  const stronger = catalogue.fixings
    .filter(({ holdsIn, id }) => holdsIn.includes(ground) && id !== item.id)
    .sort((a, b) => a.price - b.price);
  return {
    id: 'fixings-overloaded',
    severity: 'stop',
    step: 'hang',
    what: 'A fixing in the wall carries more than it may',
    why: `${item.name} in ${ground === 'board' ? 'board' : ground} may carry ${kg(item.shearKg)} along the wall and ${kg(item.pullKg)} off it; this one has ${kg(load.kg)} and ${kg(Math.max(0, pullKg))}, ${share(results)} % of what it may.`,
    numbers: [
      { label: 'along the wall', value: load.kg, unit: 'kg' },
      { label: 'off the wall', value: Math.max(0, pullKg), unit: 'kg' },
      { label: 'of what it may', value: share(results), unit: '%' },
    ],
    where: around(most, results.placing),
    target: {
      label: 'of what a fixing may carry',
      better: 'lower',
      unit: '%',
      read: share,
      settled: (tried) => share(tried) <= 100,
    },
    remedies: [
      {
        id: 'stronger-fixing',
        candidates: stronger.map(({ id, name }) => ({ label: name, change: change(results, { fixingId: id }) })),
      },
      ...(results.hang!.ways.length > 0 ? [more(results), ...otherWays(results, results.hang!.way)] : []),
    ],
  };
};

const hardwareShare = ({ hang }: AssemblyResults): number =>
  hang?.hardware === undefined || hang.hardware === null
    ? 0
    : Math.round((100 * hang.hardware.kg) / hang.hardware.ratedKg);

/** A plate, spacer, bracket or chain carries more than it may. */
export const hardwareOverloaded: Rule = ({ results }) => {
  const { hang } = results;
  if (hang?.hardware === undefined || hang.hardware === null || hardwareShare(results) <= 100) return null;
  const { name, kg: has, ratedKg } = hang.hardware;
  return {
    id: 'hardware-overloaded',
    severity: 'stop',
    step: 'hang',
    what: 'What it hangs by carries more than it may',
    why: `${name}: ${kg(has)} each at most, rated ${kg(ratedKg)} (typical).`,
    numbers: [
      { label: 'on one', value: has, unit: 'kg' },
      { label: 'may carry', value: ratedKg, unit: 'kg' },
    ],
    where: wholeFront(results),
    target: {
      label: 'of what it may carry',
      better: 'lower',
      unit: '%',
      read: hardwareShare,
      settled: (tried) => hardwareShare(tried) <= 100,
    },
    remedies: [more(results), ...otherWays(results, hang.way)],
  };
};

const backShare = ({ hang }: AssemblyResults): number =>
  hang?.back === undefined || hang.back === null || hang.back.holdsKg <= 0
    ? 0
    : Math.round((100 * hang.back.kg) / hang.back.holdsKg);

/** The back is too thin or too soft for what pulls at it. */
export const backTooWeak: Rule = ({ results }) => {
  const { hang } = results;
  if (hang?.back === undefined || hang.back === null || backShare(results) <= 100) return null;
  const { kg: has, holdsKg } = hang.back;
  const [carrier] = hang.bodies.flatMap((body) => body.carrier ?? []);
  return {
    id: 'back-too-weak',
    severity: 'fix',
    step: 'hang',
    what: `The ${carrier?.name ?? 'back'} is too weak to hang it by`,
    why: `${mm(carrier?.thicknessMm ?? 0)} of it hold about ${kg(holdsKg)} at one place (typical); ${kg(has)} pull there. Screws tear out, slowly.`,
    numbers: [
      { label: 'at one place', value: has, unit: 'kg' },
      { label: 'it holds', value: holdsKg, unit: 'kg' },
    ],
    where: wholeFront(results),
    target: {
      label: 'of what it holds',
      better: 'lower',
      unit: '%',
      read: backShare,
      settled: (tried) => backShare(tried) <= 100,
    },
    remedies: [
      {
        id: 'glue-blocks',
        candidates: hang.takesBlocks
          ? [{ label: 'Glue blocks behind the fixings', change: change(results, { blocks: true }) }]
          : [],
      },
      more(results),
      ...otherWays(results, hang.way),
    ],
  };
};

/** Nothing on the shelf holds in what is behind a fixing: no number of them would. */
export const nothingHolds: Rule = ({ results }) => {
  const { hang } = results;
  const [ground] = hang?.without ?? [];
  if (hang === null || ground === undefined) return null;
  return {
    id: 'nothing-holds',
    severity: 'stop',
    step: 'hang',
    what: `No fixing on the shelf holds in ${ground}`,
    why: `${kg(hang.kg)} are to hang there, ${wayNames[hang.way ?? 'holes']}; of what the shop has nothing is made for ${ground}.`,
    numbers: [{ label: 'weight', value: hang.kg, unit: 'kg' }],
    where: wholeFront(results),
    target: {
      label: 'grounds that nothing holds in',
      better: 'lower',
      unit: '',
      read: (tried) => tried.hang?.without.length ?? 0,
      settled: (tried) => (tried.hang?.without.length ?? 0) === 0,
    },
    remedies: otherWays(results, hang.way),
    noRemedy: 'Put a fixing for it on the shelf, or hang it elsewhere.',
  };
};

/** Fixings that are not of the kind that the design names: it does not hold in what is behind them. */
const notAsNamed = ({ hang, assembly }: AssemblyResults): number => {
  const named = assembly.hanging?.fixingId;
  return named === undefined ? 0 : (hang?.fixings.filter(({ item }) => item.id !== named).length ?? 0);
};

/** A fixing is named that the wall does not take; what takes its place is told, and what would be bought by mistake. */
export const wrongFixing: Rule = ({ results, catalogue }) => {
  const count = notAsNamed(results);
  if (count === 0) return null;
  const named = catalogue.fixings.find(({ id }) => id === results.assembly.hanging?.fixingId);
  const other = results.hang!.fixings.find(({ item }) => item.id !== named?.id)!;
  return {
    id: 'wrong-fixing',
    severity: 'fix',
    step: 'hang',
    what: 'The fixing does not hold in this wall',
    why: `${named?.name ?? 'It'} holds in ${named?.holdsIn.join(', ') ?? 'nothing'}; ${count} of ${results.hang!.fixings.length} go into ${other.ground}, and are reckoned as ${other.item.name.toLowerCase()}.`,
    numbers: [{ label: 'not as named', value: count, unit: 'fixings' }],
    where: around(other, results.placing),
    target: {
      label: 'not as named',
      better: 'lower',
      unit: 'fixings',
      read: notAsNamed,
      settled: (tried) => notAsNamed(tried) === 0,
    },
    remedies: [
      {
        id: 'cheapest-fixing',
        candidates: [
          { label: 'The cheapest that holds there and carries it', change: change(results, { fixingId: undefined }) },
        ],
      },
    ],
  };
};

const comesOut = ({ hang }: AssemblyResults): number => one(hang?.held?.comesOutMm ?? 0);

/** No screw of the shop stays in what a plate or batten is held to, and bolts would be seen. */
export const screwsComeOut: Rule = ({ results }) => {
  const { hang } = results;
  const held = hang?.held ?? null;
  if (hang === null || held === null || comesOut(results) <= 0) return null;
  const [carrier] = hang.bodies.flatMap((body) => body.carrier ?? []);
  return {
    id: 'screws-come-out',
    severity: 'fix',
    step: 'hang',
    what: `What it hangs by cannot be screwed to the ${carrier?.name ?? 'back'}`,
    why: `The shortest, ${held.item.name.toLowerCase()}, is ${mm(comesOut(results))} too long for ${mm(carrier?.thicknessMm ?? 0)}, a millimetre of it left before the point; the front is seen, so that bolts are no way out.`,
    numbers: [{ label: 'too long by', value: comesOut(results), unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'too long by',
      better: 'lower',
      unit: 'mm',
      read: comesOut,
      settled: (tried) => comesOut(tried) <= 0,
    },
    remedies: otherWays(results, hang.way),
  };
};
