import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, ringArea, ringLength } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { changed, evaluatedCoarsely, inAssembly, tern, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const lapMm = 12;
const cans = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(tern, { 'brief.text': 'OI', ...inAssembly(change) }), fonts);
const areaOf = ({ layers }: CutPart): number =>
  layers
    .filter(({ operation }) => operation === 'cut')
    .flatMap(({ shapes }) => shapes)
    .reduce((sum, shape) => sum + (shape.kind === 'outline' ? outlineArea(shape.outline) : 0), 0);
const named = (parts: readonly CutPart[], ending: string): readonly CutPart[] =>
  parts.filter(({ id }) => id.endsWith(ending));

describe('cans of face-lit letters', () => {
  it('have a face and a back each, and a return round every outline of theirs', () => {
    const { parts, lettering } = cans();
    expect(lettering.letterCount).toBe(2);
    expect(named(parts.cut, '-face')).toHaveLength(2);
    expect(named(parts.cut, '-back')).toHaveLength(2);
    const rings = lettering.outline.length;
    expect(parts.cut.filter(({ stock }) => stock === 'return')).toHaveLength(rings);
    // The O has a counter, the I none.
    expect(named(parts.cut, '-return-1').map(({ id }) => id)).toEqual(['letter-1-return-1']);
  });

  it('have returns that are rolled out to the length of what they go round, and lap', () => {
    const { parts, lettering, geometry } = cans();
    const straight = lettering.outline.filter((ring) => ringArea(ring) > 0).at(-1)!;
    const of = parts.cut.find(({ id }) => id === 'letter-2-return')!;
    // A corner takes up no more than the metal is thick.
    expect(of.widthMm - lapMm).toBeLessThanOrEqual(ringLength(straight) + 1e-6);
    expect(of.widthMm - lapMm).toBeGreaterThan(ringLength(straight) - 8 * geometry.wallMm);
    expect(of.heightMm).toBe(geometry.returnWidthMm);
  });

  it('lose as little of their faces as the fit asks', () => {
    const [inset, trimmed] = (['inset', 'trimmed'] as const).map((fit) => cans({ 'cans.fit': fit }));
    const letters = outlineArea(inset!.lettering.outline);
    const faces = (of: typeof inset) => named(of!.parts.cut, '-face').reduce((sum, each) => sum + areaOf(each), 0);
    expect(faces(inset)).toBeLessThan(letters);
    expect(faces(trimmed)).toBeGreaterThan(faces(inset));
    // Round the outline goes the wall and its play, no more.
    const round = inset!.lettering.outline.reduce((sum, ring) => sum + ringLength(ring), 0);
    const { wallMm } = inset!.geometry;
    const { playMm } = inset!.assembly.cans;
    expect(letters - faces(inset)).toBeLessThan(round * (wallMm + playMm) * 1.1);
  });

  it('weigh by area and thickness, part by part', () => {
    const { parts, materials } = cans();
    for (const face of named(parts.cut, '-face'))
      expect(face.kg).toBeCloseTo((areaOf(face) * materials.face.thicknessMm * materials.face.densityKgM3) / 1e9, 9);
    for (const back of named(parts.cut, '-back'))
      expect(back.kg).toBeCloseTo((areaOf(back) * back.thicknessMm * materials.backBoard.densityKgM3) / 1e9, 9);
  });

  it('are deeper by as much as their returns are wider', () => {
    const [shallow, deep] = [40, 75].map((depthMm) => cans({ 'cans.depthInsideMm': depthMm }));
    const wider = deep!.geometry.returnWidthMm - shallow!.geometry.returnWidthMm;
    expect(deep!.geometry.outside.depthMm - shallow!.geometry.outside.depthMm).toBeCloseTo(wider, 9);
    const aluminium = (of: typeof deep) => of!.parts.cut.filter(({ stock }) => stock === 'return');
    expect(aluminium(deep)[0]!.heightMm - aluminium(shallow)[0]!.heightMm).toBeCloseTo(wider, 9);
  });

  it('hold their strip inside, off the returns, and their wires’ holes off the strip', () => {
    const { runs, geometry, lettering, parts } = cans();
    const [high, wide] = [geometry.outside.heightMm / 2, geometry.outside.widthMm / 2];
    for (const { path } of runs.segments)
      for (const [x, y] of path) expect(Math.abs(x) < wide && Math.abs(y) < high).toBe(true);
    const drilled = named(parts.cut, '-back').flatMap(({ layers }) => layers.filter((l) => l.operation === 'drill'));
    expect(drilled.length).toBeGreaterThan(0);
    expect(lettering.outline.length).toBeGreaterThan(2);
  });
});
