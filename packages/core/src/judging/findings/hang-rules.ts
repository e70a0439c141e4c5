import { set, type DesignChange, type HangingDesign } from '../../document/design/index.js';
import { leastTipDeg, wayNames, type Hang, type WallFixing } from '../../making/hanging/index.js';
import { unplaced, type Placing } from '../../base/placing/index.js';
import { fieldsIn, type AssemblyResults } from '../results/index.js';
import { oneChange } from './candidates.js';
import { wholeFront } from './places.js';
import type { Candidate, Place, Remedy, Rule } from './types.js';

type Way = HangingDesign['way'];

const one = (value: number): number => Math.round(value * 10) / 10;
const kg = (value: number): string => `${value.toFixed(1)} kg`;
const mm = (value: number): string => `${one(value)} mm`;

/** Ways that suit where a sign hangs or stands, the usual first. */
const suited: Readonly<Record<AssemblyResults['design']['brief']['place'], readonly Way[]>> = {
  wall: ['keyholes', 'cleat', 'spacers', 'holes', 'brackets'],
  window: ['chain', 'feet', 'brackets'],
  counter: ['feet'],
  ceiling: ['chain', 'brackets'],
};

const change = (results: AssemblyResults, own: Partial<HangingDesign>): DesignChange => [
  set(fieldsIn(results).hanging, { way: 'keyholes', ...results.assembly.hanging, ...own }),
];

/** Another way to hang, plain and with glue blocks behind it. */
const hungBy = (results: AssemblyResults, way: Way): Remedy => {
  const anew: DesignChange = [set(fieldsIn(results).hanging, { ...kept(results), way })];
  const blocked: Candidate = {
    label: `Hang it ${wayNames[way]}, glue blocks behind them`,
    change: [set(fieldsIn(results).hanging, { ...kept(results), way, blocks: true })],
  };
  const name = way === 'feet' ? 'Stand it on feet' : `Hang it ${wayNames[way]}`;
  return {
    id: `hang-${way}`,
    candidates: [{ label: name, change: anew }, ...(way === 'feet' || way === 'chain' ? [] : [blocked])],
  };
};

/** What another way keeps of the design: what is said of the place, not of fixings that it does not have. */
const kept = ({ assembly: { hanging } }: AssemblyResults): Partial<HangingDesign> => ({
  ...(hanging?.heightMm === undefined ? {} : { heightMm: hanging.heightMm }),
  ...(hanging?.roomAboveMm === undefined ? {} : { roomAboveMm: hanging.roomAboveMm }),
});

const otherWays = (results: AssemblyResults, not: Hang['way']): readonly Remedy[] =>
  suited[results.design.brief.place]
    .filter((way) => way !== not && results.hang?.ways.includes(way) === true)
    .map((way) => hungBy(results, way));

/** Round a fixing, in the axes of its assembly. */
const around = ({ at }: Pick<WallFixing, 'at'>, placing: Placing): Place => {
  const [x, y] = unplaced(placing, at);
  return { view: 'front', rect: { x: x - 20, y: y - 20, width: 40, height: 40 } };
};

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

const worst = ({ hang }: AssemblyResults): WallFixing | null =>
  hang?.fixings.reduce<WallFixing | null>((a, b) => (a === null || b.use > a.use ? b : a), null) ?? null;

const share = (results: AssemblyResults): number => Math.round(100 * (worst(results)?.use ?? 0));

/** More fixings than now. */
const more = (results: AssemblyResults): Remedy => {
  const now = Math.max(1, results.hang!.fixings.length);
  return {
    id: 'more-fixings',
    candidates: [2, 4, 6].map((add) => ({
      label: `${now + add} fixings`,
      change: change(results, { count: now + add, pinned: [] }),
    })),
  };
};

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
        candidates: [{ label: 'Glue blocks behind the fixings', change: change(results, { blocks: true }) }],
      },
      more(results),
      ...otherWays(results, hang.way),
    ],
  };
};

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

/** All that may be wrong with how an assembly hangs. */
export const hangRules: readonly Rule[] = [
  fixingsOverloaded,
  hardwareOverloaded,
  nothingToHangBy,
  backTooWeak,
  fixingsNotLevel,
  cleatMissesStuds,
  hangsCrooked,
  noRoomToLift,
  tipsOver,
];
