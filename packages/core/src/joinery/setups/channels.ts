import { failure, success, type Problem, type Result } from '../../base/result.js';
import type { Member, Seat } from '../members/index.js';
import { channelCautions, routerCautions, stoppedCautions } from './cautions.js';
import { clearChannel, clearEdge, heightsTo } from './passes.js';
import { referenceOf } from './reference.js';
import { near, together } from './together.js';
import type { ChannelSetUp, CutterInUse, FenceScale } from './types.js';

const mm = (value: number): string => `${Math.round(value * 100) / 100} mm`;

/** A sheet enters a seat that is so much wider than it is thick (mm). */
const leastEntryMm = 0.1;

/**
 * The blade or bit for a channel: blades where they may serve, and of those that reach as deep the one that needs fewest
 * passes: for a groove the widest that enters it, for a rabbet at the edge the narrowest that clears it at once.
 */
const bestCutter = (
  cutters: readonly CutterInUse[],
  kinds: readonly CutterInUse['kind'][],
  channel: { readonly widthMm: number; readonly depthMm: number; readonly atEdge: boolean },
): CutterInUse | undefined => {
  const { widthMm, depthMm, atEdge } = channel;
  const reach = cutters.filter(({ kind, mostDeepMm }) => kinds.includes(kind) && mostDeepMm >= depthMm);
  const narrow = reach.filter(({ cutMm }) => cutMm <= widthMm + 1e-6).sort((a, b) => b.cutMm - a.cutMm);
  const wide = reach.filter(({ cutMm }) => cutMm > widthMm + 1e-6).sort((a, b) => a.cutMm - b.cutMm);
  const ranked = atEdge ? [...wide, ...narrow] : narrow;
  return kinds.flatMap((kind) => ranked.find((cutter) => cutter.kind === kind) ?? [])[0];
};

/** What there is to say when no cutter of the shop fits a channel. */
const noCutter = (
  member: Member,
  seat: Pick<Seat, 'kind' | 'widthMm' | 'depthMm' | 'holds'>,
  cutters: readonly CutterInUse[],
): Problem => {
  const narrow = cutters.filter(({ kind }) => kind !== 'v-bit').sort((a, b) => a.cutMm - b.cutMm)[0];
  return {
    path: 'cutters',
    message:
      narrow === undefined
        ? 'there is no blade or bit on the shelf; put one there'
        : `the ${seat.kind} for the ${seat.holds} in ${member.name} is ${mm(seat.widthMm)} wide and ${mm(seat.depthMm)} deep; no blade or bit on the shelf is as narrow and reaches as deep (the narrowest cuts ${mm(narrow.cutMm)})`,
  };
};

const seatSetUp = (
  member: Member,
  seat: Seat,
  cutters: readonly CutterInUse[],
  scale: FenceScale,
): Result<ChannelSetUp> => {
  // A blade leaves a ramp where it is stopped; a bit stops where it is stopped.
  const stoppedMm = seat.stopMm;
  const kinds: readonly CutterInUse['kind'][] = stoppedMm > 0 ? ['bit'] : ['blade', 'bit'];
  const { reference, fromMm } = referenceOf(member, seat);
  const atEdge = fromMm < 1e-6;
  const cutter = bestCutter(cutters, kinds, { ...seat, atEdge });
  if (cutter === undefined) return failure(noCutter(member, seat, cutters));
  const leastMm = Math.min(seat.widthMm, seat.sheetMm + leastEntryMm);
  const asked = { fromMm, widthMm: seat.widthMm, leastMm };
  const { passes, clearMm } = atEdge
    ? clearEdge(asked, cutter.cutMm, scale)
    : clearChannel(asked, cutter.cutMm, scale)!;
  const stopped = stoppedMm > 0 ? { endMm: stoppedMm, blocksMm: member.lengthMm - stoppedMm - cutter.cutMm } : null;
  const machine = cutter.kind === 'blade' ? 'Saw' : 'Router table';
  return success({
    kind: 'channel',
    id: `${seat.kind}-${seat.holds}-${member.name}`,
    title: `${machine}: ${seat.kind} for the ${seat.holds}`,
    cutter,
    reference,
    down: 'inner side',
    members: [member.name],
    widthMm: member.widthMm,
    thicknessMm: member.thicknessMm,
    channel: { kind: seat.kind, widthMm: seat.widthMm, depthMm: seat.depthMm, holds: seat.holds, across: false },
    passes,
    heightsMm: heightsTo(seat.depthMm, cutter),
    clearMm,
    stopped,
    test: {
      what: `On an offcut of the same stock, ${seat.kind === 'groove' ? 'which' : 'in which'} the ${seat.holds} must ${seat.kind === 'groove' ? 'enter by hand' : 'lie flush'}:`,
      measures: [
        { label: `width of the ${seat.kind}`, mm: clearMm },
        { label: 'depth', mm: seat.depthMm },
        ...(atEdge ? [] : [{ label: `from the ${reference}`, mm: passes[0]!.fenceMm }]),
      ],
    },
    cautions: [
      ...(atEdge ? ['A sacrificial face on the fence: the blade or bit runs into it.'] : []),
      ...(stopped !== null ? stoppedCautions : cutter.kind === 'blade' ? channelCautions : routerCautions),
    ],
  });
};

/** Rabbets across the ends of members that run through; the end lies against the fence. */
const endRabbetSetUp = (member: Member, cutters: readonly CutterInUse[], scale: FenceScale): Result<ChannelSetUp> => {
  const { thicknessMm, endRabbetMm } = member;
  const as = { kind: 'rabbet', holds: 'member between', widthMm: thicknessMm, depthMm: endRabbetMm } as const;
  const cutter = bestCutter(cutters, ['blade'], { ...as, atEdge: true });
  if (cutter === undefined) return failure(noCutter(member, as, cutters));
  const { passes, clearMm } = clearEdge({ widthMm: thicknessMm, leastMm: thicknessMm }, cutter.cutMm, scale);
  return success({
    kind: 'channel',
    id: `end-rabbet-${member.name}`,
    title: 'Saw: rabbets across the ends',
    cutter,
    reference: 'end',
    down: 'inner side',
    members: [member.name],
    widthMm: member.widthMm,
    thicknessMm,
    channel: { ...as, across: true },
    passes,
    heightsMm: heightsTo(endRabbetMm, cutter),
    clearMm,
    stopped: null,
    test: {
      what: 'On an offcut of the same stock, in which the end of another must sit flush:',
      measures: [
        { label: 'width of the rabbet', mm: clearMm },
        { label: 'depth', mm: endRabbetMm },
      ],
    },
    cautions: [
      'Against the mitre gauge, with a sacrificial face on the fence; never by the fence alone.',
      ...channelCautions,
    ],
  });
};

/** Whether two channels are cut at one setting: fence and height agree, and stop blocks where there are any. */
const agree = (a: ChannelSetUp, b: ChannelSetUp): boolean =>
  a.cutter.id === b.cutter.id &&
  a.reference === b.reference &&
  a.channel.kind === b.channel.kind &&
  a.channel.holds === b.channel.holds &&
  a.passes.length === b.passes.length &&
  a.passes.every(({ fenceMm }, at) => near(fenceMm, b.passes[at]!.fenceMm)) &&
  near(a.channel.depthMm, b.channel.depthMm) &&
  (a.stopped === null) === (b.stopped === null) &&
  (a.stopped === null || b.stopped === null || near(a.stopped.blocksMm, b.stopped.blocksMm));

/** Set-ups of every channel of some members; problems name what no cutter of the shop can make. */
export const channelSetUps = (
  members: readonly Member[],
  cutters: readonly CutterInUse[],
  scale: FenceScale,
): Result<readonly ChannelSetUp[]> => {
  const found = members.flatMap((member) => [
    ...member.seats.map((seat) => seatSetUp(member, seat, cutters, scale)),
    ...(member.endRabbetMm > 0 ? [endRabbetSetUp(member, cutters, scale)] : []),
  ]);
  const problems = found.flatMap((each) => (each.ok ? [] : each.problems));
  if (problems.length > 0) return failure(...problems);
  return success(
    together(
      found.flatMap((each) => (each.ok ? [each.value] : [])),
      agree,
    ),
  );
};
