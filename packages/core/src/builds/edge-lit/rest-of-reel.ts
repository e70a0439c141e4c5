import { snapToCut } from '../../light/laying/index.js';
import type { PanelResults } from './results.js';
import { isSheetSide } from './sheet-light.js';

/** What the edges of a sheet leave of the last reel of strip, in whole cuts (mm); what lies under the case is not counted. */
export const restOfReel = ({ runs, materials: { strip } }: Pick<PanelResults, 'runs' | 'materials'>): number => {
  const atEdges = runs.segments.reduce((sum, { on, lengthMm }) => (isSheetSide(on) ? sum + lengthMm : sum), 0);
  const left = atEdges === 0 ? 0 : (strip.reelMm - (atEdges % strip.reelMm)) % strip.reelMm;
  return snapToCut(left, strip.cutPitchMm).lengthMm;
};
