import type { Member, Seat } from '../members/index.js';
import { handCautions, routerCautions, stoppedCautions } from './cautions.js';
import { referenceOf } from './reference.js';
import { setFence } from './fence.js';
import { near, together } from './together.js';
import type { ChamferSetUp, CutterInUse, FenceScale, Pass } from './types.js';

/** A V bit that leans on one mouth alone stands so much deeper than the chamfer (mm): its point cuts nothing. */
const beyondMm = 1;

const chamferOf = ({ mouthMm = 0 }: Seat): number => mouthMm;

/** Where a V bit of 90° stands for a groove: once along its middle where it is wide enough for both mouths, or along each. */
const vPasses = (
  fromMm: number,
  { widthMm, mouthMm = 0 }: Seat,
  bit: CutterInUse,
  scale: FenceScale,
): { readonly passes: readonly Pass[]; readonly heightMm: number } => {
  const over = widthMm + 2 * mouthMm;
  const pass = (wantedMm: number): Pass => ({ wantedMm, fenceMm: setFence(wantedMm, scale) });
  if (over <= bit.cutMm && over / 2 <= bit.mostDeepMm) return { passes: [pass(fromMm - mouthMm)], heightMm: over / 2 };
  const heightMm = mouthMm + beyondMm;
  return {
    passes: [pass(fromMm - mouthMm), pass(fromMm + widthMm + mouthMm - 2 * heightMm)],
    heightMm,
  };
};

const shared = (member: Member, seat: Seat, reference: string, channelMm: number) => ({
  kind: 'chamfer' as const,
  id: `chamfer-${seat.holds}-${member.name}`,
  reference,
  down: 'inner side',
  members: [member.name],
  widthMm: member.widthMm,
  thicknessMm: member.thicknessMm,
  mouthMm: chamferOf(seat),
  channel: { holds: seat.holds, fromMm: channelMm, widthMm: seat.widthMm, depthMm: seat.depthMm },
  test: {
    what: `On the offcut of the groove, into which the ${seat.holds} slides without catching:`,
    measures: [{ label: 'over both chamfers', mm: seat.widthMm + 2 * chamferOf(seat) }],
  },
});

/** By a V bit where one is on the shelf that is wide enough; a lip, and what no bit reaches, by hand. */
const chamferSetUp = (member: Member, seat: Seat, cutters: readonly CutterInUse[], scale: FenceScale): ChamferSetUp => {
  const mouthMm = chamferOf(seat);
  const { reference, fromMm } = referenceOf(member, seat);
  const bit = cutters
    .filter(({ kind, cutMm, mostDeepMm }) => {
      const deep = mouthMm + beyondMm;
      return kind === 'v-bit' && mostDeepMm >= deep && cutMm >= 2 * deep;
    })
    .sort((a, b) => b.cutMm - a.cutMm)[0];
  const common = shared(member, seat, reference, fromMm);
  if (bit === undefined || seat.kind !== 'groove' || fromMm < mouthMm)
    return {
      ...common,
      title: `By hand: chamfer for the ${seat.holds}`,
      cutter: { name: 'sanding block held at 45°' },
      passes: [],
      heightsMm: [],
      stopped: null,
      cautions: handCautions,
    };
  const { passes, heightMm } = vPasses(fromMm, seat, bit, scale);
  const { stopMm } = seat;
  return {
    ...common,
    title: `Router: chamfer for the ${seat.holds}`,
    cutter: bit,
    passes,
    heightsMm: [heightMm],
    stopped: stopMm > 0 ? { endMm: stopMm, blocksMm: member.lengthMm - stopMm - 2 * heightMm } : null,
    cautions: stopMm > 0 ? stoppedCautions : routerCautions,
  };
};

/** Whether two chamfers are cut at one setting. */
const agree = (a: ChamferSetUp, b: ChamferSetUp): boolean =>
  a.cutter.name === b.cutter.name &&
  a.reference === b.reference &&
  a.channel.holds === b.channel.holds &&
  a.passes.length === b.passes.length &&
  a.passes.every(({ fenceMm }, at) => near(fenceMm, b.passes[at]!.fenceMm)) &&
  near(a.mouthMm, b.mouthMm) &&
  near(a.stopped?.blocksMm ?? 0, b.stopped?.blocksMm ?? 0);

/** The mouths of all seats that are to be broken, those of one setting together; after the seats themselves. */
export const chamferSetUps = (
  members: readonly Member[],
  cutters: readonly CutterInUse[],
  scale: FenceScale,
): readonly ChamferSetUp[] =>
  together(
    members.flatMap((member) =>
      member.seats.filter((seat) => chamferOf(seat) > 0).map((seat) => chamferSetUp(member, seat, cutters, scale)),
    ),
    agree,
  );
