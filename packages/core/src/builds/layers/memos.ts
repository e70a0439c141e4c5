import type { Lettering } from '../../artwork/lettering/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { outlineArea, outlineBounds, type Outline } from '../../base/outlines/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { boxMemos } from '../boxes/memos.js';
import type { BoxAssembly } from '../boxes/schema.js';
import { layersGlowOf } from './glow.js';
import { findLayersMaterials } from './materials.js';
import type { CutPart } from '../../making/parts/index.js';
import { isOfScene, layersParts } from './parts.js';
import { litPlanes, type LitPlanes } from './planes.js';
import type { LayersLaid } from './results.js';
import { standScene, type Scene } from './scene.js';
import type { LayersAssembly, SceneDesign } from './schema.js';
import { withSheets } from './section.js';
import { sheetsWorkable } from './workable.js';
import { layersSteps } from './steps.js';
import { bedBehind, raisedTo, runsBehind, stripBands } from './strip-behind.js';
import { withTrim } from './trim.js';

/** Nothing is lettered on the clear front. */
export const noLetters: Lettering = { outline: [], bounds: null, areaMm2: 0, letterCount: 0, missing: [] };

/** What is cut, as the lettering that other stages know: every sheet’s outline; letters that a font lacks are missing where letters are cut. */
const asLettering = (scene: Scene, letters: Lettering): Lettering => {
  const lettered = scene.sheets.some(({ sheet }) => sheet.shape === 'letters');
  const outline: Outline = scene.sheets.flatMap((sheet) => sheet.outline);
  return {
    outline,
    bounds: outlineBounds(outline),
    areaMm2: outlineArea(outline),
    letterCount: lettered ? letters.letterCount : 0,
    missing: lettered ? letters.missing : [],
  };
};

/** The stages of a scene: those of a case, its sheets, and light between them. */
export const layersMemos = (catalogue: Catalogue, limits: GridLimits) => ({
  ...boxMemos(catalogue, limits),
  materials: memoizeLast((assembly: BoxAssembly, shelf: Catalogue) =>
    // The stages of a scene are asked about scenes alone.
    findLayersMaterials(assembly as LayersAssembly, shelf),
  ),
  behind: memoizeLast(runsBehind),
  raised: memoizeLast(raisedTo),
  bedBehind: memoizeLast(bedBehind),
  bands: memoizeLast(stripBands),
  scene: memoizeLast(standScene),
  asLettering: memoizeLast(asLettering),
  sheetsWorkable: memoizeLast(sheetsWorkable),
  sliced: memoizeLast(withSheets),
  overAll: memoizeLast(withTrim),
  planes: memoizeLast(litPlanes),
  sceneGlow: memoizeLast(
    (
      brief: Brief,
      design: SceneDesign,
      scene: Scene,
      planes: LitPlanes,
      geometry: LayersLaid['geometry'],
      materials: LayersLaid['materials'],
      distribution: LayersLaid['distribution'],
      runs: LayersLaid['runs'],
      share: LightShare,
    ) => layersGlowOf({ brief, design, scene, planes, geometry, materials, distribution, runs, share, limits }),
  ),
  ownParts: memoizeLast(layersParts),
  // What the steps of the case saw up: the sheets of the scene have a step of their own.
  ofCase: memoizeLast((cut: readonly CutPart[]) => cut.filter(({ id }) => !isOfScene(id))),
  ownSteps: memoizeLast(layersSteps),
});
