import { beforeAll, describe, expect, it } from '@jest/globals';
import { fromByteArray } from 'base64-js';
import type { FontBook } from '../../artwork/lettering/index.js';
import {
  distanceToOutline,
  inOutline,
  lookedInto,
  intersect,
  outlineArea,
  rectRing,
  type Outline,
} from '../../base/outlines/index.js';
import { mapValue } from '../../base/raster/index.js';
import type { Design } from '../../sign/design/index.js';
import {
  changed,
  evaluated,
  evaluatedCoarsely,
  inAssembly,
  reedBed,
  testFonts,
  coarseEvaluator,
} from '../../testing/harness.js';
import { uprightStretches } from '../letters/upright.js';
import { seenFromAside } from './spacers.js';
import type { SheetDesign } from './schema.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const sheets = reedBed.assemblies[0]!.scene.sheets;
const withSheets = (change: (sheet: SheetDesign, at: number) => SheetDesign) =>
  changed(reedBed, inAssembly({ 'scene.sheets': sheets.map(change) }));
const problemOf = (design: unknown): string => {
  const result = coarseEvaluator(fonts).evaluate(design as Design);
  return result.ok ? 'none' : result.problems.map(({ path, message }) => `${path} ${message}`).join('; ');
};

describe('sheets in a box', () => {
  it('stand on spacers within their outline and that of what carries them, clear of the strip, and pass through nothing', () => {
    const { scene, runs, geometry, materials } = evaluated(reedBed, fonts);
    const onRim = { widthMm: geometry.inside.widthMm / 2, heightMm: geometry.inside.heightMm / 2 };
    for (const { outline, rearZMm, carried, sheet } of scene.sheets)
      for (const { posts } of carried) {
        expect([sheet.name, posts.length >= 3]).toEqual([sheet.name, true]);
        for (const { at, footMm, on, pile } of posts) {
          expect(inOutline(at, outline) && distanceToOutline(at, outline) >= footMm / 2).toBe(true);
          const ground = on === null ? 0 : scene.sheets[on]!.frontZMm;
          if (on !== null) {
            const below = scene.sheets[on]!.outline;
            expect(inOutline(at, below) && distanceToOutline(at, below) >= footMm / 2 - 1e-9).toBe(true);
          }
          // It reaches from one to the other.
          expect(ground + pile.heightMm).toBeCloseTo(rearZMm, 6);
          // No other sheet is on the way.
          for (const other of scene.sheets)
            if (other.rearZMm > ground + 0.01 && other.frontZMm < rearZMm - 0.01)
              expect(inOutline(at, other.outline)).toBe(false);
          // Strip on the rim keeps its room.
          const z = runs.segments[0]!.path[0]![2];
          if (ground < z + materials.strip.widthMm / 2 && rearZMm > z - materials.strip.widthMm / 2)
            expect(Math.min(onRim.widthMm - Math.abs(at[0]), onRim.heightMm - Math.abs(at[1]))).toBeGreaterThanOrEqual(
              materials.strip.heightMm + footMm / 2,
            );
        }
      }
  });

  it('hide the strip by similar triangles: a border as wide as the strip stands behind it, times the tangent', () => {
    // A window 20 mm before LEDs at the rim, looked at from 30° aside.
    const at = (border: number) =>
      seenFromAside(
        [-98, 0],
        30,
        [
          {
            within: lookedInto([
              rectRing({ x: -100, y: -100, width: 200, height: 200 }),
              [
                ...rectRing({ x: border - 100, y: border - 100, width: 200 - 2 * border, height: 200 - 2 * border }),
              ].reverse(),
            ]),
            rearZMm: 50,
          },
        ],
        30,
        { widthMm: 200, heightMm: 200, frontZMm: 60 },
      );
    // 2 mm off the rim, and 20 × tan 30° = 11.5 mm.
    expect([at(13.3), at(13.8)]).toEqual([true, false]);
  });

  it('are told as they come out where the stock does not make their height', () => {
    const off = withSheets((sheet, at) => (at === 1 ? { ...sheet, heightMm: 21.4 } : sheet));
    const { scene } = evaluatedCoarsely(off, fonts);
    const reeds = scene.sheets.find(({ index }) => index === 1)!;
    expect(reeds.rearZMm - 21.4).toBeCloseTo(reeds.errorMm, 6);
    expect(Math.abs(reeds.errorMm)).toBeLessThan(0.5);
  });

  it('are drawn in the slice where it meets them', () => {
    const { scene, section } = evaluatedCoarsely(reedBed, fonts);
    for (const { outline, sheet } of scene.sheets) {
      const met = uprightStretches(outline, 0);
      const shapes = section.shapes.filter(({ material }) => material === sheet.name);
      expect(shapes).toHaveLength(met.length);
      // A thin upright band cut out of the outline has the same height.
      const band = intersect(outline, [rectRing({ x: -0.05, y: -500, width: 0.1, height: 1000 })]);
      const high = met.reduce((sum, [low, top]) => sum + top - low, 0);
      expect(high).toBeCloseTo(Math.abs(outlineArea(band)) / 0.1, 0);
    }
  });

  it('keep the light that they are given, and are seen each by its share', () => {
    const { glow } = evaluated(reedBed, fonts);
    const { emittedLm, outLm, absorbedCaseLm, absorbedFaceLm } = glow.balance;
    expect(Math.abs((outLm + absorbedCaseLm + absorbedFaceLm) / emittedLm - 1)).toBeLessThan(0.001);
    expect(glow.seen.reduce((sum, { seenShare }) => sum + seenShare, 0)).toBeCloseTo(1, 2);
    // What is seen of the back is what no sheet covers.
    const { scene, geometry } = evaluated(reedBed, fonts);
    const { widthMm, heightMm } = geometry.inside;
    let bare: Outline = [rectRing({ x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm })];
    const all = widthMm * heightMm;
    let covered = 0;
    for (const { outline } of [...scene.sheets].reverse()) {
      const own = intersect(bare, outline);
      covered += Math.abs(outlineArea(own));
      bare = subtractAll(bare, outline);
    }
    expect(glow.seen[0]!.seenShare).toBeCloseTo(1 - covered / all, 2);
  });

  it('show a print where it is cut out: its own colours, at their place', () => {
    // Left half black, right half white, over the far bank.
    const rgb = fromByteArray(Uint8Array.from([0, 0, 0, 255, 255, 255, 0, 0, 0, 255, 255, 255]));
    const picture = { name: 'two.png', columns: 2, rows: 2, rgb };
    const { glow, scene, cut } = evaluated(
      changed(reedBed, inAssembly({ 'scene.sheets': [{ ...sheets[0]!, picture }, sheets[4]!] })),
      fonts,
    );
    expect(scene.sheets[0]!.print).not.toBeNull();
    const at = (x: number): number => mapValue(glow.luminance, glow.grid, [x, -80]);
    // Two hundredths against all, in light that is the same on both sides.
    expect(at(-200) / at(200)).toBeCloseTo(0.02, 2);
    expect(cut.find(({ id }) => id === 'sheet-1')!.note).toContain('a print glued on its front');
    expect(() =>
      withSheets((sheet, index) => (index === 0 ? { ...sheet, picture: { ...picture, columns: 3 } } : sheet)),
    ).toThrow('scene.sheets.0.picture has more or fewer bytes than places');
  });
});

const subtractAll = (from: Outline, cut: Outline): Outline => {
  const overlap = intersect(from, cut);
  // Areas alone are compared: what is covered is wound the other way.
  return overlap.length === 0 ? from : [...from, ...overlap.map((ring) => [...ring].reverse())];
};

describe('what makes no scene', () => {
  it.each<[string, (sheet: SheetDesign, at: number) => SheetDesign, string]>([
    [
      'a sheet outside the box',
      (sheet, at) => (at === 0 ? { ...sheet, xMm: 900 } : sheet),
      'scene.sheets.0.xMm puts the sheet outside the box',
    ],
    [
      'a sheet past the front',
      (sheet, at) => (at === 4 ? { ...sheet, heightMm: 72 } : sheet),
      'scene.sheets.4.heightMm puts its front at 75 mm',
    ],
    [
      'a window without an opening',
      (sheet, at) => (at === 4 ? { ...sheet, borderMm: 150 } : sheet),
      'scene.sheets.4.borderMm leaves no opening',
    ],
    [
      'a drawing that is missing',
      (sheet, at) => (at === 2 ? { ...sheet, drawing: null } : sheet),
      'scene.sheets.2.drawing is missing',
    ],
    [
      'clear stuff',
      (sheet, at) => (at === 1 ? { ...sheet, materialId: 'clear-3' } : sheet),
      'scene.sheets.1.materialId is Clear acrylic 3 mm, which is seen through',
    ],
    [
      'unknown stuff',
      (sheet, at) => (at === 1 ? { ...sheet, materialId: 'slate' } : sheet),
      'scene.sheets.1.materialId “slate” is not in the catalogue',
    ],
    [
      'a bar',
      (sheet, at) => (at === 1 ? { ...sheet, materialId: 'pine-bar-20' } : sheet),
      'scene.sheets.1.materialId is Pine bar',
    ],
  ])('%s is told with its place and the remedy', (_, change, told) => {
    expect(problemOf(withSheets(change))).toContain(told);
  });

  it('no sheet at all is an empty box, and is lit', () => {
    const empty = evaluatedCoarsely(changed(reedBed, inAssembly({ 'scene.sheets': [] })), fonts);
    expect(empty.glow.seen).toHaveLength(1);
    expect(empty.glow.evenness.meanCdM2).toBeGreaterThan(100);
  });
});
