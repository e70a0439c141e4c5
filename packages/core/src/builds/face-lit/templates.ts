import { faint, polyline, type Template, type Tile } from '../../making/templates/index.js';
import { drawRuns, mapped, moved, sheetOf } from '../letters/templates.js';
import type { FaceLitResults } from './results.js';

/** The strip template of face-lit letters: their backs seen from the front, as strip is laid in them. */
export const cansStripTemplate = (results: FaceLitResults): Template => {
  const sheet = sheetOf(results);
  const place = moved(sheet);
  const outline = mapped(results.lettering.outline, place);
  return {
    title: `${results.design.name}: strip template`,
    heading: `${results.design.name} - strip template, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of outline) polyline(tile, ring, true, faint, 0.7);
      drawRuns(tile, results, results.materials.strip.widthMm, place);
    },
  };
};
