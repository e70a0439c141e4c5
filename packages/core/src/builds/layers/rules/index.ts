import { overBed, wholeFront, type Rule } from '../../../judging/findings/index.js';
import { dropRows, whiterLining } from '../../boxes/candidates.js';
import { largerThanSheet } from '../../boxes/case-rules.js';
import { boxInsides } from '../../boxes/insides.js';
import { doubledSide } from '../../boxes/side-rules.js';
import { betweenCutMarks, reelShort } from '../../boxes/strip-rules.js';
import { heatRules, madeRules } from '../../boxes/made-rules.js';
import type { BoxResults } from '../../boxes/results.js';
import { tooBright, tooDim } from '../../common/brightness-rules.js';
import { gearFits } from '../../common/fits-inside.js';
import { isNoFinish, tapeLetsGo } from '../../common/hold-rules.js';
import { noStrip } from '../../common/no-strip.js';
import { stripsOverlap } from '../../common/overlap-rules.js';
import type { LayersResults } from '../results.js';
import { combRules } from './comb-rules.js';
import { sceneInlayRules } from './inlay-rules.js';
import { layerDark, layersAlike } from './layer-rules.js';
import { scallopsShow } from './scallop-rule.js';
import { spacerSeen, stripSeen } from './sight-rules.js';
import { heightOff, metalAtJoints, notCarried, sheetMeetsStrip, sheetsCollide } from './standing-rules.js';

const hidesStrip = (results: BoxResults): boolean =>
  // The rules of a scene are asked about scenes alone.
  (results as unknown as LayersResults).bands.length > 0;

/** What every case is held against, whatever stands in it. */
const ofCase: readonly Rule<BoxResults>[] = [
  noStrip,
  gearFits(boxInsides),
  // Sides carry strip only where it lies on them.
  (asked) => (hidesStrip(asked.results) ? null : doubledSide(asked)),
  stripsOverlap((results) => [dropRows(results)]),
  largerThanSheet,
  ...heatRules,
  tapeLetsGo<BoxResults>({
    // Sheets are painted on both sides.
    isBare: (results) =>
      !hidesStrip(results) &&
      isNoFinish(results.materials.lining) &&
      (results.assembly.light.layout === 'rim' ? results.materials.returnBoard : results.materials.backBoard).stuff ===
        'wood',
    finish: whiterLining,
  }),
  ...madeRules,
  overBed,
  betweenCutMarks,
  reelShort,
];

/** The checks of a layered scene: what stands in it, what is seen of it, and those of its case. */
export const layersRules: readonly Rule<LayersResults>[] = [
  sheetsCollide,
  sheetMeetsStrip,
  notCarried,
  stripSeen,
  spacerSeen,
  layersAlike,
  layerDark,
  scallopsShow,
  heightOff,
  metalAtJoints,
  ...combRules,
  ...sceneInlayRules,
  tooDim<LayersResults>({ where: wholeFront, remedies: (results, catalogue) => [whiterLining(results, catalogue)] }),
  tooBright<LayersResults>({
    of: ({ glow }) => glow.evenness.meanCdM2,
    lit: 'The scene',
    less: (results) => [dropRows(results)],
  }),
  ...(ofCase as readonly Rule<LayersResults>[]),
];
