import { clamp } from '../maths/index.js';
import type { Outline, Rect } from './types.js';

/** Scan lines taken per row of cells; across a row the covered length is exact. */
const linesPerRow = 4;

interface Crossing {
  readonly x: number;
  readonly step: 1 | -1;
}

interface Edge {
  readonly lowX: number;
  readonly lowY: number;
  readonly highY: number;
  readonly slope: number;
  readonly step: 1 | -1;
}

const edgesOf = (outline: Outline): readonly Edge[] =>
  outline
    .flatMap((ring) =>
      ring.flatMap(([x1, y1], index): readonly Edge[] => {
        const [x2, y2] = ring[(index + 1) % ring.length] ?? [x1, y1];
        if (y1 === y2) return [];
        const [lowX, lowY, highX, highY] = y1 < y2 ? [x1, y1, x2, y2] : [x2, y2, x1, y1];
        return [{ lowX, lowY, highY, slope: (highX - lowX) / (highY - lowY), step: y1 < y2 ? 1 : -1 }];
      }),
    )
    .sort((a, b) => a.lowY - b.lowY);

/** Adds the length of [from, to] to each cell it touches, as a share of the cell times `weight`. Mutates `row`. */
const addSpan = (row: Float32Array, from: number, to: number, weight: number): void => {
  const start = clamp(from, 0, row.length);
  const end = clamp(to, 0, row.length);
  for (let cell = Math.floor(start); cell < end; cell += 1)
    row[cell] = (row[cell] ?? 0) + weight * (Math.min(end, cell + 1) - Math.max(start, cell));
};

const fillLine = (row: Float32Array, crossings: readonly Crossing[], weight: number): void => {
  let winding = 0;
  crossings.forEach(({ x, step }, index) => {
    winding += step;
    const next = crossings[index + 1];
    if (winding !== 0 && next !== undefined) addSpan(row, x, next.x, weight);
  });
};

/**
 * Share of each cell of a raster that an outline covers, by the non-zero rule. The raster spans `area` with
 * `columns` × `rows` cells, row 0 at the bottom; values in [0, 1], row by row.
 */
export const coverage = (outline: Outline, area: Rect, columns: number, rows: number): Float32Array => {
  const map = new Float32Array(columns * rows);
  const edges = edgesOf(outline);
  const cellWidth = area.width / columns;
  const lineHeight = area.height / (rows * linesPerRow);
  let active: Edge[] = [];
  let nextEdge = 0;
  for (let line = 0; line < rows * linesPerRow; line += 1) {
    const y = area.y + (line + 0.5) * lineHeight;
    for (let edge = edges[nextEdge]; edge !== undefined && edge.lowY <= y; edge = edges[nextEdge]) {
      active.push(edge);
      nextEdge += 1;
    }
    active = active.filter((edge) => edge.highY > y);
    const crossings = active
      .map(({ lowX, lowY, slope, step }): Crossing => ({ x: (lowX + (y - lowY) * slope - area.x) / cellWidth, step }))
      .sort((a, b) => a.x - b.x);
    const row = Math.floor(line / linesPerRow);
    fillLine(map.subarray(row * columns, (row + 1) * columns), crossings, 1 / linesPerRow);
  }
  return map;
};
