import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineBounds, ringArea } from '../../base/outlines/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const evaluate = (change: Readonly<Record<string, unknown>>) =>
  evaluated(changed(dispensary, inAssembly(change)), fonts);
const areaOf = (shapes: ReturnType<typeof evaluate>['section']['shapes'], role: string): number =>
  shapes.filter((shape) => shape.role === role).reduce((sum, { ring }) => sum + ringArea(ring), 0);

describe('the section', () => {
  it('cuts both returns with their rabbets taken away', () => {
    const { section } = evaluate({});
    expect(section.shapes.filter(({ role }) => role === 'return')).toHaveLength(2);
    expect(areaOf(section.shapes, 'return')).toBeCloseTo(2 * (90 * 12 - 3 * 8 - 6 * 8), 3);
  });

  it('has the face in its seat with play, touching nothing', () => {
    const { section, geometry } = evaluate({});
    const face = section.shapes.find(({ role }) => role === 'face')!;
    const bounds = outlineBounds([face.ring])!;
    expect(bounds.height).toBeCloseTo(geometry.face.heightMm, 6);
    expect(bounds.x).toBeCloseTo(81, 6);
    expect(bounds.y - -(geometry.inside.heightMm / 2 + 8)).toBeCloseTo(1.2, 6);
  });

  it('is as deep as the case and as high, whatever holds the face', () => {
    for (const retention of ['rabbet', 'groove', 'laid-on']) {
      const { section, geometry } = evaluate({ 'case.retention': retention });
      const bounds = outlineBounds(section.shapes.map(({ ring }) => ring))!;
      expect(bounds.width).toBeCloseTo(geometry.outside.depthMm, 6);
      expect(section.frontZMm - section.rearZMm).toBeCloseTo(geometry.outside.depthMm, 6);
      expect(bounds.height).toBeCloseTo(geometry.outside.heightMm, 6);
    }
  });

  it('leaves a lip in front of a groove', () => {
    const { section, geometry } = evaluate({ 'case.retention': 'groove', 'case.lipMm': 7 });
    const face = outlineBounds([section.shapes.find(({ role }) => role === 'face')!.ring])!;
    expect(section.frontZMm - (face.x + face.width)).toBeCloseTo(7 + 0.4, 6);
    expect(geometry.members[0]!.seats[0]!.widthMm).toBeCloseTo(3.4, 6);
  });

  it('shows each row of strip on the back, and rim strip on the returns', () => {
    expect(evaluate({ 'light.rowCount': 5 }).section.shapes.filter(({ role }) => role === 'strip')).toHaveLength(5);
    const rim = evaluate({ 'light.layout': 'rim', 'light.turnCount': 2 }).section.shapes.filter(
      ({ role }) => role === 'strip',
    );
    expect(rim).toHaveLength(4);
    for (const { ring } of rim) expect(Math.max(...ring.map(([, y]) => Math.abs(y)))).toBeCloseTo(138, 6);
  });

  it('names every layer with a figure a maker can use', () => {
    const { layers } = evaluate({}).section;
    expect(layers.map(({ name }) => name)).toEqual(['returns', 'face', 'gap', 'strip', 'lining', 'back']);
    expect(layers.find(({ name }) => name === 'gap')?.detail).toBe('77 mm LED to face, row pitch 138 mm');
  });
});
