import type { Ring } from '../../base/outlines/index.js';
import { box, faint, line, signal, text, type Template, type Tile } from '../../making/templates/index.js';
import { marksOf } from './fill/marks.js';
import { workedOf } from './areas.js';
import type { PanelResults } from './results.js';

const drawRing = (tile: Tile, ring: Ring, place: (at: readonly [number, number]) => readonly [number, number]): void =>
  ring.forEach((at, index) => {
    const [x1, y1] = place(at);
    const [x2, y2] = place(ring[(index + 1) % ring.length]!);
    line(tile, x1, y1, x2, y2);
  });

/** What is worked of one face at 1:1 to trace: as it lies on the bench, the back mirrored, with an arrow to its upper edge. */
const traceTemplate = (results: PanelResults, onBack: boolean): Template => {
  const { geometry, assembly, design } = results;
  const { sheet, ring } = geometry;
  const place = ([x, y]: readonly [number, number]): readonly [number, number] => [
    onBack ? sheet.x + sheet.width - x : x - sheet.x,
    y - sheet.y,
  ];
  const areas = workedOf(results.areas).filter((area) => area.onBack === onBack);
  return {
    title: `${design.name}: artwork to trace`,
    heading: `${design.name} - artwork, ${onBack ? 'seen from the back (mirrored)' : 'seen from the front'}`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile) => {
      drawRing(tile, ring, place);
      for (const area of areas) {
        for (const worked of area.lettering.outline) drawRing(tile, worked, place);
        const marks = marksOf(area, sheet);
        if (marks.kind === 'lines' && marks.strokes.length <= 3000)
          for (const [from, to] of marks.strokes) {
            const [x1, y1] = place(from);
            const [x2, y2] = place(to);
            line(tile, x1, y1, x2, y2, faint, 0.3);
          }
      }
      // Which way is up, and which edge the strip lies at.
      const middle = sheet.width / 2;
      line(tile, middle, sheet.height - 12, middle, sheet.height - 2, signal, 0.8);
      line(tile, middle, sheet.height - 2, middle - 3, sheet.height - 6, signal, 0.8);
      line(tile, middle, sheet.height - 2, middle + 3, sheet.height - 6, signal, 0.8);
      text(tile, onBack ? 'up, back toward you' : 'up, front toward you', middle + 5, sheet.height - 9, 8, signal);
      for (const side of assembly.light.edges) {
        const seen = onBack && (side === 'left' || side === 'right') ? (side === 'left' ? 'right' : 'left') : side;
        if (seen === 'bottom') box(tile, 2, 1, sheet.width - 4, 2, signal);
        if (seen === 'top') box(tile, 2, sheet.height - 3, sheet.width - 4, 2, signal);
        if (seen === 'left') box(tile, 1, 2, 2, sheet.height - 4, signal);
        if (seen === 'right') box(tile, sheet.width - 3, 2, 2, sheet.height - 4, signal);
      }
    },
  };
};

/** Templates of an edge-lit sheet, by the name of their file: one of each face that is worked. */
export const panelTemplates = (results: PanelResults): Readonly<Record<string, Template>> => {
  const first = results.areas[0]!.onBack;
  const other = workedOf(results.areas).some(({ onBack }) => onBack !== first);
  return {
    'artwork-to-trace': traceTemplate(results, first),
    ...(other ? { [`artwork-to-trace-${first ? 'front' : 'back'}`]: traceTemplate(results, !first) } : {}),
  };
};
