import { coverage, type Outline, type Rect } from '../../../base/outlines/index.js';
import type { FaceRaster } from '../../common/worked-face.js';
import type { Marks } from './marks.js';

const mmPerInch = 25.4;
/** The most pixels of a picture for a machine: finer ones are thinned to this. */
const mostPixels = 24_000_000;
/** Rows that are taken at once, so that a large picture needs no large room. */
const bandRows = 256;

/** How fine a picture of a sheet is: as the machine has it, or halved until it is not too large. */
const finenessFor = ({ width, height }: Rect, dotsPerInch: number): number => {
  let now = dotsPerInch;
  while ((width / mmPerInch) * now * ((height / mmPerInch) * now) > mostPixels) now /= 2;
  return now;
};

/** The marks of a face as a picture: worked places black, the rest white. `sheet` is the area of the drawing that they lie in. */
export const faceRaster = (marks: Marks, whole: Outline, sheet: Rect, dotsPerInch: number): FaceRaster => {
  const fineness = finenessFor(sheet, dotsPerInch);
  const perMm = fineness / mmPerInch;
  const columns = Math.max(1, Math.round(sheet.width * perMm));
  const rows = Math.max(1, Math.round(sheet.height * perMm));
  const pixels = new Uint8Array(columns * rows).fill(255);
  const blacken = (left: number, low: number, right: number, high: number): void => {
    const [c0, c1] = [
      Math.max(0, Math.round(left)),
      Math.min(columns, Math.max(Math.round(left) + 1, Math.round(right))),
    ];
    const [r0, r1] = [Math.max(0, Math.round(low)), Math.min(rows, Math.max(Math.round(low) + 1, Math.round(high)))];
    // Row 0 of the picture is at the top.
    for (let row = r0; row < r1; row += 1)
      pixels.fill(0, (rows - 1 - row) * columns + c0, (rows - 1 - row) * columns + c1);
  };
  const place = (x: number, y: number): readonly [number, number] => [(x - sheet.x) * perMm, (y - sheet.y) * perMm];
  if (marks.kind === 'lines')
    for (const [[x0, y0], [x1]] of marks.strokes) {
      const [left, middle] = place(Math.min(x0, x1), y0);
      const half = (marks.lineMm * perMm) / 2;
      blacken(left, middle - half, left + Math.abs(x1 - x0) * perMm, middle + half);
    }
  else if (marks.kind === 'dots')
    for (const [x, y] of marks.dots) {
      const [column, row] = place(x, y);
      const radius = (marks.diameterMm * perMm) / 2;
      for (let dy = -Math.ceil(radius); dy <= Math.ceil(radius); dy += 1) {
        const half = Math.sqrt(Math.max(0, radius ** 2 - dy ** 2));
        if (half > 0) blacken(column - half, row + dy, column + half, row + dy + 1);
      }
    }
  else
    for (let from = 0; from < rows; from += bandRows) {
      const count = Math.min(bandRows, rows - from);
      const area = { x: sheet.x, y: sheet.y + from / perMm, width: columns / perMm, height: count / perMm };
      const covered = coverage(whole, area, columns, count);
      for (let row = 0; row < count; row += 1)
        for (let column = 0; column < columns; column += 1)
          if (covered[row * columns + column]! >= 0.5) pixels[(rows - 1 - from - row) * columns + column] = 0;
    }
  return { columns, rows, dotsPerInch: fineness, pixels };
};
