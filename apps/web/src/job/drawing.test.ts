import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { createEvaluator, demoDesigns, loadFontBook, shippedCatalogue, type Evaluation } from '@vitrum/core';
import { contrastCurve } from './contrast-curve';
import { fitted, frontView, rectOnScreen, toPiece, toScreen, zoomAbout } from './front-view';
import { luminanceProfile, onSlice, sliceDrawing } from './slice-drawing';
import { hasSeen, stepDetail, stepState, workSteps } from './step-names';

const packages = createRequire(import.meta.url);
let box: Evaluation;
beforeAll(async () => {
  const fonts = await loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
  const result = createEvaluator(shippedCatalogue, fonts).evaluate(demoDesigns.dispensary);
  if (!result.ok) throw new Error('demo');
  box = result.value;
});

const size = { width: 790, height: 430 };

describe('the front on the screen', () => {
  it('fits the piece with room for its sizes, and maps there and back', () => {
    const view = frontView(box.geometry.outside, size, fitted);
    const rect = rectOnScreen(view, { x: -450, y: -150, width: 900, height: 300 });
    expect(rect.x).toBeGreaterThan(30);
    expect(rect.x + rect.width).toBeLessThan(760);
    expect(toPiece(view, ...toScreen(view, 123, -45))).toEqual([expect.closeTo(123), expect.closeTo(-45)]);
  });

  it('zooms about the pointer, which stays on its spot', () => {
    const view = frontView(box.geometry.outside, size, fitted);
    const spot = toPiece(view, 200, 180);
    const closer = frontView(box.geometry.outside, size, zoomAbout(fitted, view, 2, 200, 180));
    expect(closer.scale).toBeCloseTo(view.scale * 2);
    expect(toScreen(closer, ...spot)).toEqual([expect.closeTo(200), expect.closeTo(180)]);
  });
});

describe('the slice on the screen', () => {
  it('lies on its back: face above back, top at the left, to one scale', () => {
    const drawing = sliceDrawing(box, { width: 460, height: 240 }, null);
    const [topX, faceY] = onSlice(drawing, box, 84, 150);
    const [bottomX, backY] = onSlice(drawing, box, -6, -150);
    expect(bottomX - topX).toBeCloseTo(300 * drawing.scale);
    expect(backY - faceY).toBeCloseTo(90 * drawing.scale);
  });

  it('holds its scale while a handle is dragged', () => {
    expect(sliceDrawing(box, { width: 460, height: 240 }, 0.5).scale).toBe(0.5);
  });

  it('draws the luminance of the column it cuts, zero on the baseline', () => {
    const drawing = sliceDrawing(box, { width: 460, height: 240 }, null);
    const profile = luminanceProfile(drawing, box, 0);
    expect(profile.topCdM2).toBeGreaterThan(profile.lowCdM2);
    expect(profile.topCdM2).toBeLessThanOrEqual(Math.max(...box.glow.ground));
    expect(profile.path.split('L')).toHaveLength(box.glow.grid.rows);
  });
});

describe('the work line', () => {
  it('tells each step in a few words', () => {
    for (const { step } of workSteps) expect(stepDetail(step, box).length).toBeGreaterThan(3);
    expect(stepDetail('case', box)).toBe('900×300×90');
  });

  it('shows what is wrong before what was seen', () => {
    expect(stepState('face', box.findings, false)).toEqual({ kind: 'fix', count: 1 });
    expect(stepState('brief', box.findings, true).kind).toBe('fine');
    expect(stepState('brief', box.findings, false).kind).toBe('untouched');
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
