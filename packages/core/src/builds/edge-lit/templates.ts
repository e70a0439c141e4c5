import type { Ring } from '../../base/outlines/index.js';
import { box, faint, line, signal, text, type Template, type Tile } from '../../making/templates/index.js';
import { marksOf } from './fill/marks.js';
import { sheetRing } from './front.js';
import { factsOf, type PanelResults } from './results.js';

const drawRing = (tile: Tile, ring: Ring, place: (at: readonly [number, number]) => readonly [number, number]): void =>
  ring.forEach((at, index) => {
    const [x1, y1] = place(at);
    const [x2, y2] = place(ring[(index + 1) % ring.length]!);
    line(tile, x1, y1, x2, y2);
  });

/** The artwork at 1:1 to trace: as it lies on the bench, mirrored where it is worked from behind, with an arrow to its upper edge. */
const traceTemplate = (results: PanelResults): Template => {
  const { geometry, assembly, lettering } = results;
  const { sheet, holder } = geometry;
  const mirrored = assembly.artwork.mirrored === true;
  const place = ([x, y]: readonly [number, number]): readonly [number, number] => [
    mirrored ? sheet.x + sheet.width - x : x - sheet.x,
    y - sheet.y,
  ];
  const marks = marksOf(factsOf(results));
  return {
    title: `${results.design.name}: artwork to trace`,
    heading: `${results.design.name} - artwork, ${mirrored ? 'seen from the back (mirrored)' : 'seen from the front'}`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile) => {
      drawRing(tile, sheetRing(sheet, assembly.sheet.cornerMm ?? 0, holder.kind === 'base'), place);
      for (const ring of lettering.outline) drawRing(tile, ring, place);
      if (marks.kind === 'lines' && marks.strokes.length <= 3000)
        for (const [from, to] of marks.strokes) {
          const [x1, y1] = place(from);
          const [x2, y2] = place(to);
          line(tile, x1, y1, x2, y2, faint, 0.3);
        }
      // Which way is up, and which edge the strip lies at.
      const middle = sheet.width / 2;
      line(tile, middle, sheet.height - 12, middle, sheet.height - 2, signal, 0.8);
      line(tile, middle, sheet.height - 2, middle - 3, sheet.height - 6, signal, 0.8);
      line(tile, middle, sheet.height - 2, middle + 3, sheet.height - 6, signal, 0.8);
      text(tile, mirrored ? 'up, back toward you' : 'up, front toward you', middle + 5, sheet.height - 9, 8, signal);
      for (const side of assembly.light.edges) {
        const seen = mirrored && (side === 'left' || side === 'right') ? (side === 'left' ? 'right' : 'left') : side;
        if (seen === 'bottom') box(tile, 2, 1, sheet.width - 4, 2, signal);
        if (seen === 'top') box(tile, 2, sheet.height - 3, sheet.width - 4, 2, signal);
        if (seen === 'left') box(tile, 1, 2, 2, sheet.height - 4, signal);
        if (seen === 'right') box(tile, sheet.width - 3, 2, 2, sheet.height - 4, signal);
      }
    },
  };
};

/** Templates of an edge-lit sheet, by the name of their file. */
export const panelTemplates = (results: PanelResults): Readonly<Record<string, Template>> => ({
  'artwork-to-trace': traceTemplate(results),
});
