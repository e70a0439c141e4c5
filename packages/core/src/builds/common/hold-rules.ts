import { capital } from '../../base/words/index.js';
import type { Catalogue, Lining } from '../../document/catalogue/index.js';
import { fieldsIn, type AssemblyResults } from '../../judging/results/index.js';
import { oneChange, wholeFront, type Remedy, type Rule } from '../../judging/findings/index.js';
import { clipEveryMm, clipsOf } from '../../making/parts/index.js';
import { likely } from './heat-rules.js';

/** Mounting tape on the back of strip creeps above this (°C), typical. */
const tapeMaxC = 55;
/** Runs shorter than this stay up by themselves when they get warm; upright ones hang by their own weight from this on (mm). */
const longRunMm = 300;
const longUprightMm = 800;

const isUpright = ({ from, to, on }: AssemblyResults['runs']['segments'][number]): boolean =>
  on !== 'letter' && Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0]);

/** Why tape alone will not hold the strip. */
interface Doubt {
  readonly why: string;
  readonly segments: number;
}

const doubtsOf = (results: AssemblyResults, isBare: boolean): readonly Doubt[] => {
  const { runs, assembly, design } = results;
  if (assembly.light.hold === 'clips') return [];
  const longer = (mm: number) => runs.segments.filter(({ lengthMm }) => lengthMm > mm);
  const warm = likely(results.heat.stripC) > tapeMaxC ? longer(longRunMm).length : 0;
  const upright = longer(longUprightMm).filter(isUpright).length;
  const doubts: readonly Doubt[] = [
    {
      why: `at about ${Math.round(likely(results.heat.stripC))} °C its adhesive creeps (above ${tapeMaxC} °C, typical)`,
      segments: warm,
    },
    {
      why: 'tape that was stuck before does not hold again',
      segments: assembly.light.secondHand === true ? runs.segments.length : 0,
    },
    { why: `it hangs by its own weight over more than ${longUprightMm} mm`, segments: upright },
    {
      why: 'hung from a ceiling it pulls at its tape all the time',
      segments: design.brief.place === 'ceiling' ? longer(longRunMm).length : 0,
    },
    { why: 'tape does not keep on bare wood and its dust', segments: isBare ? runs.segments.length : 0 },
  ];
  return doubts.filter(({ segments }) => segments > 0);
};

/** No finish at all: what is there is what the board is. */
export const isNoFinish = ({ kgPerM2 }: Lining): boolean => kgPerM2 === 0;

/** What a build says of the ground that its strip is stuck on. */
export interface StripGround<Results extends AssemblyResults> {
  /** Strip lies on bare wood. */
  readonly isBare: (results: Results) => boolean;
  readonly finish: (results: Results, catalogue: Catalogue) => Remedy;
}

/** Strip that gets warm, hangs, was stuck before or lies on bare wood lets go when tape alone holds it. */
export const tapeLetsGo =
  <Results extends AssemblyResults>({ isBare, finish }: StripGround<Results>): Rule<Results> =>
  ({ results, catalogue }) => {
    const doubts = (tried: Results): readonly Doubt[] => doubtsOf(tried, isBare(tried));
    const now = doubts(results);
    if (now.length === 0) return null;
    const clips = clipsOf(results.runs, 'clips');
    const affected = (tried: Results): number => Math.max(0, ...doubts(tried).map(({ segments }) => segments));
    const words = now.map(({ why }) => why).join('; ');
    return {
      id: 'tape-lets-go',
      severity: 'note',
      step: 'light',
      what: 'Hold the strip by more than its tape',
      why: `${capital(words)}. Wipe with alcohol, stick at 15 °C or more, press for a day before it hangs; a clip or a dab of neutral silicone every ${clipEveryMm} mm holds.`,
      numbers: [
        { label: 'strip', value: Math.round(likely(results.heat.stripC)), unit: '°C' },
        { label: 'segments that may let go', value: affected(results), unit: '' },
        { label: 'clips', value: clips, unit: '' },
      ],
      where: wholeFront(results),
      target: {
        label: 'segments that may let go',
        better: 'lower',
        unit: '',
        read: affected,
        settled: (tried) => doubts(tried).length === 0,
      },
      remedies: [
        oneChange('clips', `${clips} clips besides the tape`, fieldsIn(results).light.hold, 'clips'),
        ...(isBare(results) ? [finish(results, catalogue)] : []),
      ],
    };
  };
