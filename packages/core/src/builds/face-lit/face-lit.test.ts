import type { FaceLitResults } from '../index.js';
import type { Single } from '../../testing/harness.js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { fontListings } from '../../artwork/lettering/index.js';
import { cansOf } from '../../light/can/can.js';
import { directInCans } from '../../light/can/direct.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { applyChange } from '../../sign/design/index.js';
import { createEvaluator, finish } from '../../sign/evaluate/index.js';
import { offset, outlineArea, rectRing, ringLength, unite, type Outline } from '../../base/outlines/index.js';
import { gridOver } from '../../base/raster/index.js';
import { horizonFrom } from '../../light/tracing/index.js';
import { changed, evaluatedCoarsely, inAssembly, tern, testFonts, pageEvaluator } from '../../testing/harness.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const of = (change: Readonly<Record<string, unknown>>): Single<FaceLitResults> =>
  evaluatedCoarsely(changed(tern, { 'brief.text': 'T', ...inAssembly(change) }), fonts);

describe('light straight to the faces of letters', () => {
  const lights = ledsAt([[20, 20, 0]], cosineLaw(1), 10, [0, 0, 1]);
  const grid = gridOver({ x: 0, y: 0, width: 120, height: 120 }, 60, 60);
  const shown = (inside: Outline) => {
    const cans = cansOf(inside, lights, grid);
    const horizons = cans.map(({ outline, lights: { x, y } }) =>
      [...x].map((at, led) => horizonFrom(outline, at, y[led]!)),
    );
    return directInCans(cans, horizons, grid, 40, () => 1);
  };

  it('is I cos γ / d² where nothing is in the way', () => {
    const map = shown([rectRing({ x: 0, y: 0, width: 120, height: 120 })]);
    for (const [x, y] of [
      [21, 21],
      [61, 21],
      [101, 101],
    ] as const) {
      const d2 = (x - 20) ** 2 + (y - 20) ** 2 + 1600;
      const expected = ((10 * 1e6) / Math.PI) * (1600 / (d2 * d2));
      const cell = Math.floor(y / 2) * 60 + Math.floor(x / 2);
      expect(map[cell]! / expected).toBeCloseTo(1, 4);
    }
  });

  it('does not go round a corner, nor into the next letter', () => {
    const corner = unite([
      rectRing({ x: 0, y: 0, width: 40, height: 120 }),
      rectRing({ x: 0, y: 80, width: 120, height: 40 }),
    ]);
    const map = shown(corner);
    const at = (x: number, y: number): number => map[Math.floor(y / 2) * 60 + Math.floor(x / 2)]!;
    expect(at(20, 100)).toBeGreaterThan(0);
    expect(at(110, 85)).toBe(0);
    const two = [rectRing({ x: 0, y: 0, width: 50, height: 120 }), rectRing({ x: 60, y: 0, width: 60, height: 120 })];
    const apart = shown(two);
    expect(apart[30 * 60 + 45]).toBe(0);
    expect(apart[30 * 60 + 10]).toBeGreaterThan(0);
  });
});

describe('face-lit letters', () => {
  it('lose and gain no light: what leaves and what is absorbed is what was emitted', () => {
    const { emittedLm, outLm, absorbedFaceLm, absorbedCaseLm } = of({}).glow.balance;
    expect(Math.abs(outLm + absorbedFaceLm + absorbedCaseLm - emittedLm)).toBeLessThan(0.01 * emittedLm);
  });

  it('are lit the same whether they were known from before or not', () => {
    const typed = (...texts: readonly string[]): Single<FaceLitResults>['glow'] => {
      const evaluator = createEvaluator(shippedCatalogue, fonts);
      const [last] = texts.map((text) => evaluator.evaluate({ ...tern, brief: { ...tern.brief, text } })).slice(-1);
      const own = last?.ok === true ? last.value.assemblies[0]! : undefined;
      if (own?.build !== 'face-lit') throw new Error('no face-lit letters');
      return own.glow;
    };
    const [known, fresh] = [typed('T', 'TE', 'TER', 'TERN'), typed('TERN')];
    expect(known.balance).toEqual(fresh.balance);
    expect(known.luminance).toEqual(fresh.luminance);
  });

  it('give the same figures each time, and brighter ones in whiter cans', () => {
    const [once, again, dull] = [of({}), of({}), of({ 'cans.liningId': 'bare-ply' })];
    expect(again.glow.evenness).toEqual(once.glow.evenness);
    expect(dull.glow.evenness.meanCdM2).toBeLessThan(0.75 * once.glow.evenness.meanCdM2);
    expect(once.glow.errorShare).toBeLessThan(0.02);
  });

  it('show sparse modules as dots in shallow cans, and deepening hides them', () => {
    const shallow = of({ 'light.stripId': 'modules-12v-75', 'light.layout': 'centre', 'cans.depthInsideMm': 30 });
    expect(shallow.findings.map(({ id }) => id)).toContain('dots-show');
    const deep = of({ 'light.stripId': 'modules-12v-75', 'light.layout': 'centre', 'cans.depthInsideMm': 120 });
    expect(deep.glow.evenness.dotContrast).toBeLessThan(0.1 * shallow.glow.evenness.dotContrast);
    expect(of({}).findings.map(({ id }) => id)).not.toContain('dots-show');
  });

  it('are mended by their fixes', () => {
    const evaluator = pageEvaluator(fonts);
    const design = changed(tern, {
      'brief.text': 'T',
      ...inAssembly({
        'artwork.capHeightMm': 160,
        'light.stripId': 'white-24v-70',
        'light.layout': 'centre',
        'light.setbackMm': 2,
        'cans.depthInsideMm': 20,
      }),
    });
    expect(evaluator.evaluate(design).ok).toBe(true);
    const dots = finish(evaluator.fixesOf('dots-show'))!;
    const deepen = dots.fixes.find(({ id }) => id === 'deepen')!;
    expect(deepen.after).toBeLessThan(0.3 * deepen.before);
    const mended = applyChange(design, deepen.change);
    const after = mended.ok ? evaluator.quick(mended.value) : mended;
    expect(after.ok && after.value.findings.some(({ id }) => id === 'dots-show')).toBe(!deepen.settles);
  });

  it('have faces within the returns less their play, or as large as the letter under a trim', () => {
    const areaOf = (fit: string) => {
      const { parts, lettering } = of({ 'cans.fit': fit });
      const shape = parts.cut.find(({ id }) => id === 'letter-1-face')!.layers[0]!.shapes[0]!;
      return [shape.kind === 'outline' ? outlineArea(shape.outline) : 0, lettering.outline] as const;
    };
    const [inset, letter] = areaOf('inset');
    expect(inset).toBeCloseTo(outlineArea(offset(letter, -1.5)), 0);
    expect(areaOf('trimmed')[0]).toBeCloseTo(outlineArea(letter), 3);
  });

  it('have a return for every ring, as long as its middle line, bends drawn on it', () => {
    const { parts, lettering } = evaluatedCoarsely(changed(tern, { 'brief.text': 'R' }), fonts);
    const returns = parts.cut.filter(({ stock }) => stock === 'return');
    expect(returns).toHaveLength(2);
    const [outer] = returns;
    expect(Math.abs(outer!.widthMm - 12 - ringLength(lettering.outline[0]!))).toBeLessThan(8);
    expect(outer!.heightMm).toBe(3 + 60);
    expect(outer!.note).toMatch(/fold .* at|roll .* to radius/);
    expect(outer!.layers.find(({ operation }) => operation === 'mark')!.shapes.length).toBeGreaterThan(6);
  });

  it('in a slice show back, returns, strip and face', () => {
    const { section } = of({});
    for (const role of ['back', 'return', 'strip', 'face'] as const)
      expect(section.shapes.map((shape) => shape.role)).toContain(role);
    expect(section.frontZMm - section.rearZMm).toBe(3 + 60 + 3);
  });

  it('whatever they are, have sound numbers or are refused with the field', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    const ids = (items: readonly { readonly id: string }[]) => fc.constantFrom(...items.map(({ id }) => id));
    const mm = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(
        fc.record({
          'artwork.fontId': ids(fontListings),
          'artwork.capHeightMm': mm(20, 120),
          'cans.depthInsideMm': mm(8, 150),
          'cans.wallMm': mm(0.4, 6),
          'cans.fit': fc.constantFrom('inset', 'trimmed'),
          'cans.liningId': ids(shippedCatalogue.linings),
          'light.stripId': ids(shippedCatalogue.strips),
          'light.layout': fc.constantFrom('outline', 'centre', 'rows'),
          'light.setbackMm': mm(0, 30),
          'face.sheetId': ids(shippedCatalogue.faces),
        }),
        fc.constantFrom('', 'A', 'Sea\n4', 'i'),
        (change, text) => {
          const result = evaluator.quick(changed(tern, { ...inAssembly(change), 'brief.text': text }));
          if (!result.ok) {
            for (const { path } of result.problems) expect(path).toMatch(/^assemblies\.0\./);
            return;
          }
          const { figures, findings } = result.value;
          const { glow } = result.value.assemblies[0]!;
          for (const { id, value } of figures) expect([id, Number.isFinite(value)]).toEqual([id, true]);
          expect(glow.luminance.every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
          for (const { what, why } of findings) expect(`${what} ${why}`).not.toMatch(/NaN|undefined|Infinity/);
        },
      ),
      { seed: 5, numRuns: 10 },
    );
  });
});
