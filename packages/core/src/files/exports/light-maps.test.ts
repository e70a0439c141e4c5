import { beforeAll, describe, expect, it } from '@jest/globals';
import { decode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';
import type { FontBook } from '../../artwork/lettering/index.js';
import { dispensary, evaluated, testFonts } from '../../testing/harness.js';
import type { BoxResults } from '../../builds/index.js';
import type { Single } from '../../testing/harness.js';
import { lightZip, luminanceCsv, luminancePfm, luminancePng16 } from './light-maps.js';

let fonts: FontBook;
let evaluation: Single<BoxResults>;
beforeAll(async () => {
  fonts = await testFonts();
  evaluation = evaluated(dispensary, fonts);
});

describe('the luminance map in files', () => {
  it('as CSV has the places along its edges and every cell to a tenth', () => {
    const { grid, luminance: ground } = evaluation.glow;
    const rows = luminanceCsv(evaluation.glow)
      .trim()
      .split('\r\n')
      .map((line) => line.split(','));
    expect(rows).toHaveLength(grid.rows + 1);
    expect(rows[0]).toHaveLength(grid.columns + 1);
    expect(Number(rows[0]![1])).toBeCloseTo(grid.area.x + grid.cellWidthMm / 2, 2);
    // The first line is the top of the face.
    expect(Number(rows[1]![0])).toBeGreaterThan(0);
    expect(Number(rows[1]![5])).toBeCloseTo(ground[(grid.rows - 1) * grid.columns + 4]!, 1);
  });

  it('as 16-bit PNG is linear, and says what full white is', () => {
    const { grid, luminance: ground } = evaluation.glow;
    const most = Math.max(...ground);
    const png = decode(luminancePng16(evaluation.glow));
    expect([png.width, png.height, png.depth, png.channels]).toEqual([grid.columns, grid.rows, 16, 1]);
    expect(png.text['Description']).toContain(most.toFixed(3));
    // Every cell, the brightest too: nothing is cut off.
    const offBy = Float64Array.from(ground, (value, cell) => {
      const [column, row] = [cell % grid.columns, Math.floor(cell / grid.columns)];
      const stored = png.data[(grid.rows - 1 - row) * grid.columns + column]!;
      return Math.abs(stored - (value / most) * 65_535);
    });
    expect(offBy.reduce((worst, off) => Math.max(worst, off), 0)).toBeLessThanOrEqual(0.5 + 1e-6);
  });

  it('as a float map holds the very floats', () => {
    const { grid, luminance: ground } = evaluation.glow;
    const bytes = luminancePfm(evaluation.glow);
    const header = `Pf\n${grid.columns} ${grid.rows}\n-1.0\n`;
    expect(strFromU8(bytes.subarray(0, header.length))).toBe(header);
    const floats = new DataView(bytes.buffer, header.length);
    expect(floats.getFloat32(4 * 777, true)).toBe(ground[777]);
    expect(bytes.length).toBe(header.length + 4 * ground.length);
  });

  it('comes as one ZIP with a note on what is what', () => {
    const files = unzipSync(lightZip(evaluation));
    expect(Object.keys(files).map((name) => name.split('/')[1])).toEqual([
      'face-dusk.png',
      'luminance.csv',
      'luminance-16.png',
      'luminance.pfm',
      'read-me.txt',
    ]);
    expect(strFromU8(files['dispensary-box-light/read-me.txt']!)).toContain('65535 is');
  });
});
