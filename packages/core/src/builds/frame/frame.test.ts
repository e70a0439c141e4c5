import { beforeAll, describe, expect, it } from '@jest/globals';
import { fromByteArray } from 'base64-js';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, type Outline } from '../../base/outlines/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { luminanceOf } from '../../light/glow/index.js';
import { toLinear } from '../../light/colour/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { applyChange, type Design } from '../../sign/design/index.js';
import { createJudge, finish } from '../../sign/evaluate/index.js';
import { solveSign } from '../../sign/solving/index.js';
import {
  brimTile,
  changed,
  evaluated,
  fittingMirror,
  inAssembly,
  testFonts,
  tideTable,
  coarseEvaluator,
} from '../../testing/harness.js';
import { traceCheck } from '../boxes/trace-check/index.js';
import type { TraceReport } from '../common/trace-report.js';
import { mirrorBackReflects } from './materials.js';
import { frameSeeds } from './seeds.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const refusal = (design: object): { readonly path: string; readonly message: string } => {
  const result = coarseEvaluator(fonts).evaluate(design as Design);
  return result.ok ? { path: '', message: '' } : result.problems[0]!;
};

/** A print of one colour all over. */
const plain = (...[red, green, blue]: readonly [number, number, number]) => ({
  name: 'plain',
  columns: 2,
  rows: 2,
  rgb: fromByteArray(Uint8Array.from([0, 1, 2, 3].flatMap(() => [red, green, blue]))),
});
const printed = (picture: object | null) =>
  evaluated(changed(tideTable, inAssembly({ 'shows.picture': picture })), fonts);

describe('a print', () => {
  it('passes light as its picture does: white all of it, grey the share that its sRGB stands for, ink a fiftieth', () => {
    const bare = printed(null);
    for (const [grey, share] of [
      [255, 1],
      [128, 0.02 + 0.98 * toLinear(128 / 255)],
      [0, 0.02],
    ] as const) {
      const { glow } = printed(plain(grey, grey, grey));
      glow.luminance.forEach((cdM2, cell) => {
        if (cell % 97 === 0) expect(cdM2 / bare.glow.luminance[cell]!).toBeCloseTo(share, 4);
      });
      // What is judged is the light behind the print.
      expect(glow.evenness).toEqual(bare.glow.evenness);
    }
  });

  it('has its own colours, at the luminance that they leave, and goes through its ink twice by day', () => {
    const { glow } = printed(plain(255, 0, 0));
    const bare = printed(null).glow;
    const passes = [1, 0.02, 0.02] as const;
    const given = passes.map((part, at) => part * glow.hue[at]!) as unknown as readonly [number, number, number];
    expect(glow.luminance[0]! / bare.luminance[0]!).toBeCloseTo(luminanceOf(given), 4);
    const seen = [0, 1, 2].map((part) => glow.hue[part]! * glow.drift!.factors[part]!) as unknown as typeof given;
    // A hue is told at a luminance of one.
    expect(luminanceOf(seen)).toBeCloseTo(1, 3);
    expect([...glow.unlitTint!.slice(0, 3)].map((each) => Math.round(1e4 * each) / 1e4)).toEqual([1, 0.0004, 0.0004]);
  });

  it('is bought once, by its size, between a clear sheet and one behind it, with no film cut', () => {
    const { cut, bought, geometry } = printed(null);
    const prints = bought.filter(({ name }) => /print|poster/i.test(name));
    expect(prints).toHaveLength(1);
    expect(prints[0]!.quantity).toBeCloseTo((geometry.face.widthMm * geometry.face.heightMm) / 1e6, 9);
    expect(cut.map(({ name }) => name)).toEqual(expect.arrayContaining(['Front sheet', 'Rear sheet', 'Back']));
    expect(cut.some(({ id }) => id === 'film')).toBe(false);
  });

  it('is laid in by one step, after both sheets are cut, and nothing tells of coats of it', () => {
    const { steps } = printed(null).buildList;
    const about = steps.filter(({ title }) => /print|poster/i.test(title)).map(({ id }) => id);
    expect(about).toEqual(['template', 'lettering']);
    const at = (id: string): number => steps.findIndex((step) => step.id === id);
    expect(at('face')).toBeLessThan(at('lettering'));
    // Tried before anything is painted or glued.
    expect(at('try-in')).toBe(steps.findIndex(({ phase }) => phase === 'finish'));
  });

  it('that is not stored as it should be is told with its field', () => {
    const broken = { ...plain(1, 2, 3), rgb: `${'AAAA'.repeat(3)}AAA=` };
    expect(refusal(changed(tideTable, inAssembly({ 'shows.picture': broken }))).path).toContain('shows.picture');
    expect(refusal(changed(tideTable, inAssembly({ 'artwork.mode': 'lit-letters' }))).path).toContain('artwork.mode');
  });

  it('keeps its sheets when the frame is solved', () => {
    const asked = changed(tideTable, inAssembly({ 'light.rowCount': 1 })) as unknown as Design;
    const { design } = finish(solveSign(asked, 0, createJudge(shippedCatalogue, fonts)));
    expect(design.assemblies[0]).toMatchObject({
      face: { sheetId: 'clear-3', second: { sheetId: 'opal-3' } },
      shows: { kind: 'print' },
    });
  });
});

const engraved = ({ layers }: CutPart): Outline =>
  layers
    .filter(({ operation }) => operation === 'engrave')
    .flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])));

describe('a mirror tile', () => {
  it('is sent to be worked from behind: mirrored, as large as it is seen', () => {
    const { cut, lettering, geometry } = evaluated(changed(brimTile, inAssembly({ 'artwork.offsetXMm': 20 })), fonts);
    const tile = cut.find(({ id }) => id === 'face')!;
    expect(tile).toMatchObject({ name: 'Mirror tile', materialName: 'Mirror glass 4 mm' });
    const [drawn, seen] = [outlineBounds(engraved(tile))!, lettering.bounds!];
    const middle = geometry.face.widthMm / 2;
    expect(drawn.x + drawn.width / 2 - middle).toBeCloseTo(-(seen.x + seen.width / 2), 6);
    expect(Math.abs(outlineArea(engraved(tile)))).toBeCloseTo(Math.abs(outlineArea(lettering.outline)), 3);
  });

  it('shows half of the room, and nothing shines through its silver', () => {
    const { materials, workability } = evaluated(brimTile, fonts);
    expect(materials.film.transmittanceRgb).toEqual([0, 0, 0]);
    expect(materials.film.reflectanceRgb[0]).toBeCloseTo(0.93 / 2, 9);
    // What is within a letter stays on the glass.
    expect(workability.counters).toBe(0);
  });

  it('has to be a mirror, and lit through what is taken off it', () => {
    expect(refusal(changed(brimTile, inAssembly({ 'shows.mirrorId': 'float-glass-4' }))).message).toContain(
      'no silver',
    );
    expect(refusal(changed(brimTile, inAssembly({ 'artwork.mode': 'opaque-letters' }))).path).toContain('artwork.mode');
  });

  it('is tried in the dry frame before anything is glued, glass with gloves', () => {
    const ids = evaluated(brimTile, fonts).buildList.steps.map(({ id }) => id);
    expect(ids.indexOf('try-in')).toBeGreaterThan(0);
    expect(ids.indexOf('try-in')).toBeLessThan(ids.indexOf('glue-up'));
    const { steps } = evaluated(brimTile, fonts).buildList;
    expect(steps.find(({ id }) => id === 'face')?.caution).toContain('gloves');
  });
});

describe('a lit mirror', () => {
  it('shines in a band: all round, so far in, so wide', () => {
    const square = changed(fittingMirror, inAssembly({ 'shows.band': { insetMm: 40, widthMm: 30 } }));
    const { lettering, geometry } = evaluated(square, fonts);
    const { widthMm, heightMm } = geometry.face;
    const [w, h] = [widthMm - 80, heightMm - 80];
    expect(lettering.bounds).toMatchObject({ width: w, height: h });
    expect(Math.abs(outlineArea(lettering.outline))).toBeCloseTo(w * h - (w - 60) * (h - 60), 6);
    const round = evaluated(fittingMirror, fonts).lettering;
    expect(round.areaMm2).toBeLessThan((widthMm - 70) * (heightMm - 70) - (widthMm - 140) * (heightMm - 140));
  });

  it('with a band too wide for it, or under its frame, is refused in a sentence', () => {
    const wide = refusal(changed(fittingMirror, inAssembly({ 'shows.band': { insetMm: 200, widthMm: 140 } })));
    expect(wide.path).toContain('shows.band.widthMm');
    expect(wide.message).toMatch(/700 mm across|699|698/);
    const under = refusal(changed(fittingMirror, inAssembly({ 'shows.band': { insetMm: 2, widthMm: 20 } })));
    expect(under.path).toContain('shows.band.insetMm');
  });

  const aim = { leastCdM2: 100, wantedCdM2: 300, mostCdM2: 2500, dayAndNight: false };

  it.each([
    [594, 420],
    [700, 900],
  ])('of %d × %d mm is solved: strip round an inner frame within the band, no silver given up', (widthMm, heightMm) => {
    const asked = changed(
      fittingMirror,
      inAssembly({
        'case.widthMm': widthMm,
        'case.heightMm': heightMm,
        'light.stripId': 'white-24v-60',
        'case.depthInsideMm': 40,
        'face.second': null,
      }),
    ) as unknown as Design;
    const judge = createJudge(shippedCatalogue, fonts);
    const { design } = finish(solveSign(asked, 0, judge));
    expect(design.assemblies[0]).toMatchObject({
      light: { layout: 'block', facing: 'out', corners: 'bent' },
      shows: { kind: 'lit-mirror' },
    });
    const seeds = frameSeeds(evaluated(asked as unknown as typeof fittingMirror, fonts), shippedCatalogue, aim);
    expect(seeds.length).toBeGreaterThan(3);
    for (const { change } of seeds)
      expect(change.find(({ path }) => path.endsWith('light.layout'))?.value).toBe('block');
    const { block } = evaluated(design as unknown as typeof fittingMirror, fonts).geometry;
    // 35 in, 35 wide, 4 clear on each side.
    expect(block!.x1 - block!.x0).toBe(widthMm - 2 * 74);
    expect(block!.y1 - block!.y0).toBe(heightMm - 2 * 74);
    const found = judge.exact(design);
    expect(found?.findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  it('begins without a finding that stops or disappoints, as do the other demos', () => {
    for (const design of [fittingMirror, brimTile, tideTable])
      expect(evaluated(design, fonts).findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });
});

const traced = (design: Parameters<typeof evaluated>[0]): TraceReport => {
  let last: TraceReport | null = null;
  let reports = 0;
  for (const report of traceCheck(evaluated(design, fonts) as never)) {
    last = report;
    if (++reports >= 30) break;
  }
  return last!;
};

describe('how a mirror is come by', () => {
  it('is told field by field, the rest as usual', () => {
    const bare = changed(fittingMirror, inAssembly({ 'shows.mirrorWork': undefined })) as unknown as Design;
    const asked = applyChange(bare, [{ path: 'assemblies.0.shows.mirrorWork.quote', value: 90 }]);
    if (!asked.ok) throw new Error(asked.problems[0]!.message);
    expect(asked.value.assemblies[0]).toMatchObject({ shows: { mirrorWork: { quote: 90 } } });
    expect(applyChange(bare, [{ path: 'assemblies.0.shows.mirrorWork.failShare', value: 1.2 }]).ok).toBe(false);
    expect(() => applyChange(bare, [{ path: 'assemblies.0.shows.mirrorWork.wish', value: 1 }])).toThrow(
      'no such field',
    );
  });

  it('costs glass and hours of tries that fail, or what a glass shop asks, which cuts nothing here', () => {
    const made = (work: object) => evaluated(changed(fittingMirror, inAssembly({ 'shows.mirrorWork': work })), fonts);
    const minutes = ({ buildList }: ReturnType<typeof made>): number =>
      buildList.steps.find(({ id }) => id === 'lettering')!.minutes;
    const sure = made({ by: 'here', failShare: 0 });
    const risky = made({ by: 'here', failShare: 0.5 });
    expect(sure.bought.some(({ id }) => id === 'mirror-tries')).toBe(false);
    // Every other one fails: one mirror more, and twice the time.
    expect(risky.bought.find(({ id }) => id === 'mirror-tries')?.quantity).toBeCloseTo(1, 9);
    expect(minutes(risky)).toBe(2 * minutes(sure));
    const sent = made({ by: 'glass-shop', quote: 148 });
    expect(sent.bought.find(({ id }) => id === 'mirror-bought')?.unitPrice).toBe(148);
    // Nobody asked yet is not for nothing.
    const unasked = made({ by: 'glass-shop' }).bought.find(({ id }) => id === 'mirror-bought');
    expect(unasked?.unitPrice).toBeGreaterThan(100);
    expect(unasked?.name).toContain('typical price');
    expect(sent.packing.sheets.some(({ materialId }) => materialId === 'mirror-glass-4')).toBe(false);
    expect(sure.packing.sheets.some(({ materialId }) => materialId === 'mirror-glass-4')).toBe(true);
    // It weighs the same, wherever it is made, and its drawing is in the pack.
    expect(sent.hang!.kg).toBeCloseTo(sure.hang!.kg, 1);
    expect(sent.cut.find(({ id }) => id === 'face')?.layers.map(({ operation }) => operation)).toContain('engrave');
    expect(sent.buildList.steps.find(({ id }) => id === 'face')?.title).toContain('Order the mirror');
  });

  it('throws light back where it is not open, as much as its paint gives back', () => {
    const { stack, lettering, geometry } = evaluated(brimTile, fonts);
    const bare = evaluated(changed(brimTile, inAssembly({ 'artwork.capHeightMm': 20 })), fonts);
    const { widthMm, heightMm } = geometry.inside;
    expect(stack.openShare).toBeCloseTo(lettering.areaMm2 / (widthMm * heightMm), 12);
    expect(bare.stack.openShare).toBeLessThan(stack.openShare);
    expect(bare.stack.transmittance).toBe(stack.transmittance);
    // Nearly closed, it gives back what an opal sheet does before paint: R + T²ρ / (1 − Rρ).
    const opal = shippedCatalogue.faces.find(({ id }) => id === 'opal-3')!;
    const closed =
      opal.reflectance + (opal.transmittance ** 2 * mirrorBackReflects) / (1 - opal.reflectance * mirrorBackReflects);
    const open = (stack.innerReflectance - (1 - stack.openShare) * closed) / stack.openShare;
    expect(bare.stack.innerReflectance).toBeCloseTo(
      bare.stack.openShare * open + (1 - bare.stack.openShare) * closed,
      9,
    );
    expect(open).toBeGreaterThan(0);
    expect(open).toBeLessThan(closed);
  });
});

describe('light of frames against photons followed one by one', () => {
  it.each([
    ['a print', () => changed(tideTable, inAssembly({ 'shows.picture': null }))],
    ['a mirror tile', () => brimTile],
  ] as const)('of %s agrees on what leaves', (_name, design) => {
    const report = traced(design());
    expect(Math.abs(report.apartShare)).toBeLessThan(0.01 + 3 * report.outErrorShare);
    expect(report.imbalanceShare).toBeLessThan(0.01);
  });
});
