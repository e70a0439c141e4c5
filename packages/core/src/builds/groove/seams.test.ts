import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { seamTrouble } from './rules/carrier-rules.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const bars = (...lines: readonly (readonly number[])[]) =>
  evaluatedCoarsely(
    changed(
      lateSoup,
      inAssembly({
        'artwork.toolId': 'bit-3',
        'lines.drawn': { name: 'bars', scale: 1, lines: lines.map((points) => ({ points, closed: false })) },
        'lines.ends': [],
      }),
    ),
    fonts,
  );

describe('what a seam cuts', () => {
  it('is each run that it goes across, once, and where', () => {
    const results = bars([-200, 50, 200, 50], [-200, 0, 200, 0], [-200, -50, 20, -50]);
    expect(seamTrouble(results, { at: [-60, 0], angleDeg: 90 })).toMatchObject({ crossed: 3, near: 0 });
    const right = seamTrouble(results, { at: [100, 0], angleDeg: 90 });
    expect(right).toMatchObject({ crossed: 2, near: 0 });
    expect(right.at![0]).toBeCloseTo(100, 6);
    // A level one between two lines cuts nothing.
    expect(seamTrouble(results, { at: [0, 25], angleDeg: 0 })).toEqual({ crossed: 0, near: 0, at: null });
  });

  it('is told of holes within 15 mm of it', () => {
    const results = bars([-200, 40, 200, 40]);
    const hole = results.runs.holes.find(({ at }) => at[0] > 0)!;
    for (const [off, near] of [
      [4, 1],
      [-4, 1],
      [14, 1],
      [16, 0],
    ] as const)
      expect(seamTrouble(results, { at: [hole.at[0] + off, 0], angleDeg: 90 }).near).toBe(near);
  });

  it('is the same from whichever end it is drawn, at any slant', () => {
    const results = evaluatedCoarsely(changed(lateSoup, inAssembly({ 'artwork.toolId': 'bit-3' })), fonts);
    const random = seededRandom(31);
    for (let turn = 0; turn < 40; turn += 1) {
      const [x, y] = [400 * random() - 200, 200 * random() - 100];
      const angleDeg = Math.round(180 * random());
      const angle = (angleDeg * Math.PI) / 180;
      const one = seamTrouble(results, { at: [x, y], angleDeg });
      const along = seamTrouble(results, { at: [x + 70 * Math.cos(angle), y + 70 * Math.sin(angle)], angleDeg });
      const back = seamTrouble(results, { at: [x, y], angleDeg: angleDeg + 180 });
      for (const other of [along, back]) expect([other.crossed, other.near]).toEqual([one.crossed, one.near]);
    }
  });
});
