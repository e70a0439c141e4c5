import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import type { Point3, Segment } from '../../light/runs/index.js';
import { dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { stripsOverlap } from './overlap-rules.js';

let results: AssemblyResults;
beforeAll(async () => {
  const fonts: FontBook = await testFonts();
  results = evaluatedCoarsely(dispensary, fonts);
});

const along = (number: number, ...path: readonly Point3[]): Segment => ({
  ...results.runs.segments[0]!,
  number,
  path,
  from: path[0]!,
  to: path.at(-1)!,
});

/** What the rule says of strip 10 mm wide and 4 mm high that lies along such ways: millimetres on each other, and which. */
const overlap = (...segments: readonly Segment[]) => {
  const strip = { ...results.materials.strip, widthMm: 10, heightMm: 4 };
  const given = { ...results, materials: { ...results.materials, strip }, runs: { ...results.runs, segments } };
  const found = stripsOverlap<AssemblyResults>(() => [])({ results: given, catalogue: shippedCatalogue });
  return found === null ? null : { mm: found.numbers[0]!.value, why: found.why, where: found.where!.rect };
};

describe('strip on strip', () => {
  const straight = (number: number, y: number, z = 2): Segment => along(number, [0, y, z], [400, y, z]);

  it('is none where strips lie side by side, however near', () => {
    expect(overlap(straight(1, 0), straight(2, 10))).toBeNull();
    expect(overlap(straight(1, 0), straight(2, 9))).toBeNull();
  });

  it('is found along all the length that two share', () => {
    const found = overlap(straight(1, 0), straight(2, 5))!;
    expect(found.mm).toBeCloseTo(400, -1);
    expect(found.why).toContain('1 and 2 most');
  });

  it('is found along the part where they run together alone', () => {
    const other = along(7, [300, 2, 2], [700, 2, 2]);
    const found = overlap(straight(1, 0), other)!;
    expect(found.mm).toBeGreaterThan(90);
    expect(found.mm).toBeLessThan(120);
    expect(found.where.x + found.where.width / 2).toBeGreaterThan(280);
  });

  it('is none where strips cross, or meet at a corner', () => {
    expect(overlap(straight(1, 0), along(2, [200, -200, 2], [200, 200, 2]))).toBeNull();
    expect(overlap(straight(1, 0), along(2, [400, 0, 2], [400, 300, 2]))).toBeNull();
  });

  it('is none where one lies above the other with room between', () => {
    expect(overlap(straight(1, 0, 2), straight(2, 0, 30))).toBeNull();
  });

  it('adds up over all pairs, and names the worst', () => {
    const found = overlap(
      straight(1, 0),
      straight(2, 3),
      along(3, [0, 100, 2], [100, 100, 2]),
      along(4, [0, 103, 2], [100, 103, 2]),
    )!;
    expect(found.mm).toBeCloseTo(500, -1);
    expect(found.why).toContain('1 and 2 most');
  });

  it('of a strip on itself is no matter: a segment bends as it is laid', () => {
    expect(overlap(along(1, [0, 0, 2], [200, 0, 2], [200, 1, 2], [0, 1, 2]))).toBeNull();
  });
});
