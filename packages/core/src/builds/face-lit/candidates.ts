import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { FaceLitResults } from './results.js';
import type { Remedy } from '../../judging/findings/index.js';
import { whiterLinings } from '../common/whiter-linings.js';

const depthStepMm = 4;
const deepestFactor = 2.5;
/** Cans deeper than this, and deeper than their letters are high, are no letters any more (mm). */
const deepEnoughMm = 60;

/** Deeper by 4 mm steps, to two and a half times the depth, but not deeper than the letters are high. */
export const deepenCans = (results: FaceLitResults): Remedy => {
  const { cans } = results.assembly;
  const deepest = Math.min(400, Math.max(deepEnoughMm, results.lettering.bounds?.height ?? 0));
  const count = Math.ceil((cans.depthInsideMm * (deepestFactor - 1)) / depthStepMm);
  return {
    id: 'deepen',
    candidates: Array.from({ length: count }, (_, step) => Math.round(cans.depthInsideMm) + (step + 1) * depthStepMm)
      .filter((depth) => depth <= deepest)
      .map((depth) => ({
        label: `Deepen to ${depth} mm inside`,
        change: [set(fieldsIn(results).cans.depthInsideMm, depth)],
      })),
  };
};

/** Whiter linings than the present one, cheapest first. */
export const whiterCans = (results: FaceLitResults, catalogue: Catalogue): Remedy =>
  whiterLinings(results.materials.lining, fieldsIn(results).cans.liningId, catalogue);
