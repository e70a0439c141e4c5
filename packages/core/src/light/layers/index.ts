import { smoothMapValue, cellMiddle } from '../../base/raster/index.js';
import type { PointSources } from '../photometry/index.js';
import { directScene } from './direct.js';
import { settleScene } from './exchange.js';
import { layNet, patchesAlong, type Net } from './net.js';
import { together } from './together.js';
import type { LayeredScene, SceneLight, SceneLimits } from './types.js';

export { solidAt, coarser } from './open-share.js';
export { layNet, type Net } from './net.js';
export { traceScene, type TracedScene } from './trace.js';
export type { LayeredScene, PlaneLight, SceneLight, SceneLimits, ScenePlane, SheetLight } from './types.js';

/**
 * Light in a box of cut-out sheets: straight from every LED, less what the sheets between cut off, and what sheets, back and
 * rim throw back and forth between them and through what is cut out. Sheets count as thin: their edges are dark, and what
 * passes a translucent one is spread every way. Colours do not bleed: sheets reflect as grey as they are light.
 */
export const lightScene = (
  scene: LayeredScene,
  sources: PointSources,
  limits: SceneLimits,
  net: Net = layNet(scene, limits.patchLongSide),
): SceneLight => {
  const { area } = scene.grid;
  const cell = Math.max(area.width, area.height) / limits.directLongSide;
  const columns = Math.max(8, Math.round(area.width / cell));
  const rows = Math.max(8, Math.round(area.height / cell));
  const direct = directScene(
    scene,
    together(sources, limits.togetherMm),
    columns,
    rows,
    patchesAlong(scene, limits.patchLongSide),
  );
  const settled = settleScene(scene, direct, net);
  const both = (straight: Float32Array, later: Float32Array): Float32Array =>
    straight.map((lux, at) => lux + Math.max(0, smoothMapValue(later, settled.grid, cellMiddle(direct.grid, at))));
  const front = direct.front.map((map, at) => both(map, settled.front[at]!));
  const rear = direct.rear.map((map, at) => both(map, settled.rear[at]!));
  const emittedLm = sources.fluxLm.reduce((sum, lm) => sum + lm, 0);
  return {
    grid: direct.grid,
    back: front[0]!,
    planes: scene.planes.map((_, at) => ({ front: front[at + 1]!, rear: rear[at + 1]! })),
    emittedLm,
    outLm: settled.outLm,
    backTakesLm: settled.backTakesLm,
    planesTakeLm: settled.planesTakeLm,
    rimTakesLm: settled.rimTakesLm,
    glazingTakesLm: settled.glazingTakesLm,
    backLm: settled.backLm,
    rimLm: settled.rimLm,
    indirectShare: settled.reflectedLm > 0 ? settled.reflectedLm / (settled.reflectedLm + emittedLm) : 0,
    closes: direct.closes,
  };
};
