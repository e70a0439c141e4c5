import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { applyChange } from '../../sign/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import { bareOf, isEven, runsIn } from './even-ways.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** Lines with corners that strip does not follow, none of whose sides are whole cuts. */
const cornered = (...lines: readonly { readonly points: readonly number[]; readonly closed: boolean }[]) =>
  changed(
    lateSoup,
    inAssembly({
      'lines.drawn': { name: 'cornered', scale: 1, lines },
      'lines.ends': [],
      'carrier.shape': 'margin',
      'artwork.toolId': 'bit-3',
    }),
  );

const frame = cornered({ points: [-160, -90, 161, -90, 161, 88, -160, 88], closed: true });
const hook = cornered({ points: [-180, -60, -60, -62, -58, 70, 120, 72, 125, -40], closed: false });

describe('corners of lines', () => {
  it.each([
    ['a frame', frame],
    ['a hook', hook],
  ])('of %s are moved until every run is whole cuts', (_name, design) => {
    const before = evaluatedCoarsely(design, fonts);
    expect(runsIn(before).filter((run) => !isEven(run, bareOf(before))).length).toBeGreaterThan(1);
    const { finding, gone } = mendedBy(design, fonts, 'runs-uneven', 'even-corners-moved');
    expect(gone).toBe(true);
    const fix = finding.fixes.find(({ id }) => id === 'even-corners-moved')!;
    expect(fix.label).toMatch(/^Corners and ends moved by up to \d+(\.\d)? mm: all \d runs even$/);
    const applied = applyChange(design, fix.change);
    if (!applied.ok) throw new Error('makes no sign');
    const after = evaluatedCoarsely(applied.value as unknown as typeof design, fonts);
    // No corner went farther than the label says, and the lines are what they were but for that.
    const mm = Number(/up to ([\d.]+) mm/.exec(fix.label)![1]);
    for (const { xMm, yMm } of after.assembly.lines.corners!)
      expect(Math.hypot(xMm, yMm)).toBeLessThanOrEqual(mm + 0.1);
    expect(mm).toBeLessThan(15);
  });

  it('keep their places when ends are moved after them, and are told by the same points', () => {
    const moved = changed(
      hook,
      inAssembly({
        'lines.corners': [{ line: 1, point: 2, xMm: 4, yMm: 0 }],
        'lines.ends': [{ line: 1, startMm: 10, endMm: 0 }],
      }),
    );
    const own = evaluatedCoarsely(moved, fonts);
    const [line] = own.geometry.lines;
    expect(line!.firstPoint).toBe(-1);
    const [atX, atY] = own.geometry.linesAt;
    const corner = line!.points[2 - line!.firstPoint]!;
    expect([corner[0] - atX, corner[1] - atY]).toEqual([expect.closeTo(-54, 6), expect.closeTo(70, 6)]);
  });
});
