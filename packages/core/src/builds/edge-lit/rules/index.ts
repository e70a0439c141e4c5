import { overBed, type Rule } from '../../../judging/findings/index.js';
import { gearFits } from '../../common/fits-inside.js';
import { tooHot } from '../../common/heat-rules.js';
import { noStrip } from '../../common/no-strip.js';
import { panelInsides } from '../insides.js';
import type { PanelResults } from '../results.js';
import { areasOverlap, photoTooCoarse, stencilTooFine } from './area-rules.js';
import {
  artworkOutside,
  depthOutOfRange,
  linesMerge,
  mirrorFromBehind,
  nothingWorked,
  toolWorksNoFaces,
  tooManyMarks,
} from './artwork-rules.js';
import { baseTips, exitNearEdge, jackWithoutRoom, leadTooThick, stripOverCavity } from './base-rules.js';
import { fewerEdges } from './common.js';
import { edgeBare, edgeUncovered, sheetOverStock, slotFit, stripShutIn } from './holder-rules.js';
import {
  fades,
  fansShow,
  lightMissesEdge,
  litEdgeRough,
  paintTakesLight,
  panelTooBright,
  panelTooDim,
} from './light-rules.js';

/** The checks of an edge-lit sheet. */
export const panelRules: readonly Rule<PanelResults>[] = [
  noStrip,
  nothingWorked,
  toolWorksNoFaces,
  artworkOutside,
  tooManyMarks,
  areasOverlap,
  photoTooCoarse,
  stencilTooFine,
  edgeUncovered,
  sheetOverStock,
  gearFits(panelInsides),
  leadTooThick,
  exitNearEdge,
  jackWithoutRoom,
  stripOverCavity,
  lightMissesEdge,
  litEdgeRough,
  paintTakesLight,
  fades,
  fansShow,
  panelTooDim,
  panelTooBright,
  mirrorFromBehind,
  depthOutOfRange,
  linesMerge,
  slotFit,
  baseTips,
  stripShutIn,
  edgeBare,
  tooHot<PanelResults>({ sheds: 'the holder', goes: 'stay in the holder' }, (results) => [fewerEdges(results)]),
  overBed,
];
