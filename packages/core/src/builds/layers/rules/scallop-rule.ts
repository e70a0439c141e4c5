import { changeStrip, suitableStrips, type Rule } from '../../../judging/findings/index.js';
import type { LayersResults } from '../results.js';
import { placeAt } from '../../common/rule-words.js';
import { widerWindow } from './sight-rules.js';

const percent = (share: number): number => Math.round(1000 * share) / 10;

/** Single LEDs show as scallops on what is seen near the strip. */
export const scallopsShow: Rule<LayersResults> = ({ results, catalogue }) => {
  const { dots } = results.glow.evenness;
  const { readingDistanceMm } = results.design.brief;
  if (dots.vanishesAtMm <= readingDistanceMm) return null;
  const finer = suitableStrips(results, catalogue)
    .filter(({ ledsPerM, form }) => form !== 'modules' && ledsPerM > results.materials.strip.ledsPerM)
    .sort((a, b) => a.ledsPerM - b.ledsPerM);
  const vanishes = ({ glow }: LayersResults): number => Math.round(glow.evenness.dots.vanishesAtMm);
  return {
    id: 'scallops-show',
    severity: 'fix',
    step: 'light',
    what: 'Single LEDs show near the rim',
    why: `What is seen there is ${Math.round(results.glow.nearestMm)} mm from LEDs that stand ${Math.round(dots.pitchMm)} mm apart: ${percent(dots.contrast)} % of contrast, where the eye sees ${percent(dots.threshold)} %. It vanishes from ${Math.round(dots.vanishesAtMm / 100) / 10} m on.`,
    numbers: [{ label: 'contrast', value: percent(dots.contrast), unit: '%' }],
    where: placeAt(dots.at, 20),
    target: {
      label: 'vanishes at',
      unit: 'mm',
      better: 'lower',
      read: vanishes,
      settled: (tried) => tried.glow.evenness.dots.vanishesAtMm <= tried.design.brief.readingDistanceMm,
    },
    remedies: [changeStrip(results, finer), widerWindow(results)],
  };
};
