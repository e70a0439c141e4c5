import { set } from '../../document/design/index.js';
import { inDesign, type AssemblyResults } from '../../judging/results/index.js';
import type { Range } from '../../power/heat/index.js';
import type { FacedResults } from '../faces/results.js';
import { changeStrip, suitableStrips, wholeFront, type Remedy, type Rule } from '../../judging/findings/index.js';

/** Where the heat of a build stays, as its finding says it. */
export interface HeatWords {
  /** What sheds the heat: ‘the case’. */
  readonly sheds: string;
  /** Where the strip’s watts go: ‘stay in the case’. */
  readonly goes: string;
}

/** Lower than this nobody calls it lit. */
const leastLevel = 0.05;

/** Turned down step by step: what is not needed for the luminance is heat alone. */
const turnDown = ({ design }: AssemblyResults): Remedy => ({
  id: 'turn-down',
  candidates: [0.85, 0.7, 0.55, 0.4]
    .map((share) => Math.round(100 * share * (design.power.level ?? 1)) / 100)
    .filter((level) => level >= leastLevel)
    .map((level) => ({
      label: `Turn it down to ${Math.round(100 * level)} %`,
      change: [set(inDesign.power.level, level)],
    })),
});

/** The middle of a range (°C). */
export const likely = ({ low, high }: Range): number => (low + high) / 2;

/**
 * The strip gets hotter than it may, even in the kindest case; a note when it is only likelier than not. What the build
 * itself can change comes after a cooler strip.
 */
export const tooHot =
  <Results extends AssemblyResults>(
    words: HeatWords,
    ownRemedies: (results: Results) => readonly Remedy[],
  ): Rule<Results> =>
  ({ results, catalogue }) => {
    const { heat, materials, design } = results;
    const limit = materials.strip.maxBoardC;
    // Nobody is told of what is likelier not to be: the middle of the range decides.
    if (likely(heat.stripC) <= limit) return null;
    const sure = heat.stripC.low > limit;
    const cooler = suitableStrips(results, catalogue)
      .filter(({ wattsPerM }) => wattsPerM < materials.strip.wattsPerM)
      .sort((a, b) => b.wattsPerM - a.wattsPerM);
    const { fullStripC } = heat;
    const full =
      fullStripC.high > heat.stripC.high + 1
        ? ` (${Math.round(fullStripC.low)}–${Math.round(fullStripC.high)} °C with everything full on)`
        : '';
    return {
      id: 'too-hot',
      severity: sure ? 'fix' : 'note',
      step: 'power',
      what: sure ? `More heat than ${words.sheds} can shed` : 'The strip may run hot; measure a soak',
      why: `${Math.round(heat.watts)} W ${words.goes}; the strip comes to ${Math.round(heat.stripC.low)}–${Math.round(heat.stripC.high)} °C as it is set and may have ${limit} °C${full}. Lit ${design.brief.hoursPerDay} h a day.`,
      numbers: [
        { label: 'heat', value: heat.watts, unit: 'W' },
        { label: `${words.sheds} can shed`, value: heat.sheddableWatts, unit: 'W' },
      ],
      where: wholeFront(results),
      target: {
        label: sure ? 'strip at least' : 'strip likely',
        better: 'lower',
        unit: '°C',
        read: (tried) => Math.round(sure ? tried.heat.stripC.low : likely(tried.heat.stripC)),
        settled: (tried) => (sure ? tried.heat.stripC.low : likely(tried.heat.stripC)) <= limit,
      },
      remedies: [changeStrip(results, cooler), turnDown(results), ...ownRemedies(results)],
    };
  };

/** A face gets warmer than its sheet may stay, in the harsh case. */
export const faceTooHot =
  <Results extends FacedResults>(ownRemedies: (results: Results) => readonly Remedy[]): Rule<Results> =>
  ({ results }) => {
    const { heat, materials } = results;
    const { face } = materials;
    if (heat.faceC.high <= face.maxC) return null;
    return {
      id: 'face-too-hot',
      severity: heat.faceC.low > face.maxC ? 'stop' : 'fix',
      step: 'power',
      what: 'The face gets hotter than its sheet may',
      why: `${face.name} comes to ${Math.round(heat.faceC.low)}–${Math.round(heat.faceC.high)} °C and may have ${face.maxC} °C for good; beyond that it creeps and bows.`,
      numbers: [
        { label: 'face', value: heat.faceC.high, unit: '°C' },
        { label: 'may have', value: face.maxC, unit: '°C' },
      ],
      where: wholeFront(results),
      target: {
        label: 'face at most',
        better: 'lower',
        unit: '°C',
        read: (tried) => Math.round(tried.heat.faceC.high),
        settled: (tried) => tried.heat.faceC.high <= face.maxC,
      },
      remedies: ownRemedies(results),
    };
  };
