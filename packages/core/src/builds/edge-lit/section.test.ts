import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { intersect, outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import { panelCones } from './cones.js';
import { lowerFirst } from './section.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const panel = (change: Change = {}) => evaluatedCoarsely(changed(quietRoom, inAssembly(change)), fonts);
const shapesOf = ({ section }: ReturnType<typeof panel>, role: string) =>
  section.shapes.filter((shape) => shape.role === role).map(({ ring }) => ring);

describe('the slice of a panel', () => {
  it('shows sheet, strip, batten, lid and block, none of them in another', () => {
    const results = panel();
    const { section } = results;
    for (let one = 0; one < section.shapes.length; one += 1)
      for (let other = one + 1; other < section.shapes.length; other += 1) {
        const common = intersect([section.shapes[one]!.ring], [section.shapes[other]!.ring]);
        expect([section.shapes[one]!.role, section.shapes[other]!.role, Math.abs(outlineArea(common)) < 0.05]).toEqual([
          section.shapes[one]!.role,
          section.shapes[other]!.role,
          true,
        ]);
      }
    expect(new Set(section.shapes.map(({ role }) => role))).toEqual(
      new Set(['return', 'back', 'block', 'face', 'strip']),
    );
  });

  it('is drawn round the lit edge, as far as holder and strip reach', () => {
    const { section, geometry } = panel();
    const near = section.near!;
    const strip = outlineBounds(shapesOf(panel(), 'strip'))!;
    expect(near.lowMm).toBe(-geometry.outside.heightMm / 2);
    expect(near.highMm).toBeGreaterThan(geometry.seen.y + 10);
    expect(near.highMm - near.lowMm).toBeLessThan(80);
    expect(strip.x).toBeGreaterThan(near.rearZMm);
    expect(strip.x + strip.width).toBeLessThan(near.frontZMm);
  });

  it('has the strip its gap before the edge, and off the middle as far as it is dragged', () => {
    const off = panel({ 'light.offsetMm': 1.5, 'light.gapMm': 1.2 });
    const [strip, sheet] = [outlineBounds(shapesOf(off, 'strip'))!, outlineBounds(shapesOf(off, 'face'))!];
    expect(sheet.y - strip.y - strip.height).toBeCloseTo(1.2, 9);
    expect(strip.x + strip.width / 2 - (sheet.x + sheet.width / 2)).toBeCloseTo(1.5, 9);
  });

  it('goes to the upper edge where that alone is lit', () => {
    expect(lowerFirst({ ...quietRoom.assemblies[0]!.light, edges: ['top'] })).toBe(false);
    expect(lowerFirst({ ...quietRoom.assemblies[0]!.light, edges: ['left'] })).toBe(true);
    const { section } = evaluatedCoarsely(demoDesigns['counter-top'], fonts);
    expect(section.near!.highMm).toBeGreaterThan(0);
    expect(section.near!.lowMm).toBeGreaterThan(0);
  });

  it('draws rays that stay between the faces, and none where the strip misses the edge', () => {
    const results = panel();
    const { thicknessMm, sheet } = results.geometry;
    const spread = Math.tan(Math.PI / 3);
    const [gap, ...rays] = panelCones(results, spread);
    expect(gap!.every(([, y]) => y <= sheet.y + 1e-9)).toBe(true);
    expect(rays).toHaveLength(6);
    for (const ray of rays)
      for (const [z, y] of ray) {
        expect(z).toBeGreaterThanOrEqual(-1e-9);
        expect(z).toBeLessThanOrEqual(thicknessMm + 1e-9);
        expect(y).toBeGreaterThanOrEqual(sheet.y - 1e-9);
      }
    // The steepest is bent to asin(sin 60° / n) off the normal of the edge.
    const steep = rays.at(-1)!;
    const [[z0, y0], [z1, y1]] = [steep[0]!, steep[1]!];
    const sine = Math.sin(Math.PI / 3) / 1.49;
    expect(Math.abs(z1 - z0) / Math.abs(y1 - y0)).toBeCloseTo(sine / Math.sqrt(1 - sine * sine), 6);
    expect(panelCones(panel({ 'light.offsetMm': 8 }), spread)).toHaveLength(1);
  });
});
