import { beforeAll, describe, expect, it } from '@jest/globals';
import { fromByteArray } from 'base64-js';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import { inPlace } from '../../base/placing/index.js';
import { readDesign, type Design } from '../../sign/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts, pageEvaluator } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { layerOf } from '../../sign/picture/layer.js';
import { marksOf } from './fill/marks.js';
import { panelFront } from './front.js';
import { workedFacesOf } from './sheet-parts.js';
import { factsOf } from './results.js';
import type { PanelArtwork, PanelPhoto } from './schema.js';
import { panelTemplates } from './templates.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
/** Its own letters small and low, so that there is room above them. */
const low = { 'artwork.capHeightMm': 16, 'artwork.offsetYMm': -30, 'artwork.lineSpacing': 1.5 };
const roomy = changed(quietRoom, inAssembly(low));
const panel = (change: Change = {}) => evaluatedCoarsely(changed(roomy, inAssembly(change)), fonts);

const { artwork } = quietRoom.assemblies[0]!;
const line: PanelArtwork = { ...artwork, text: 'HUSH', capHeightMm: 20, offsetYMm: 45 };

/** Left half black, right half a grey: 40 × 30 places. */
const halves = (grey: number, widthMm: number): PanelPhoto => ({
  name: 'halves.png',
  columns: 40,
  rows: 30,
  tones: fromByteArray(Uint8Array.from({ length: 1200 }, (_, at) => (at % 40 < 20 ? 0 : grey))),
  widthMm,
});
const picture = (photo: PanelPhoto, more: Partial<PanelArtwork> = {}): PanelArtwork => ({
  ...line,
  photo,
  spacingMm: 0.2,
  offsetYMm: 40,
  ...more,
});

describe('several areas of one sheet', () => {
  it('each show their own text at their own place, the artwork what the brief says', () => {
    const { areas, lettering } = panel({ areas: [line] });
    expect(areas.map((area) => area.lettering.letterCount)).toEqual([9, 4]);
    const [own, other] = areas.map((area) => area.lettering.bounds!);
    expect(other!.y).toBeGreaterThan(own!.y + own!.height);
    expect(lettering.letterCount).toBe(13);
    expect(lettering.areaMm2).toBeCloseTo(areas[0]!.lettering.areaMm2 + areas[1]!.lettering.areaMm2, 6);
  });

  it('take light from each other, and all of it is accounted for', () => {
    const [alone, both] = [panel(), panel({ areas: [line] })];
    expect(both.glow.workedLm).toBeGreaterThan(1.1 * alone.glow.workedLm);
    for (const results of [both, panel({ areas: [{ ...line, mirrored: false }], 'sheet.behind': 'painted' })]) {
      const { emittedLm, outLm, absorbedFaceLm, absorbedCaseLm } = results.glow.balance;
      expect(Math.abs((outLm + absorbedFaceLm + absorbedCaseLm) / emittedLm - 1)).toBeLessThan(1e-6);
    }
  });

  it('are worked face by face: a step, a file and a sheet to trace for each', () => {
    const results = panel({ areas: [{ ...line, mirrored: false, toolId: 'engrave-bit', depthMm: 0.5 }] });
    const steps = results.buildList.steps.filter(({ id }) => id.startsWith('lettering'));
    expect(steps.map(({ id }) => id)).toEqual(['lettering', 'lettering-2']);
    expect(steps[0]!.detail).toContain('back is up');
    expect(steps[1]!.detail).toContain('Front up');
    expect(steps[1]!.detail).toContain('0.5 mm deep');
    const faces = workedFacesOf(factsOf(results));
    expect(faces.map(({ part }) => part.id)).toEqual(['engraving', 'engraving-2']);
    // A bit takes no picture.
    expect(faces.map(({ raster }) => raster === null)).toEqual([false, true]);
    expect(Object.keys(panelTemplates(results))).toEqual(['artwork-to-trace', 'artwork-to-trace-front']);
    // On the back’s drawing what is worked on the front is marked, not engraved.
    const sheet = results.parts.cut.find(({ id }) => id === 'sheet')!;
    expect(sheet.layers.map(({ operation }) => operation)).toEqual(['cut', 'engrave', 'mark']);
  });

  it('through stencils have one each', () => {
    const sanded = { toolId: 'sand-through', depthMm: 0.03 };
    const results = panel({
      'artwork.toolId': 'sand-through',
      'artwork.depthMm': 0.03,
      areas: [{ ...line, ...sanded }],
    });
    const stencils = results.parts.cut.filter(({ stock }) => stock === 'film');
    expect(stencils.map(({ id }) => id)).toEqual(['stencil', 'stencil-2']);
    const film = results.parts.bought.find(({ id }) => id === 'blast-resist')!;
    expect(film.quantity).toBeCloseTo(2 * 0.24 * 0.16, 6);
  });

  it('name the area whose tool or font nobody has', () => {
    const problems = (area: PanelArtwork): string => {
      const design = changed(roomy, inAssembly({ areas: [area] })) as unknown as Design;
      const found = pageEvaluator(fonts).quick(design);
      return found.ok ? '' : found.problems.map(({ path }) => path).join();
    };
    expect(problems({ ...line, fontId: 'no-font' })).toContain('areas.0.fontId');
    expect(problems({ ...line, toolId: 'no-tool' })).toContain('areas.0.toolId');
  });
});

describe('a photograph', () => {
  it('is dots where it is bright, as many as its light asks for', () => {
    const results = panel({ areas: [picture(halves(255, 80))] });
    const [, area] = results.areas;
    const marks = marksOf(area!, results.geometry.sheet);
    if (marks.kind !== 'dots') throw new Error('no dots');
    // 40 × 60 mm of white at 0.2 mm; tones run into each other over one place, 2 mm.
    expect(Math.abs(marks.dots.length / (200 * 300) - 1)).toBeLessThan(0.03);
    const middle = area!.photo!.grid.area.x + 40;
    expect(marks.dots.every(([x]) => x > middle - 1.1)).toBe(true);
    // A mid grey of 188 gives half the light of white.
    const half = marksOf(panel({ areas: [picture(halves(188, 80))] }).areas[1]!, results.geometry.sheet);
    if (half.kind !== 'dots') throw new Error('no dots');
    expect(Math.abs(half.dots.length / marks.dots.length - 0.503)).toBeLessThan(0.01);
  });

  it('shines by its dark places when asked to', () => {
    const [bright, dark] = [halves(255, 80), { ...halves(255, 80), worked: 'dark' as const }].map(
      (photo) => panel({ areas: [picture(photo)] }).areas[1]!.photo!,
    );
    expect([bright!.shares[0], bright!.shares[39]]).toEqual([0, 1]);
    expect([dark!.shares[0], dark!.shares[39]]).toEqual([1, 0]);
  });

  it('is judged by what it wants: a dark place is no fading', () => {
    const { glow, areas } = panel({ areas: [picture(halves(255, 80))] });
    const { x, y, width, height } = areas[1]!.photo!.grid.area;
    const at = (share: number): number => {
      const column = Math.floor((x + share * width - glow.grid.area.x) / glow.grid.cellWidthMm);
      const row = Math.floor((y + height / 2 - glow.grid.area.y) / glow.grid.cellHeightMm);
      return glow.luminance[row * glow.grid.columns + column]!;
    };
    expect(at(0.2)).toBeLessThan(0.05 * at(0.8));
    expect(glow.patches.dimmest.cdM2).toBeGreaterThan(0.25 * glow.patches.brightest.cdM2);
  });

  it('by day shows its dots as they are worked, and the clear sheet where they are not', () => {
    const results = panel({ areas: [picture(halves(255, 80))] });
    const { x, y, width, height } = results.areas[1]!.photo!.grid.area;
    const own = { glow: results.glow, front: panelFront(results), placing: inPlace };
    const layer = layerOf(own, { lit: false, lux: 1000 });
    const seen = (share: number): number => {
      const into = new Float64Array(4);
      layer(x + share * width, y + height / 2, into);
      return into[1]!;
    };
    const [dark, bright, clear] = [seen(0.2), seen(0.8), (1000 / Math.PI) * own.front.cover.reflects[1]];
    expect(Math.abs(dark / clear - 1)).toBeLessThan(0.05);
    expect(Math.abs(bright / ((1000 / Math.PI) * results.glow.unlitRgb[1]) - 1)).toBeLessThan(0.05);
    // Without a photograph all that is worked looks alike.
    expect(panel().glow.unlitShare).toBeUndefined();
  });

  it('goes to a laser as a picture, whatever the number of its dots; to a bit as a drawing', () => {
    const faces = workedFacesOf(factsOf(panel({ areas: [picture(halves(255, 100))] })));
    const [, photo] = faces;
    const black = photo!.raster!.pixels.reduce((count, value) => count + (value === 0 ? 1 : 0), 0);
    const perMm = photo!.raster!.dotsPerInch / 25.4;
    // Dots of 0.2 mm on a grid of 0.2 mm cover π/4 of it.
    expect(Math.abs(black / (50 * 75 * perMm ** 2) - Math.PI / 4)).toBeLessThan(0.08);
    // More than a drawing takes: its place alone.
    const engraved = photo!.part.layers.find(({ operation }) => operation === 'engrave')!;
    expect(engraved.shapes).toHaveLength(1);
  });

  it('has no lines and no letters for those who count them', () => {
    const results = panel({ areas: [picture(halves(255, 80))] });
    expect(results.lettering.letterCount).toBe(9);
    expect(outlineArea(results.areas[1]!.lettering.outline)).toBeCloseTo(80 * 60, 6);
    const step = results.buildList.steps.find(({ id }) => id === 'lettering-2')!;
    expect(step.title).toContain('photograph');
    expect(step.detail).toContain('by its tones');
  });

  it('whose tones are not all there is refused with its place', () => {
    const short = { ...halves(255, 80), rows: 31 };
    const [assembly] = roomy.assemblies;
    const found = readDesign({ ...roomy, assemblies: [{ ...assembly, areas: [picture(short)] }] });
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.problems[0]!.path).toContain('areas.0.photo');
  });
});

describe('findings of areas', () => {
  const withAreas = (...areas: readonly PanelArtwork[]) => changed(roomy, inAssembly({ areas }));
  // Thin fills everywhere: nothing else is amiss.
  const thin = { fill: 'hatch', spacingMm: 0.8 } as const;

  it('two over each other are moved apart', () => {
    const design = withAreas({ ...line, ...thin, offsetYMm: -20, capHeightMm: 14 });
    const mended = mendedBy(design, fonts, 'areas-overlap', 'move-apart');
    expect(mended.gone).toBe(true);
    expect(findingOn(withAreas({ ...line, ...thin }), fonts, 'areas-overlap')).toBeNull();
  });

  it('two over each other on unlike faces are a picture on its ground, and no fault', () => {
    const ground = { ...line, ...thin, offsetYMm: -20, capHeightMm: 14 };
    expect(findingOn(withAreas(ground), fonts, 'areas-overlap')).not.toBeNull();
    expect(findingOn(withAreas({ ...ground, mirrored: false }), fonts, 'areas-overlap')).toBeNull();
  });

  it('a photograph too small for its dots takes finer ones, or is made larger', () => {
    const coarse = withAreas(picture(halves(255, 40), { spacingMm: 1 }));
    expect(findingOn(coarse, fonts, 'photo-too-coarse')).toMatchObject({ severity: 'fix' });
    expect(mendedBy(coarse, fonts, 'photo-too-coarse', 'finer-dots').gone).toBe(true);
    expect(findingOn(withAreas(picture(halves(255, 80))), fonts, 'photo-too-coarse')).toBeNull();
  });

  it('a photograph through a stencil takes an engraver', () => {
    const design = withAreas(picture(halves(255, 80), { toolId: 'sand-through', depthMm: 0.03, spacingMm: 1 }));
    expect(mendedBy(design, fonts, 'stencil-too-fine', 'engraver').gone).toBe(true);
  });

  it('of what is outside or too deep name the area that is', () => {
    const outside = withAreas(line, { ...line, text: 'OUT', ...thin, offsetXMm: 100 });
    const finding = findingOn(outside, fonts, 'artwork-outside');
    expect(finding?.fixes.flatMap(({ change }) => change.map(({ path }) => path)).join()).toContain('areas.1');
    const deep = withAreas({ ...line, toolId: 'engrave-bit', depthMm: 2.6 });
    expect(mendedBy(deep, fonts, 'depth-out-of-range', 'usual-depth').gone).toBe(true);
  });
});
