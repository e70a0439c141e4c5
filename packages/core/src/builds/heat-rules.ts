import type { StageResults } from '../evaluate/types.js';
import { changeStrip, suitableStrips, wholeFront, type Remedy, type Rule } from '../findings/index.js';

/** Where the heat of a build stays, as its finding says it. */
export interface HeatWords {
  /** What sheds the heat: ‘the case’. */
  readonly sheds: string;
  /** Where the strip’s watts go: ‘stay in the case’. */
  readonly goes: string;
}

/**
 * The strip gets hotter than it may, even in the kindest case; a note when only the harsh case says so. What the build
 * itself can change comes after a cooler strip.
 */
export const tooHot =
  <Results extends StageResults>(
    words: HeatWords,
    ownRemedies: (results: Results) => readonly Remedy[],
  ): Rule<Results> =>
  ({ results, catalogue }) => {
    const { heat, materials, design } = results;
    const limit = materials.strip.maxBoardC;
    if (heat.stripC.high <= limit) return null;
    const sure = heat.stripC.low > limit;
    const cooler = suitableStrips(results, catalogue)
      .filter(({ wattsPerM }) => wattsPerM < materials.strip.wattsPerM)
      .sort((a, b) => b.wattsPerM - a.wattsPerM);
    return {
      id: 'too-hot',
      severity: sure ? 'fix' : 'note',
      step: 'power',
      what: sure ? `More heat than ${words.sheds} can shed` : 'The strip may run hot; measure a soak',
      why: `${Math.round(heat.watts)} W ${words.goes}; the strip comes to ${Math.round(heat.stripC.low)}–${Math.round(heat.stripC.high)} °C and may have ${limit} °C. Lit ${design.brief.hoursPerDay} h a day.`,
      numbers: [
        { label: 'heat', value: heat.watts, unit: 'W' },
        { label: `${words.sheds} can shed`, value: heat.sheddableWatts, unit: 'W' },
      ],
      where: wholeFront(results),
      target: {
        label: 'strip at least',
        better: 'lower',
        unit: '°C',
        read: (tried) => Math.round(tried.heat.stripC.low),
        settled: (tried) => (sure ? tried.heat.stripC.low : tried.heat.stripC.high) <= limit,
      },
      remedies: [changeStrip(cooler), ...ownRemedies(results)],
    };
  };
