import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { addSeenFrom, layPatches, type Box, type SmallArea } from './index.js';

const box: Box = { widthMm: 300, heightMm: 200, depthMm: 60 };

const receivedFrom = (area: SmallArea, mostPatches = 200) => {
  const enclosure = layPatches(box, null, mostPatches);
  const received = new Float64Array(enclosure.count);
  for (const panel of enclosure.panels) addSeenFrom(received, panel, area, 3);
  return { enclosure, received };
};
const sum = (values: Iterable<number>): number => [...values].reduce((all, value) => all + value, 0);

describe('light of a small Lambertian area in a closed case', () => {
  it('lands somewhere, all of it, wherever it is and whichever way it looks', () => {
    const inside = (half: number) => fc.double({ min: 1 - half, max: half - 1, noNaN: true });
    fc.assert(
      fc.property(
        inside(150),
        inside(100),
        fc.double({ min: 1, max: 59, noNaN: true }),
        fc.constantFrom<0 | 1 | 2>(0, 1, 2),
        fc.constantFrom<1 | -1>(1, -1),
        (x, y, z, axis, sign) => {
          const { received } = receivedFrom({ at: [x, y, z], axis, sign });
          expect(sum(received)).toBeCloseTo(3, 7);
          expect(received.every((lm) => lm >= 0)).toBe(true);
        },
      ),
      { seed: 12, numRuns: 60 },
    );
  });

  it('is what I cos γ / d² gives on a small patch', () => {
    const { enclosure, received } = receivedFrom({ at: [20, -10, 5], axis: 2, sign: 1 }, 20_000);
    const face = enclosure.panels.find(({ side }) => side === 'face')!;
    for (const cell of [0, 137, face.aCount * face.bCount - 1]) {
      const [i, j] = [cell % face.aCount, Math.floor(cell / face.aCount)];
      const x = (face.aEdges[i]! + face.aEdges[i + 1]!) / 2 - 20;
      const y = (face.bEdges[j]! + face.bEdges[j + 1]!) / 2 + 10;
      const d2 = x * x + y * y + 55 * 55;
      const expected = (3 * 55 * 55 * enclosure.areaMm2[face.start + cell]!) / (Math.PI * d2 * d2);
      expect(received[face.start + cell]! / expected).toBeCloseTo(1, 1);
    }
  });

  it('sends nothing behind itself', () => {
    const { enclosure, received } = receivedFrom({ at: [0, 0, 30], axis: 0, sign: -1 });
    for (const { side, start, aCount, bCount, aEdges } of enclosure.panels)
      for (let cell = 0; cell < aCount * bCount; cell += 1)
        if (side === 'right' || (side === 'face' && aEdges[cell % aCount]! >= 0))
          expect(received[start + cell]).toBe(0);
  });
});
