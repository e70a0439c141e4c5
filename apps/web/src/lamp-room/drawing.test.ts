import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from '@jest/globals';
import {
  buildOf,
  createEvaluator,
  demoDesigns,
  loadFontBook,
  shippedCatalogue,
  type AssemblyEvaluation,
  type Evaluation,
} from '@vitrum/core';
import { contrastCurve } from '../figures/contrast-curve';
import { fitted, frontView, pinched, rectOnScreen, toSign, toScreen, zoomAbout } from './front-view';
import { lightCones, luminanceProfile, onSlice, sliceDrawing } from '../slice/slice-drawing';
import { hasSeen, stepDetail, stepName, stepState, workSteps } from '../steps/step-names';

const packages = createRequire(import.meta.url);
/** The assembly that is chosen as the page opens. */
const chosen = ({ assemblies: [own] }: Evaluation) => own!;

let sign: Evaluation;
let box: AssemblyEvaluation;
let lettersOnWall: Evaluation;
let halo: AssemblyEvaluation;
let letterCases: Evaluation;
let cans: AssemblyEvaluation;
beforeAll(async () => {
  const fonts = await loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
  const result = createEvaluator(shippedCatalogue, fonts).evaluate(demoDesigns.dispensary);
  if (!result.ok) throw new Error('demo');
  sign = result.value;
  box = sign.assemblies[0]!;
  const one = <Design extends (typeof demoDesigns)['curlew' | 'tern']>(design: Design): Evaluation => {
    const letter = createEvaluator(shippedCatalogue, fonts).evaluate({
      ...design,
      brief: { ...design.brief, text: 'L' },
    });
    if (!letter.ok) throw new Error('letters');
    return letter.value;
  };
  [lettersOnWall, letterCases] = [one(demoDesigns.curlew), one(demoDesigns.tern)];
  [halo, cans] = [lettersOnWall.assemblies[0]!, letterCases.assemblies[0]!];
});

const size = { width: 790, height: 430 };

describe('the front on the screen', () => {
  it('fits the sign with room for its sizes, and maps there and back', () => {
    const view = frontView(box.front.fitted, size, fitted);
    const rect = rectOnScreen(view, { x: -450, y: -150, width: 900, height: 300 });
    expect(rect.x).toBeGreaterThan(30);
    expect(rect.x + rect.width).toBeLessThan(760);
    expect(toSign(view, ...toScreen(view, 123, -45))).toEqual([expect.closeTo(123), expect.closeTo(-45)]);
  });

  it('keeps what is between two fingers between them, as much larger as they go apart', () => {
    const view = frontView(box.front.fitted, size, fitted);
    const pinch = { hand: fitted, view, middle: [210, 150] as const, apartPx: 80 };
    const held = toSign(view, 210, 150);
    const apart = pinched(pinch, [260, 130], 160);
    const now = frontView(box.front.fitted, size, apart);
    expect(now.scale / view.scale).toBeCloseTo(2, 6);
    const [x, y] = toScreen(now, ...held);
    expect([x, y]).toEqual([expect.closeTo(260, 6), expect.closeTo(130, 6)]);
    // Two fingers that go the same way move it alone.
    expect(pinched(pinch, [240, 150], 80)).toEqual({ zoom: 1, shiftX: 30, shiftY: 0 });
  });

  it('zooms about the pointer, which stays on its spot', () => {
    const view = frontView(box.front.fitted, size, fitted);
    const spot = toSign(view, 200, 180);
    const closer = frontView(box.front.fitted, size, zoomAbout(fitted, view, 2, 200, 180));
    expect(closer.scale).toBeCloseTo(view.scale * 2);
    expect(toScreen(closer, ...spot)).toEqual([expect.closeTo(200), expect.closeTo(180)]);
  });
});

describe('the slice on the screen', () => {
  it('lies on its back: face above back, top at the left, to one scale', () => {
    const drawing = sliceDrawing(box.section, { width: 460, height: 240 }, null);
    const [topX, faceY] = onSlice(drawing, 84, 150);
    const [bottomX, backY] = onSlice(drawing, -6, -150);
    expect(bottomX - topX).toBeCloseTo(300 * drawing.scale);
    expect(backY - faceY).toBeCloseTo(90 * drawing.scale);
  });

  it('holds its scale while a handle is dragged', () => {
    expect(sliceDrawing(box.section, { width: 460, height: 240 }, 0.5).scale).toBe(0.5);
  });

  it('draws the luminance of the column it cuts, zero on the baseline', () => {
    const drawing = sliceDrawing(box.section, { width: 460, height: 240 }, null);
    const profile = luminanceProfile(drawing, box, 0);
    expect(profile.topCdM2).toBeGreaterThan(profile.lowCdM2);
    expect(profile.topCdM2).toBeLessThanOrEqual(Math.max(...box.glow.luminance));
    expect(profile.path.split('L')).toHaveLength(box.glow.grid.rows);
  });
});

describe('the work line', () => {
  it('tells each step in a few words', () => {
    for (const { step } of workSteps) expect(stepDetail(step, sign, chosen(sign)).length).toBeGreaterThan(3);
    expect(stepDetail('case', sign, chosen(sign))).toBe('900×300×87\u00a0mm');
  });

  it('shows what is wrong before what was seen', () => {
    expect(stepState('face', sign.findings, false)).toEqual({ kind: 'fix', count: 1 });
    expect(stepState('brief', sign.findings, true).kind).toBe('fine');
    expect(stepState('brief', sign.findings, false).kind).toBe('untouched');
    expect(hasSeen('case', [], 'cutting')).toBe(true);
    expect(hasSeen('prove', [], 'cutting')).toBe(false);
  });
});

describe('contrast against the eye', () => {
  it('crosses the curve where the figures say that bands vanish', () => {
    const { eye, contrastPercent } = contrastCurve(box);
    const vanish = box.glow.evenness.dotsVanishAtMm / 1000;
    const before = eye.filter(([metres]) => metres < vanish * 0.95 && metres > 3);
    const beyond = eye.filter(([metres]) => metres > vanish * 1.05);
    expect(before.every(([, threshold]) => threshold < contrastPercent)).toBe(true);
    expect(beyond.every(([, threshold]) => threshold > contrastPercent)).toBe(true);
  });
});

const ledZMm = ({ runs }: AssemblyEvaluation): number => runs.segments[0]!.from[2];

/** Corner points of a screen path. */
const corners = (path: string): readonly (readonly [number, number])[] =>
  [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe('the slice through letters', () => {
  const size = { width: 460, height: 240 };

  it('lights the wall from LEDs that face it', () => {
    const drawing = sliceDrawing(halo.section, size, null);
    const [, wallY] = onSlice(drawing, 0, 0);
    const [, ledY] = onSlice(drawing, ledZMm(halo), 0);
    const cones = lightCones(drawing, halo);
    expect(cones.length).toBeGreaterThan(0);
    for (const cone of cones) {
      const [tip, ...foot] = corners(cone);
      expect(tip![1]).toBeCloseTo(ledY, 0);
      for (const [, y] of foot) expect(y).toBeCloseTo(wallY, 0);
    }
  });

  it('lights the faces from LEDs on the backs', () => {
    const drawing = sliceDrawing(cans.section, size, null);
    const [, faceY] = onSlice(drawing, buildOf(cans).depth(cans).mm, 0);
    for (const cone of lightCones(drawing, cans))
      expect(Math.min(...corners(cone).map(([, y]) => y))).toBeCloseTo(faceY, 0);
  });

  it('shows no light where a letter hides the wall, and none beside lit letters', () => {
    const { grid, letters } = halo.glow;
    const half = halo.section.heightMm / 2;
    const covered = (column: number): number =>
      Array.from({ length: grid.rows }, (_, row) => row).filter(
        (row) =>
          letters[row * grid.columns + column]! > 0.5 &&
          Math.abs(grid.area.y + (row + 0.5) * grid.cellHeightMm) <= half,
      ).length;
    const column = Array.from({ length: grid.columns }, (_, at) => at).reduce((a, b) =>
      covered(b) > covered(a) ? b : a,
    );
    expect(covered(column)).toBeGreaterThan(3);
    const drawing = sliceDrawing(halo.section, size, null);
    const profile = luminanceProfile(drawing, halo, grid.area.x + (column + 0.5) * grid.cellWidthMm);
    const baseline = drawing.faceY - 14;
    const dark = corners(profile.path).filter(([, y]) => Math.abs(y - baseline) < 0.06);
    expect(dark.length).toBeGreaterThanOrEqual(covered(column));
    expect(profile.lowCdM2).toBe(0);
    const beside = luminanceProfile(sliceDrawing(cans.section, size, null), cans, cans.glow.grid.area.x + 0.1);
    expect(beside.topCdM2).toBeLessThan(cans.glow.evenness.maxCdM2);
  });
});

describe('the work line of letters', () => {
  it('calls steps by the words of the build', () => {
    expect([stepName('case', 'halo'), stepName('face', 'halo')]).toEqual(['Letters', 'Wall']);
    expect([stepName('case', 'face-lit'), stepName('face', 'face-lit')]).toEqual(['Cans', 'Face']);
    expect(stepName('case', undefined)).toBe('Case');
  });

  it('gives each step its figure', () => {
    for (const { step } of workSteps)
      for (const letters of [lettersOnWall, letterCases])
        expect(stepDetail(step, letters, chosen(letters))).toMatch(/\w{2}/);
    expect(stepDetail('face', lettersOnWall, chosen(lettersOnWall))).toMatch(/^glow \d+ mm$/);
    expect(stepDetail('artwork', letterCases, chosen(letterCases))).toBe('1 letter');
  });
});
