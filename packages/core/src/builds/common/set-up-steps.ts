import {
  metricFence,
  setUpsOf,
  type ChamferSetUp,
  type ChannelSetUp,
  type DrillSetUp,
  type TestPiece,
} from '../../joinery/setups/index.js';
import type { Cutter } from '../../document/catalogue/index.js';
import { membersOf, type CutPart } from '../../making/parts/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import { mm } from './step-words.js';

/** Where the fence stands for each pass, in words; a cutter that is wider than a rabbet at the edge is sunk into the fence. */
const fenceWords = ({ passes, reference, clearMm }: ChannelSetUp): string =>
  passes[0]!.fenceMm < 0
    ? `sunk into the fence so that ${mm(clearMm)} stand out, the ${reference} against it`
    : `fence ${passes.map(({ fenceMm }) => mm(fenceMm)).join(', ')} from the ${reference} to the near side`;

/** What the test piece of a setting must measure. */
const testWords = (test: TestPiece | null): string =>
  test === null
    ? ''
    : `${test.what} ${test.measures.map(({ label, mm: value }) => `${label} ${mm(value)}`).join(', ')}.`;

const drillStep = (setUp: DrillSetUp): ToldStep => {
  const { id, title, members, passes, reference, alongMm, bores, test, cutter } = setUp;
  const depths = bores.map(({ diameterMm, depthMm }) =>
    depthMm === null ? `Ø${diameterMm} through` : `Ø${diameterMm} ${mm(depthMm)} deep`,
  );
  return {
    id: `set-up-${id}`,
    phase: 'cut',
    title: `${title}, in ${members.join(' and ')}`,
    detail: `${cutter.name[0]!.toUpperCase()}${cutter.name.slice(1)}: ${mm(passes[0].fenceMm)} from the ${reference}, at ${alongMm.map(mm).join(', ')} from the front edge; ${depths.join(', then ')}. ${testWords(test)}`,
    minutes: 6 + 2 * members.length * alongMm.length,
    waitMinutes: 0,
    shows: { view: 'set-up', setUp },
    caution: setUp.cautions.join(' '),
    ofSign: false,
  };
};

const chamferStep = (setUp: ChamferSetUp): ToldStep => {
  const { id, title, members, passes, reference, heightsMm, mouthMm, stopped, cutter, cautions, test } = setUp;
  const where =
    passes.length === 0
      ? `${cutter.name[0]!.toUpperCase()}${cutter.name.slice(1)}: ${mm(mouthMm)} along the surface`
      : `${cutter.name}: fence ${passes.map(({ fenceMm }) => mm(fenceMm)).join(', ')} from the ${reference} to where the chamfer begins; point ${heightsMm.map(mm).join(', ')} over the table`;
  return {
    id: `set-up-${id}`,
    phase: 'cut',
    title: `${title}, in ${members.join(' and ')}`,
    detail: [
      `${where}.`,
      ...(stopped === null ? [] : [`Stop blocks ${mm(stopped.blocksMm)} from the bit on both sides.`]),
      testWords(test),
    ].join(' '),
    minutes: passes.length === 0 ? 4 * members.length : 6 + 2 * members.length,
    waitMinutes: 0,
    shows: { view: 'set-up', setUp },
    caution: cautions.join(' '),
    ofSign: false,
  };
};

/** A step for every setting of saw or router table that cuts a channel or breaks its mouths, and of the drill; lengths are cut with the boards. */
export const setUpSteps = (parts: readonly CutPart[], cutters: readonly Cutter[]): readonly ToldStep[] => {
  const found = setUpsOf(membersOf(parts), cutters, metricFence);
  if (!found.ok) return [];
  return found.value.flatMap((setUp): readonly ToldStep[] => {
    if (setUp.kind === 'drill') return [drillStep(setUp)];
    if (setUp.kind === 'chamfer') return [chamferStep(setUp)];
    if (setUp.kind !== 'channel') return [];
    const { heightsMm, stopped, cutter, members, test } = setUp;
    return [
      {
        id: `set-up-${setUp.id}`,
        phase: 'cut',
        title: `${setUp.title}, in ${members.join(' and ')}`,
        detail: [
          `${cutter.name}: ${fenceWords(setUp)}; height ${heightsMm.map(mm).join(', then ')}.`,
          ...(stopped === null
            ? []
            : [
                `Stop blocks ${mm(stopped.blocksMm)} from the bit on both sides leave ${mm(stopped.endMm)} at each end.`,
              ]),
          testWords(test),
        ].join(' '),
        minutes: 8 + 3 * members.length,
        waitMinutes: 0,
        shows: { view: 'set-up', setUp },
        caution: setUp.cautions.join(' '),
        ofSign: false,
      },
    ];
  });
};
