import { oneChange, wholeFront, type Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { tooBright, tooDim } from '../../common/brightness-rules.js';
import { gearFits } from '../../common/fits-inside.js';
import { tooHot } from '../../common/heat-rules.js';
import { tapeLetsGo } from '../../common/hold-rules.js';
import { grooveInsides } from '../insides.js';
import type { GrooveResults } from '../results.js';
import {
  boardWarps,
  carrierOverBed,
  carrierOverSheet,
  noRoomBehind,
  seamMisses,
  seamThroughRun,
} from './carrier-rules.js';
import { otherCovers } from './common.js';
import { bitTooWide, floorThin, grooveLoose, grooveNarrow, wallsThin } from './groove-rules.js';
import { layersDiffer } from './layer-rules.js';
import { darkGaps, dotsShow, linesMelt } from './light-rules.js';
import { grooveBends, noGrooveStrip, runsUneven } from './run-rules.js';

/** The checks of strip in a groove. */
export const grooveRules: readonly Rule<GrooveResults>[] = [
  noGrooveStrip,
  layersDiffer,
  grooveNarrow,
  wallsThin,
  bitTooWide,
  carrierOverBed,
  carrierOverSheet,
  runsUneven,
  floorThin,
  grooveLoose,
  seamMisses,
  seamThroughRun,
  noRoomBehind,
  gearFits(grooveInsides),
  dotsShow,
  darkGaps,
  linesMelt,
  tooDim<GrooveResults>({ where: wholeFront, remedies: () => [] }),
  tooBright<GrooveResults>({
    of: ({ glow }) => glow.overAllCdM2,
    lit: 'The rectangle round the lines, dark ground and all,',
    less: (results, catalogue) => [
      otherCovers(results, catalogue, (cover) => cover !== null && cover.litMm > results.geometry.groove.litMm),
    ],
  }),
  tooHot<GrooveResults>({ sheds: 'the carrier', goes: 'go into the carrier' }, () => []),
  tapeLetsGo<GrooveResults>({
    // A tube is pressed in and holds its strip.
    isBare: ({ materials, assembly }) =>
      materials.sheet.stuff === 'wood' && assembly.carrier.whiteGroove !== true && materials.cover?.form !== 'tube',
    finish: (results) =>
      oneChange(
        'white-groove',
        'Paint floor and walls of the groove white',
        fieldsIn(results).carrier.whiteGroove,
        true,
      ),
  }),
  grooveBends,
  boardWarps,
];
