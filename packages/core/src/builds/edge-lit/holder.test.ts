import { beforeAll, describe, expect, it } from '@jest/globals';
import Module from 'manifold-3d';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, rectRing } from '../../base/outlines/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts, pageEvaluator } from '../../testing/harness.js';
import { solidIn } from '../../testing/solid-in.js';
import type { BaseGeometry } from './base-geometry.js';
import type { FramedGeometry } from './framed-geometry.js';
import { eyeHoleOf } from './eye-hole.js';
import { panelFront } from './front.js';
import { panelSolids } from './printed-base.js';
import { factsOf } from './results.js';
import { looseOf, stencilOf } from './stencil.js';

let fonts: FontBook;
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  fonts = await testFonts();
  kernel = await Module();
  kernel.setup();
});

type Change = Readonly<Record<string, unknown>>;
const panel = (change: Change = {}) => evaluatedCoarsely(changed(quietRoom, inAssembly(change)), fonts);
const problems = (change: Change): readonly string[] => {
  const result = pageEvaluator(fonts).quick(changed(quietRoom, inAssembly(change)));
  return result.ok ? [] : result.problems.map(({ path, message }) => `${path} ${message}`);
};
const partOf = (results: ReturnType<typeof panel>, id: string) => {
  const found = results.cut.find((part) => part.id === id);
  if (found === undefined) throw new Error(`no part ${id}`);
  return found;
};

describe('a base', () => {
  it('fits its sheet, strip, batten and lid to a tenth of a millimetre', () => {
    const { geometry, materials, assembly, cut, runs } = panel();
    const base = geometry.holder as BaseGeometry;
    expect(base.slot.widthMm).toBeCloseTo(materials.pane.thicknessMm + 2 * assembly.holder.playMm, 9);
    // Lid, batten, strip, gap and slot fill the height of the block.
    expect(
      base.closing.thicknessMm + base.battenMm + materials.strip.heightMm + assembly.light.gapMm + base.slot.deepMm,
    ).toBeCloseTo(base.heightMm, 9);
    // The LEDs stand their gap under the edge, in the middle of the sheet.
    const edge = geometry.sheet.y;
    for (const { from } of runs.segments) {
      expect(edge - from[1]).toBeCloseTo(assembly.light.gapMm, 9);
      expect(from[2]).toBeCloseTo(materials.pane.thicknessMm / 2, 9);
    }
    // The sheet rests on both ends of the slot’s floor; the strip lies within the cavity.
    expect(base.cavity.lengthMm).toBeLessThan(geometry.sheet.width - 10);
    expect(Math.max(...runs.segments.map(({ lengthMm }) => lengthMm))).toBeLessThan(base.cavity.lengthMm);
    expect(cut.map(({ id }) => id)).toEqual(['sheet', 'base', 'lid', 'batten']);
    expect(geometry.outside.heightMm).toBeCloseTo(160 + 40 - 14, 9);
  });

  it('is cut by settings of the saw or the router, its slot first', () => {
    const { setUps } = panel();
    const found = setUps.mm.ok ? setUps.mm.value : [];
    const slot = found.find(({ kind }) => kind === 'channel');
    expect(slot).toBeDefined();
    expect(slot!.members).toEqual(['Base']);
  });

  it.each<[string, Change]>([
    ['holder.slotMm', { 'holder.slotMm': 36 }],
    ['holder.depthMm', { 'holder.depthMm': 16 }],
    ['sheet.cornerMm', { 'sheet.cornerMm': 200 }],
    ['sheet.paneId', { 'sheet.paneId': 'no-such-sheet' }],
  ])('is refused with the field %s where its sizes contradict each other', (path, change) => {
    const [first, ...others] = problems(change);
    expect(first).toContain(`assemblies.0.${path} `);
    expect(first!.length).toBeGreaterThan(path.length + 20);
    expect(others).toEqual([]);
  });

  it('printed, is closed, in one piece, with walls of 2 mm and more and room for the strip', () => {
    const results = panel({ 'holder.make': 'printed', 'holder.heightMm': 32, 'holder.pocketMm': 0 });
    const [body, lid] = panelSolids(factsOf(results));
    const base = results.geometry.holder as BaseGeometry;
    const [solid, cover] = [solidIn(kernel, body!.triangles), solidIn(kernel, lid!.triangles)];
    expect([solid.parts, cover.parts]).toEqual([1, 1]);
    const { lengthMm, depthMm, heightMm, slot, cavity, closing, exit } = base;
    const hollow =
      slot.widthMm * slot.deepMm * (results.geometry.sheet.width + 1) +
      cavity.lengthMm * cavity.widthMm * cavity.highMm +
      closing.widthMm * closing.heightMm * closing.thicknessMm;
    // The way of the lead and four bores are the rest.
    const rest = lengthMm * depthMm * heightMm - hollow - solid.volume;
    const bore = (Math.PI * exit.diameterMm ** 2) / 4;
    expect(rest).toBeGreaterThan(bore * ((depthMm - cavity.widthMm) / 2) * 0.9);
    expect(rest).toBeLessThan(bore * ((depthMm - cavity.widthMm) / 2) * 1.1 + 4 * 8 * 6);
    expect((depthMm - cavity.widthMm) / 2).toBeGreaterThanOrEqual(2);
    expect(exit.upMm - exit.diameterMm / 2).toBeGreaterThanOrEqual(2);
    // Body and lid do not meet.
    expect(closing.widthMm - cover.widthMm).toBeCloseTo(0.4, 4);
    expect(results.parts.bought.find(({ id }) => id === 'printing-stock')!.quantity).toBeGreaterThan(0.05);
  });

  it('has a pocket where a controller is to lie in it', () => {
    const base = panel({ 'holder.pocketMm': 60, 'holder.make': 'printed' });
    const [body] = panelSolids(factsOf(base));
    const [plain] = panelSolids(factsOf(panel({ 'holder.make': 'printed' })));
    expect(solidIn(kernel, plain!.triangles).volume - solidIn(kernel, body!.triangles).volume).toBeGreaterThan(5000);
  });
});

describe('the eye of a remote', () => {
  /** A printed base with a controller in its pocket, whose eye looks out or not. */
  const eyed = (sensorWindow: boolean) =>
    evaluatedCoarsely(
      changed(quietRoom, {
        ...inAssembly({ 'holder.make': 'printed', 'holder.pocketMm': 120, 'holder.depthMm': 60 }),
        'power.controllerId': 'rgb-infrared-3',
        'power.controllerPlace': 'inside',
        'power.sensorWindow': sensorWindow,
      }),
      fonts,
    );

  it('has a hole through the front of the pocket, and is seen there', () => {
    const [open, shut] = [eyed(true), eyed(false)];
    const eye = eyeHoleOf(open)!;
    const { cavity, pocket, depthMm, heightMm } = open.geometry.holder as BaseGeometry;
    expect(eyeHoleOf(shut)).toBeNull();
    expect(eye.x - eye.diameterMm / 2).toBeGreaterThan(-cavity.lengthMm / 2);
    expect(eye.x + eye.diameterMm / 2).toBeLessThan(-cavity.lengthMm / 2 + 120);
    const volume = (results: typeof open): number =>
      solidIn(kernel, panelSolids(factsOf(results), eyeHoleOf(results))[0]!.triangles).volume;
    const bored = (Math.PI / 4) * eye.diameterMm ** 2 * ((depthMm - pocket.widthMm) / 2);
    expect((volume(shut) - volume(open)) / bored).toBeCloseTo(1, 1);
    const seen = panelFront(open).shapes.find(({ id }) => id === 'eye')!;
    const bounds = outlineBounds(seen.outline)!;
    expect(bounds.width).toBeCloseTo(eye.diameterMm, 6);
    expect(bounds.y).toBeGreaterThan(-open.geometry.outside.heightMm / 2);
    expect(bounds.y + bounds.height).toBeLessThan(-open.geometry.outside.heightMm / 2 + heightMm);
    expect(panelFront(shut).shapes.some(({ id }) => id === 'eye')).toBe(false);
  });
});

describe('a frame, and a case', () => {
  const frame = demoDesigns['hat-mirror'];

  it('holds the sheet in a seat, and the strip in a narrower groove under its edge', () => {
    const results = evaluatedCoarsely(frame, fonts);
    const { geometry, materials, assembly } = results;
    const framed = geometry.holder as FramedGeometry;
    const { seats, thicknessMm } = framed.members[0]!;
    const [seat, groove] = seats;
    expect(seat!.widthMm).toBeCloseTo(materials.pane.thicknessMm + 2 * assembly.holder.playMm, 9);
    expect(groove!.widthMm).toBeLessThan(seat!.widthMm);
    // The middle of both is the middle of the sheet.
    expect(seat!.fromFrontMm + seat!.widthMm / 2).toBeCloseTo(groove!.fromFrontMm + groove!.widthMm / 2, 9);
    expect(groove!.depthMm).toBeLessThanOrEqual(thicknessMm - 3);
    // The sheet enters with its play: inside + 2 seats − 2 plays.
    expect(framed.inside.widthMm + 2 * seat!.depthMm - 2 * assembly.holder.playMm).toBeCloseTo(500, 9);
  });

  it('in stock too thin for its groove is refused', () => {
    const thick = pageEvaluator(fonts).quick(changed(frame, inAssembly({ 'holder.seatMm': 14 })));
    expect(thick.ok).toBe(false);
  });
});

describe('the drawings', () => {
  it('are mirrored where it is worked from behind, and say so', () => {
    const behind = panel();
    const before = panel({ 'artwork.mirrored': false });
    const worked = (results: typeof behind) => {
      const { layers } = partOf(results, 'sheet');
      return layers
        .find(({ operation }) => operation === 'engrave')!
        .shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : []));
    };
    const [one, other] = [worked(behind), worked(before)];
    const [a, b] = [outlineBounds(one)!, outlineBounds(other)!];
    expect(a.x).toBeCloseTo(240 - b.x - b.width, 6);
    // Mirrored once, wound again as it was.
    expect(outlineArea(one)).toBeCloseTo(outlineArea(other), 3);
    expect(partOf(behind, 'sheet').note).toContain('drawn mirrored');
    expect(behind.buildList.steps.find(({ id }) => id === 'lettering')!.detail).toContain('back is up');
    expect(before.buildList.steps.find(({ id }) => id === 'lettering')!.detail).toContain('Front up');
  });

  it('of a stencil keep the middles of letters by bridges', () => {
    const results = panel({ 'artwork.toolId': 'sand-through', 'artwork.depthMm': 0.03 });
    const [area] = results.areas;
    // Q, e, o, o have a middle each.
    expect(looseOf(area!)).toBe(4);
    const outline = stencilOf(area!)!;
    expect(outline.filter((ring) => outlineArea([ring]) < 0)).toHaveLength(0);
    expect(outlineArea(outline)).toBeGreaterThan(0.9 * outlineArea(results.lettering.outline));
    expect(partOf(results, 'stencil').stock).toBe('film');
    expect(stencilOf(panel().areas[0]!)).toBeNull();
  });

  it('of a stencil leave a hole open that no letter is round', () => {
    const [area] = panel({ 'artwork.toolId': 'sand-through', 'artwork.depthMm': 0.03 }).areas;
    const hole = [...rectRing({ x: 500, y: 0, width: 10, height: 10 })].reverse();
    const odd = { ...area!, lettering: { ...area!.lettering, outline: [...area!.lettering.outline, hole] } };
    for (const [x, y] of stencilOf(odd)!.flat()) expect(Number.isFinite(x + y)).toBe(true);
  });

  it('leave the film on until the end, and polish before it', () => {
    const ids = panel().buildList.steps.map(({ id }) => id);
    expect(ids.indexOf('test-cut')).toBeLessThan(ids.indexOf('lettering'));
    expect(ids.indexOf('edges')).toBeGreaterThan(ids.indexOf('lettering'));
    const close = panel().buildList.steps.find(({ id }) => id === 'close')!;
    expect(close.detail).toContain('film comes off now');
  });
});
