import type { GridLimits } from '../../light/glow/index.js';
import type { SceneLimits } from '../../light/layers/index.js';

/** Cells of light and patches of exchange, by how fine it is wanted. */
const preview: SceneLimits = { directLongSide: 64, patchLongSide: 14, togetherMm: 30 };
const full: SceneLimits = { directLongSide: 128, patchLongSide: 24, togetherMm: 12 };
const coarse: SceneLimits = { directLongSide: 44, patchLongSide: 14, togetherMm: 32 };

/** How finely a scene is lit, by how fine its picture is wanted. */
export const sceneLimits = ({ longSide }: GridLimits): SceneLimits =>
  longSide > 300 ? full : longSide < 200 ? coarse : preview;
