import { circle, faint, polyline, signal, text, type Template, type Tile } from '../../making/templates/index.js';
import { drawRuns, mapped, moved, sheetRound, turned } from '../letters/templates.js';
import type { GrooveResults } from './results.js';

/** Lines at 1:1 as they are cut, seen from the front: edges of the groove, its middle, holes and the outline of the carrier. */
const linesTemplate = (results: GrooveResults): Template => {
  const sheet = sheetRound(results.geometry.bounds);
  const place = moved(sheet);
  const { geometry, runs, design } = results;
  return {
    title: `${design.name}: lines`,
    heading: `${design.name} - lines at 1:1, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const part of geometry.parts) for (const ring of mapped(part, place)) polyline(tile, ring, true);
      for (const ring of mapped(geometry.grooveArea, place)) polyline(tile, ring, true, faint, 0.5);
      for (const { points, closed, number } of geometry.lines) {
        polyline(tile, points.map(place), closed, signal, 0.3);
        const [x, y] = place(points[0]!);
        text(tile, `line ${number}`, x + 3, y + 3, 7, signal);
      }
      for (const { at, diameterMm } of runs.holes) {
        const [x, y] = place(at);
        circle(tile, x, y, diameterMm);
      }
    },
  };
};

/** What is wired, seen from behind: runs with their numbers and marks, holes, and wires from hole to hole. */
const behindTemplate = (results: GrooveResults): Template => {
  const sheet = sheetRound(results.geometry.bounds);
  const place = turned(sheet);
  const { geometry, runs, design, materials, wires } = results;
  return {
    title: `${design.name}: wiring from behind`,
    heading: `${design.name} - wiring, seen from behind`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const part of geometry.parts) for (const ring of mapped(part, place)) polyline(tile, ring, true, faint, 0.7);
      drawRuns(tile, { runs, materials, jumpers: wires }, geometry.groove.stripAcrossMm, place);
      for (const { from, to, path } of wires) {
        const [x, y] = place(path[path.length >> 1]!);
        text(tile, `${from} to ${to}`, x + 1, y + 1, 6, signal);
      }
      for (const { at, diameterMm } of runs.holes) {
        const [x, y] = place(at);
        circle(tile, x, y, diameterMm);
      }
    },
  };
};

/** The templates of strip in a groove, by the name of their file. */
export const grooveTemplates = (results: GrooveResults): Readonly<Record<string, Template>> => ({
  'lines-to-trace': linesTemplate(results),
  'wiring-from-behind': behindTemplate(results),
});
