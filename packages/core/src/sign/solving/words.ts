import { buildOf } from '../../builds/index.js';
import type { Judged, SignFinding } from '../../judging/findings/index.js';
import { brightnessLimit, surroundingsOf } from '../../light/glow/index.js';

const round = (value: number): number => Math.round(value);

/** In a line what was chosen and why; of what could not be mended, what stands in the way. */
export const sentenceOf = ({ results }: Judged, left: readonly SignFinding[], index: number): string => {
  const own = results.assemblies[index]!;
  const { design, circuit, cost } = results;
  const { strip } = own.materials;
  const depth = buildOf(own).depth(own);
  const supply =
    circuit.supply === null
      ? 'no supply that carries it'
      : `${circuit.supplyCount === 1 ? '' : `${circuit.supplyCount} × `}${circuit.supply.name}`;
  const chosen = `${(own.runs.stripMm / 1000).toFixed(1)} m of ${strip.name}, ${depth.label.toLowerCase()} ${round(depth.mm)} mm, ${supply}`;
  if (left.length > 0)
    return `Nothing that was tried will do as wished. Nearest: ${chosen}. In the way: ${left
      .slice(0, 2)
      .map(({ what }) => what)
      .join('; ')}.`;
  const where = surroundingsOf(design.brief) === 'indoors' ? 'in the light of the place' : 'after dark';
  return `${chosen}, for ${round(own.glow.evenness.meanCdM2)} cd/m² (up to ${round(brightnessLimit(design.brief))} ${where}); the cheapest found that neither stops nor disappoints, ${cost.currency}${cost.perSign.toFixed(0)}.`;
};
