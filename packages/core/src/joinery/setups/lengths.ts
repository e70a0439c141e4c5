import { mitreSlotShare, type Member } from '../members/index.js';
import { sawCautions } from './cautions.js';
import { setFence } from './fence.js';
import type { CutterInUse, FenceScale, LengthSetUp, RipSetUp, SplineSetUp } from './types.js';

/** Long side of the offcuts with which mitres are tried (mm). */
const offcutMm = 200;

const key = (mm: number): string => mm.toFixed(3);

const groups = (members: readonly Member[], of: (member: Member) => string): readonly (readonly Member[])[] => {
  const found = new Map<string, Member[]>();
  for (const member of members) found.set(of(member), [...(found.get(of(member)) ?? []), member]);
  return [...found.values()];
};

const shared = (own: readonly Member[], blade: CutterInUse) => ({
  cutter: blade,
  members: own.map(({ name }) => name),
  widthMm: own[0]!.widthMm,
  thicknessMm: own[0]!.thicknessMm,
});

/** Members of one width and thickness are ripped at one setting. */
export const ripSetUps = (members: readonly Member[], blade: CutterInUse, scale: FenceScale): readonly RipSetUp[] =>
  groups(members, ({ widthMm, thicknessMm }) => `${key(widthMm)} ${key(thicknessMm)}`).map((own, at) => {
    const { widthMm } = own[0]!;
    const fenceMm = setFence(widthMm, scale);
    return {
      kind: 'rip',
      id: `rip-${at + 1}`,
      title: 'Saw: rip to width',
      ...shared(own, blade),
      reference: 'a straight edge',
      down: 'face',
      passes: [{ wantedMm: widthMm, fenceMm }],
      test: { what: 'Measure the first one:', measures: [{ label: 'width', mm: fenceMm }] },
      cautions: sawCautions,
    };
  });

/** Members of one length and kind of end are cut against one stop block, so that opposite sides are equal. */
export const lengthSetUps = (
  members: readonly Member[],
  blade: CutterInUse,
  scale: FenceScale,
): readonly LengthSetUp[] =>
  groups(members, ({ lengthMm, ends, thicknessMm }) => `${key(lengthMm)} ${ends} ${key(thicknessMm)}`).map(
    (own, at) => {
      const { lengthMm, ends } = own[0]!;
      const stopMm = setFence(lengthMm, scale);
      const mitred = ends === 'mitre';
      return {
        kind: 'length',
        id: `length-${at + 1}`,
        title: mitred ? 'Saw: mitres to length' : 'Saw: cut to length',
        ...shared(own, blade),
        reference: mitred ? 'long point at the stop block' : 'end at the stop block',
        down: mitred ? 'outer side' : 'face',
        ends,
        stopMm,
        test: mitred
          ? {
              what: 'Four mitred offcuts of one length taped together, no gap inside or outside:',
              measures: [
                { label: 'long side', mm: offcutMm },
                { label: 'both diagonals alike, about', mm: Math.hypot(offcutMm, offcutMm) },
              ],
            }
          : { what: 'Measure the first one:', measures: [{ label: 'length', mm: stopMm }] },
        cautions: sawCautions,
      };
    },
  );

/** How deep a slot for a spline is, as a share of the thickness. */
const slotShare = 0.4;
/** A spline is so much narrower than both slots together (mm). */
const splinePlayMm = 0.5;

/** Slots for splines in mitred members, nearer their inner side, where the wood behind is thickest. */
export const splineSetUps = (
  members: readonly Member[],
  blade: CutterInUse,
  scale: FenceScale,
): readonly SplineSetUp[] =>
  groups(
    members.filter(({ joint }) => joint === 'mitre-spline'),
    ({ thicknessMm }) => key(thicknessMm),
  ).map((own, at) => {
    const { thicknessMm } = own[0]!;
    // Along the slope of the mitre.
    const slopeMm = thicknessMm * Math.SQRT2;
    const wantedMm = mitreSlotShare * slopeMm - blade.cutMm / 2;
    const fenceMm = setFence(wantedMm, scale);
    const depthMm = Math.round(slotShare * thicknessMm * 10) / 10;
    return {
      kind: 'spline',
      id: `spline-${at + 1}`,
      title: 'Saw: slots for splines',
      ...shared(own, blade),
      reference: 'inner edge of the mitre',
      down: 'sloping end, blade tilted 45° or board in a 45° cradle',
      passes: [{ wantedMm, fenceMm }],
      heightsMm: [depthMm],
      splineMm: [blade.cutMm, 2 * depthMm - splinePlayMm],
      test: {
        what: 'Two mitred offcuts and a spline close without force;',
        measures: [
          { label: 'width of the slot', mm: blade.cutMm },
          { label: 'depth', mm: depthMm },
        ],
      },
      cautions: ['A cradle or tall jig holds the board; never freehand on its end.', ...sawCautions],
    };
  });
