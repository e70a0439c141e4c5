import { canonicalJson, valueOfPath } from '../../document/design/index.js';
import type { Design } from '../design/index.js';

/** Fields that were chosen once and differ now: the maker has set them by hand since. */
export const setByHand = (design: Design): readonly string[] =>
  (design.solved?.chosen ?? [])
    .filter(({ path, value }) => canonicalJson(valueOfPath(design, path) ?? null) !== canonicalJson(value ?? null))
    .map(({ path }) => path);
