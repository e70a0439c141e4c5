import { inDesign, type SignResults } from '../results/index.js';
import { changeStrip, higherVoltage, moreSupplies, oneChange, suitableStrips } from './candidates.js';
import { injectFarEnds, splitChains } from './run-rules.js';
import { dimPlace } from './places.js';
import type { SignRule } from './types.js';

/** Side by side, a difference of this in u′v′ is seen by most (typical). */
const seenShift = 0.007;

const shift = ({ circuit }: SignResults): number =>
  circuit.chains.reduce((most, { colourShift }) => Math.max(most, colourShift), 0);

/** A mixed colour turns along a run, since its colours lose unlike shares of their light. */
export const colourDrifts: SignRule = ({ results, catalogue }) => {
  const found = shift(results);
  if (found <= seenShift) return null;
  const worst = results.circuit.chains.find(({ colourShift }) => colourShift === found)!;
  return {
    id: 'colour-drifts',
    severity: 'fix',
    step: 'power',
    what: 'The colour turns along a run',
    why: `At the far end of chain ${worst.number} it is ${found.toFixed(3)} off in u′v′; most eyes see ${seenShift} side by side (typical). Red needs least voltage and keeps most of its light.`,
    numbers: [
      { label: 'off in u′v′', value: Math.round(found * 1000) / 1000, unit: '' },
      { label: 'drop', value: worst.dropV, unit: 'V' },
    ],
    where: dimPlace(results, worst),
    target: {
      label: 'off in u′v′',
      better: 'lower',
      unit: '×10⁻³',
      read: (tried) => Math.round(shift(tried) * 10_000) / 10,
      settled: (tried) => shift(tried) <= seenShift,
    },
    remedies: [
      {
        id: 'inject',
        candidates: [
          {
            label: 'Feed the far end as well',
            change: injectFarEnds(results, ({ colourShift }) => colourShift > seenShift),
          },
        ],
      },
      ...splitChains(results, ({ colourShift }) => colourShift > seenShift),
      ...(results.design.power.feed === 'both-ends'
        ? []
        : [oneChange('both-ends', 'Feed every run at both ends', inDesign.power.feed, 'both-ends')]),
      moreSupplies(results),
      ...higherVoltage(results, catalogue),
      ...results.assemblies.map((own) =>
        changeStrip(
          own,
          suitableStrips(own, catalogue)
            .filter(({ wattsPerM }) => wattsPerM < own.materials.strip.wattsPerM)
            .sort((a, b) => b.wattsPerM - a.wattsPerM),
        ),
      ),
    ],
  };
};
