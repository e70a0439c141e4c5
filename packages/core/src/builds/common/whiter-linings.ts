import type { Catalogue, Lining } from '../../document/catalogue/index.js';
import { set, type FieldRef } from '../../document/design/index.js';
import type { Remedy } from '../../judging/findings/index.js';

/** A lining is whiter where it gives back so much more. */
const whiterBy = 0.01;

/** Whiter linings than the present one, cheapest first. */
export const whiterLinings = (now: Lining, field: FieldRef<string>, catalogue: Catalogue): Remedy => ({
  id: 'whiter-lining',
  candidates: catalogue.linings
    .filter(({ reflectance }) => reflectance > now.reflectance + whiterBy)
    .sort((a, b) => a.price - b.price)
    .map((lining) => ({
      label: `Line with ${lining.name.toLowerCase()}`,
      change: [set(field, lining.id)],
    })),
});
