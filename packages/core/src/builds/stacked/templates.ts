import { circle, faint, polyline, signal, text, type Template, type Tile } from '../../making/templates/index.js';
import { drawRuns, mapped, moved, sheetRound } from '../letters/templates.js';
import { heldAt, pinMm, screwHoleMm } from './held-at.js';
import { leadEntryOf, leadHoleMm } from './lead-entry.js';
import type { StackedResults } from './results.js';

/** The plan at 1:1, seen from the front with the lid off: rings, ledge, the lowest loop of strip, screws, pins and the lead. */
const plan = (results: StackedResults): Template => {
  const sheet = sheetRound(results.geometry.bounds);
  const place = moved(sheet);
  const { geometry, runs, design, materials, wires } = results;
  const entry = leadEntryOf(design.brief.leadExit, geometry);
  const lowest = Math.min(...runs.segments.map(({ from }) => from[2]));
  return {
    title: `${design.name}: plan`,
    heading: `${design.name} - plan at 1:1, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of mapped(geometry.outline, place)) polyline(tile, ring, true);
      for (const ring of mapped(geometry.inside, place)) polyline(tile, ring, true, faint, 0.7);
      if (geometry.ledge !== null)
        for (const ring of mapped([geometry.ledge.line], place)) polyline(tile, ring, true, faint, 0.5);
      drawRuns(
        tile,
        { runs: { segments: runs.segments.filter(({ from }) => from[2] < lowest + 0.5) }, materials, jumpers: wires },
        materials.strip.heightMm,
        place,
      );
      const { screws, pins } = heldAt(geometry);
      for (const [x, y] of screws.map(place)) circle(tile, x, y, screwHoleMm);
      for (const [x, y] of pins.map(place)) circle(tile, x, y, pinMm, faint);
      const [x, y] = place(entry);
      circle(tile, x, y, leadHoleMm, signal);
      text(tile, 'lead', x + 6, y + 2, 7, signal);
    },
  };
};

/** The letters as they lie on the lid, to trace or to lay them out by. */
const letters = (results: StackedResults): Template => {
  const sheet = sheetRound(results.geometry.bounds);
  const place = moved(sheet);
  const { geometry, lid, design } = results;
  return {
    title: `${design.name}: letters of the lid`,
    heading: `${design.name} - letters of the lid at 1:1, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of mapped(geometry.outline, place)) polyline(tile, ring, true, faint, 0.7);
      for (const ring of mapped(lid.pockets, place)) polyline(tile, ring, true);
    },
  };
};

/** The templates of stacked plates, by the name of their file. */
export const stackedTemplates = (results: StackedResults): Readonly<Record<string, Template>> => ({
  'strip-template': plan(results),
  ...(results.lid.pockets.length === 0 ? {} : { 'letters-to-trace': letters(results) }),
});
