import type { Candidate } from '../../../judging/findings/index.js';
import { inlayRules, type InlaidSheet } from '../../common/inlay-rules.js';
import type { LayersResults } from '../results.js';
import { withSheet } from './common.js';

/** The sheets of a scene that letters are let into. */
const inlaidSheets = (results: LayersResults): readonly InlaidSheet[] =>
  results.scene.sheets.flatMap(({ sheet, stock, inlay, parts, index }) =>
    inlay === null
      ? []
      : [
          {
            name: sheet.name,
            stock,
            inlay,
            parts,
            usual: withSheet(results, index, { inlay: { ...sheet.inlay!, overMm: null } }),
            inWood: ['ply-3', 'ply-4'].map((materialId): Candidate => ({
              label: `${sheet.name} from birch plywood ${materialId === 'ply-3' ? 3 : 4} mm`,
              change: withSheet(results, index, { materialId }),
            })),
          },
        ],
  );

/** What is told of letters let into the sheets of a scene. */
export const sceneInlayRules = inlayRules(inlaidSheets);
