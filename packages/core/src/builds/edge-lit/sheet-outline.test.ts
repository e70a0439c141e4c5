import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, ringArea } from '../../base/outlines/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import type { EdgeLitAssembly } from './schema.js';
import { outlinedSheet } from './sheet-outline.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const [assembly] = quietRoom.assemblies;
const drawing = (...rings: readonly (readonly number[])[]) => ({
  name: 'outline.svg',
  rings: rings.map((ring) => [...ring]),
  scale: 1,
});
/** A house: straight up to half its height, then to a point. */
const house = [0, 0, 100, 0, 100, 50, 50, 100, 0, 50];
const outlined = (outline: ReturnType<typeof drawing>, change: Partial<EdgeLitAssembly> = {}) =>
  outlinedSheet({ ...assembly!, sheet: { ...assembly!.sheet, outline }, ...change });
const problem = (...asked: Parameters<typeof outlined>): string => {
  const found = outlined(...asked);
  return found.ok ? '' : `${found.problems[0]!.path} ${found.problems[0]!.message}`;
};
const panel = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(
    changed(
      quietRoom,
      inAssembly({ 'sheet.outline': drawing(house), 'artwork.capHeightMm': 20, 'artwork.offsetYMm': -20, ...change }),
    ),
    fonts,
  );

describe('a drawn outline', () => {
  it('is stretched to the size of the sheet, either way round it was drawn', () => {
    for (const ring of [house, [0, 50, 50, 100, 100, 50, 100, 0, 0, 0]]) {
      const found = outlined(drawing(ring));
      if (!found.ok) throw new Error(found.problems[0]!.message);
      expect(outlineBounds([found.value.ring])).toMatchObject({ x: 0, y: 0, width: 240, height: 160 });
      // A rectangle and a triangle of half its height.
      expect(ringArea(found.value.ring)).toBeCloseTo(240 * 80 + (240 * 80) / 2, 6);
      expect(found.value.straight.bottom).toEqual({ fromMm: 0, toMm: 240 });
    }
  });

  it('stands on its root, which strip lies under and the base is made for', () => {
    // Wide shoulders on a root of the middle 50 of 100, straight up for 20.
    const goblet = [25, 0, 75, 0, 75, 20, 100, 40, 100, 100, 0, 100, 0, 40, 25, 20];
    const { geometry, runs, parts } = panel({ 'sheet.outline': drawing(goblet), 'artwork.offsetYMm': 30 });
    expect(geometry.holder).toMatchObject({ kind: 'base', lengthMm: 120 + 30, slot: { lengthMm: 120 } });
    expect(geometry.outside.widthMm).toBe(240);
    const [segment] = runs.segments;
    expect(segment!.lengthMm).toBeLessThanOrEqual(120 - 2 * 18);
    const middle = (segment!.from[0] + segment!.to[0]) / 2;
    expect(middle).toBeCloseTo(0, 6);
    const sheet = parts.cut.find(({ id }) => id === 'sheet')!;
    expect([sheet.widthMm, sheet.heightMm]).toEqual([240, 160]);
    const [cut] = sheet.layers;
    const shape = cut!.shapes[0]!;
    if (shape.kind !== 'outline') throw new Error('no outline');
    expect(outlineArea(shape.outline)).toBeCloseTo(120 * 32 + ((120 + 240) / 2) * 32 + 240 * 96, 3);
    expect(sheet.kg).toBeCloseTo((outlineArea(shape.outline) * 6 * 1190) / 1e9, 4);
  });

  it('whose root is off its middle stands with that over the middle of the base', () => {
    const flag = [0, 0, 40, 0, 40, 50, 100, 50, 100, 100, 0, 100];
    const { geometry, runs } = panel({
      'sheet.outline': drawing(flag),
      'artwork.offsetYMm': 40,
      'artwork.capHeightMm': 12,
    });
    expect(geometry.sheet.x).toBeCloseTo(-48, 9);
    expect(geometry.outside.widthMm).toBeCloseTo(2 * (240 - 48), 9);
    expect(runs.segments[0]!.from[0] + runs.segments[0]!.to[0]).toBeCloseTo(0, 6);
  });

  it('keeps all light accounted for, and shows it at its own edges', () => {
    const { glow } = panel();
    const { emittedLm, outLm, absorbedFaceLm, absorbedCaseLm } = glow.balance;
    expect(Math.abs((outLm + absorbedFaceLm + absorbedCaseLm) / emittedLm - 1)).toBeLessThan(1e-6);
    const { grid, letters } = glow;
    const at = (x: number, y: number): number =>
      letters[
        Math.floor((y - grid.area.y) / grid.cellHeightMm) * grid.columns +
          Math.floor((x - grid.area.x) / grid.cellWidthMm)
      ]!;
    const top = grid.area.y + grid.area.height;
    // The slope of the roof shines half way up, the corner above it is not there.
    const along = Array.from({ length: 12 }, (_, step) => at(-60 + step - 6, top - 40));
    expect(Math.max(...along)).toBeGreaterThan(0);
    expect(at(-110, top - 10)).toBe(0);
  });

  it('has its own corners: a radius left from a rectangle is nobody’s', () => {
    expect(panel({ 'sheet.cornerMm': 200 }).geometry.ring).toHaveLength(5);
  });

  it('that does not go with what holds or lights it is told with the remedy', () => {
    expect(problem(drawing(house, house))).toContain('2 closed lines');
    expect(problem(drawing([0, 0, 50, 100, 100, 0]), { light: { ...assembly!.light, edges: ['top'] } })).toContain(
      'sheet.outline is straight over 0 mm of the top edge',
    );
    const disc = Array.from({ length: 60 }, (_, at) => [
      Math.cos((at * Math.PI) / 30),
      Math.sin((at * Math.PI) / 30),
    ]).flat();
    expect(problem(drawing(disc))).toContain('of the bottom edge');
    expect(problem(drawing([30, 0, 70, 0, 100, 40, 100, 100, 0, 100, 0, 40]))).toContain('wider than where it stands');
    const framed = { ...assembly!.holder, kind: 'frame' } as unknown as EdgeLitAssembly['holder'];
    expect(problem(drawing(house), { holder: framed })).toContain('stand the sheet in a base');
  });

  it('of thousands of points is followed by those that matter, and refused where all of them do', () => {
    const round = (points: number, wave: number): readonly number[] => [
      0,
      0,
      100,
      0,
      ...Array.from({ length: points }, (_, at) => {
        const angle = (Math.PI * (at + 1)) / (points + 1);
        const radius = 50 + (at % 2 === 0 ? wave : 0);
        return [50 + radius * Math.cos(angle), 60 + radius * Math.sin(angle)];
      }).flat(),
    ];
    const smooth = outlined(drawing(round(5000, 0)));
    if (!smooth.ok) throw new Error(smooth.problems[0]!.message);
    expect(smooth.value.ring.length).toBeLessThan(200);
    const half = (Math.PI * 50 ** 2) / 2 + 100 * 60;
    expect(ringArea(smooth.value.ring) / (half * 2.4 * (160 / 110))).toBeCloseTo(1, 2);
    expect(problem(drawing(round(5000, 1)))).toContain('600 is the most');
  });

  it('bounds its artwork: what reaches over a slope is found and made smaller', () => {
    const design = changed(
      quietRoom,
      inAssembly({
        'sheet.outline': drawing(house),
        'artwork.fill': 'hatch',
        'artwork.spacingMm': 0.8,
        'artwork.capHeightMm': 34,
        'artwork.offsetYMm': 30,
      }),
    );
    expect(mendedBy(design, fonts, 'artwork-outside', 'smaller-artwork').gone).toBe(true);
  });
});
