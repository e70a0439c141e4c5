import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { intersect, outlineArea, outlineBounds } from '../../base/outlines/index.js';
import type { SectionShape } from '../../light/section/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const boxed = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(dispensary, inAssembly(change)), fonts);
const of = (shapes: readonly SectionShape[], role: SectionShape['role']): readonly SectionShape[] =>
  shapes.filter((shape) => shape.role === role);

describe('the section of a case with a lit face', () => {
  it.each([
    [{}],
    [{ 'case.retention': 'groove' }],
    [{ 'case.retention': 'groove', 'case.cornerJoint': 'butt', 'case.faceOut': 'lip-back' }],
    [{ 'case.retention': 'laid-on' }],
    [{ 'case.cornerJoint': 'mitre', 'case.returnBoardId': 'oak-18' }],
    [{ 'case.depthInsideMm': 40 }],
    [{ 'light.layout': 'rim', 'light.turnCount': 1 }],
    [{ 'light.layout': 'rim', 'light.turnCount': 1, 'light.facing': 'out' }],
    [{ 'light.layout': 'rim', 'light.turnCount': 2, 'light.corners': 'bent' }],
    [{ 'face.second': { sheetId: 'opal-3', gapMm: 20, coats: [] } }],
  ])('is as large as the case, and nothing in it lies in anything else: %j', (change) => {
    const { section, geometry } = boxed(change);
    expect(section.frontZMm - section.rearZMm).toBeCloseTo(geometry.outside.depthMm, 6);
    expect(section.heightMm).toBeCloseTo(geometry.outside.heightMm, 6);
    const bounds = outlineBounds(section.shapes.map(({ ring }) => ring))!;
    expect(bounds.x).toBeGreaterThanOrEqual(section.rearZMm - 1e-6);
    expect(bounds.x + bounds.width).toBeLessThanOrEqual(section.frontZMm + 1e-6);
    expect(bounds.height).toBeCloseTo(section.heightMm, 6);
    for (const [index, one] of section.shapes.entries())
      for (const other of section.shapes.slice(index + 1)) {
        // What holds the back is in it and in the returns.
        if (other.role === 'fixing' && (one.role === 'back' || one.role === 'return')) continue;
        const both = Math.abs(outlineArea(intersect([one.ring], [other.ring])));
        expect([one.role, other.role, both < 0.01]).toEqual([one.role, other.role, true]);
      }
  });

  it('has both returns, the back and the face, each as thick as it is', () => {
    const { section, geometry, materials } = boxed();
    expect([of(section.shapes, 'return').length, of(section.shapes, 'back').length]).toEqual([2, 1]);
    const deep = (role: SectionShape['role']): number => outlineBounds([of(section.shapes, role)[0]!.ring])!.width;
    expect(deep('back')).toBeCloseTo(geometry.back.thicknessMm, 6);
    expect(deep('face')).toBeCloseTo(materials.face.thicknessMm, 6);
  });

  it('cuts every row of strip once, as wide and as high as the strip', () => {
    const { section, assembly, materials } = boxed({ 'light.rowCount': 5 });
    const rows = of(section.shapes, 'strip');
    expect(rows).toHaveLength(assembly.light.rowCount);
    for (const { ring } of rows)
      expect(outlineBounds([ring])).toMatchObject({
        width: expect.closeTo(materials.strip.heightMm, 6),
        height: expect.closeTo(materials.strip.widthMm, 6),
      });
  });

  it('shows strip that looks out on rails within the returns, both once above and once below', () => {
    const { section } = boxed({
      'light.layout': 'rim',
      'light.turnCount': 1,
      'light.facing': 'out',
      'light.insetMm': 30,
    });
    const rails = of(section.shapes, 'block').map(({ ring }) => outlineBounds([ring])!);
    const strips = of(section.shapes, 'strip').map(({ ring }) => outlineBounds([ring])!);
    expect([rails.length, strips.length]).toEqual([2, 2]);
    const [top] = rails;
    expect(top!.y + top!.height).toBeCloseTo(276 / 2 - 30, 6);
    // The strip lies on it, between it and the return, up to its top.
    expect(Math.max(...strips.map(({ y }) => y))).toBeCloseTo(276 / 2 - 30, 6);
    expect(Math.max(...strips.map(({ x, width }) => x + width))).toBeCloseTo(top!.width, 6);
  });

  it('names its layers from the outside in, each once and where it lies', () => {
    const { section } = boxed({ 'face.second': { sheetId: 'opal-3', gapMm: 20, coats: [] } });
    const names = section.layers.map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    for (const { at, detail } of section.layers) {
      expect(at[0] >= section.rearZMm && at[0] <= section.frontZMm).toBe(true);
      expect(Math.abs(at[1])).toBeLessThanOrEqual(section.heightMm / 2);
      expect(detail.length).toBeGreaterThan(3);
    }
  });

  it('moves its face as far as the case grows', () => {
    const [shallow, deep] = [60, 95].map((mm) => boxed({ 'case.depthInsideMm': mm }).section);
    expect(deep!.frontZMm - shallow!.frontZMm).toBeCloseTo(35, 6);
    expect(deep!.rearZMm).toBe(shallow!.rearZMm);
  });
});
