import type { Catalogue } from '../../document/catalogue/index.js';
import type { FaceLitResults } from '../../sign/evaluate/types.js';
import type { Remedy } from '../../judging/findings/index.js';

const at = 'assemblies.0';
const depthStepMm = 4;
const deepestFactor = 2.5;

/** Deeper by 4 mm steps, to two and a half times the depth. */
export const deepenCans = ({ assembly: { cans } }: FaceLitResults): Remedy => {
  const count = Math.ceil((cans.depthInsideMm * (deepestFactor - 1)) / depthStepMm);
  return {
    id: 'deepen',
    candidates: Array.from({ length: count }, (_, step) => Math.round(cans.depthInsideMm) + (step + 1) * depthStepMm)
      .filter((depth) => depth <= 400)
      .map((depth) => ({
        label: `Deepen to ${depth} mm inside`,
        change: [{ path: `${at}.cans.depthInsideMm`, value: depth }],
      })),
  };
};

/** Whiter linings than the present one, cheapest first. */
export const whiterCans = ({ materials }: FaceLitResults, catalogue: Catalogue): Remedy => ({
  id: 'whiter-lining',
  candidates: catalogue.linings
    .filter(({ reflectance }) => reflectance > materials.lining.reflectance + 0.01)
    .sort((a, b) => a.price - b.price)
    .map((lining) => ({
      label: `Line with ${lining.name.toLowerCase()}`,
      change: [{ path: `${at}.cans.liningId`, value: lining.id }],
    })),
});
