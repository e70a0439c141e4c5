import { failure, success, type Result } from '../../base/result.js';
import type { Member } from '../members/index.js';
import { chamferSetUps } from './chamfers.js';
import { channelSetUps } from './channels.js';
import { drillSetUps } from './drilling.js';
import { lengthSetUps, ripSetUps, splineSetUps } from './lengths.js';
import { inchFence, metricFence } from './fence.js';
import type { ChannelSetUp, CutterInUse, FenceScale, SetUp } from './types.js';

export { inchFence, metricFence, setFence } from './fence.js';
export { clearChannel, clearEdge, heightsTo, type ChannelAsked, type Cleared } from './passes.js';
export type {
  ChamferSetUp,
  ChannelSetUp,
  CutterInUse,
  DrillSetUp,
  FenceScale,
  LengthSetUp,
  Pass,
  RipSetUp,
  SetUp,
  SplineSetUp,
  TestPiece,
} from './types.js';

/** The set-ups of a sign with its fences in either unit, or what of the shop’s shelf stands in the way. */
export interface SetUps {
  readonly mm: Result<readonly SetUp[]>;
  readonly in: Result<readonly SetUp[]>;
}

/** The saw blade for length and width: the widest on the shelf, which is the stiffest. */
export const sawBladeOf = (cutters: readonly CutterInUse[]): CutterInUse | undefined =>
  [...cutters].filter(({ kind }) => kind === 'blade').sort((a, b) => b.cutMm - a.cutMm)[0];

/**
 * Every setting at which the members of a sign are cut, in an order that leaves no later cut impossible: ripped to width;
 * those with mitres get their channels as long stock, before the mitres; those with square ends are cut to length first, since
 * stop blocks and end rabbets go by their ends; mouths are broken when
 * their groove is there; then splines, and holes last, by ends and edges as they stay. Fails with what no blade or bit of the shop can cut.
 */
export const setUpsOf = (
  members: readonly Member[],
  cutters: readonly CutterInUse[],
  scale: FenceScale,
): Result<readonly SetUp[]> => {
  if (members.length === 0) return success([]);
  const blade = sawBladeOf(cutters);
  if (blade === undefined)
    return failure({ path: 'cutters', message: 'there is no saw blade on the shelf; put one there' });
  const channels = channelSetUps(members, cutters, scale);
  if (!channels.ok) return channels;
  const square = members.filter(({ ends }) => ends === 'square');
  const mitred = members.filter(({ ends }) => ends === 'mitre');
  const of = (own: readonly Member[]) => (setUp: ChannelSetUp) =>
    setUp.members.some((name) => own.some((member) => member.name === name));
  return success([
    ...ripSetUps(members, blade, scale),
    ...lengthSetUps(square, blade, scale),
    ...channels.value.filter(of(square)),
    ...chamferSetUps(square, cutters, scale),
    ...channels.value.filter(of(mitred)),
    ...chamferSetUps(mitred, cutters, scale),
    ...lengthSetUps(mitred, blade, scale),
    ...splineSetUps(mitred, blade, scale),
    ...drillSetUps(members, scale),
  ]);
};

/** The same for fences that read millimetres and for those that read inches. */
export const setUpsInBoth = (members: readonly Member[], cutters: readonly CutterInUse[]): SetUps => ({
  mm: setUpsOf(members, cutters, metricFence),
  in: setUpsOf(members, cutters, inchFence),
});
