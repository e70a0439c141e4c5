import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { snapToCut } from '../../light/laying/index.js';
import { only } from '../../testing/only.js';
import { changed, dispensary, inAssembly, evaluated, testFonts, pageEvaluator } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const runsOf = (change: Readonly<Record<string, unknown>>) =>
  evaluated(changed(dispensary, inAssembly(change)), fonts).runs;

const problemsOf = (change: Readonly<Record<string, unknown>>) => {
  const found = pageEvaluator(fonts).evaluate(changed(dispensary, inAssembly(change)));
  return found.ok ? [] : found.problems;
};

describe('strip snapped to its cut pitch', () => {
  it.each([
    [852, 100, 800, 52],
    [800, 100, 800, 0],
    [799.999, 100, 700, 99.999],
    [40, 100, 0, 40],
    [-5, 100, 0, 0],
  ])('%d mm of room at %d mm', (room, pitch, length, leftover) => {
    const snapped = snapToCut(room, pitch);
    expect(snapped.lengthMm).toBe(length);
    expect(snapped.leftoverMm).toBeCloseTo(leftover, 6);
  });
});

describe('rows on the back', () => {
  it('stand with half a pitch at the edges and turn every second one round', () => {
    const { segments, rowPitchMm } = runsOf({ 'light.rowCount': 4 });
    expect(rowPitchMm).toBeCloseTo(276 / 4, 9);
    expect(segments.map(({ from }) => from[1])).toEqual([103.5, 34.5, -34.5, -103.5]);
    expect(segments.map(({ from, to }) => Math.sign(to[0] - from[0]))).toEqual([1, -1, 1, -1]);
    expect(segments.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
  });

  it('carry LEDs at their true places, first half a pitch from the cut', () => {
    const { leds, segments, ledPitchMm } = runsOf({ 'light.stripId': 'coated-white-24v-120', 'light.rowCount': 1 });
    expect(ledPitchMm).toBeCloseTo(1000 / 120, 9);
    expect(leds.count).toBe(segments[0]!.ledCount);
    expect(leds.x[0]! - segments[0]!.from[0]).toBeCloseTo(ledPitchMm / 2, 6);
    expect(leds.x[1]! - leds.x[0]!).toBeCloseTo(ledPitchMm, 6);
    expect(segments[0]!.to[0] - leds.x[leds.count - 1]!).toBeCloseTo(ledPitchMm / 2, 6);
  });

  it('never leave the case nor the end margin', () => {
    for (const margin of [0, 12, 57, 130])
      for (const { from, to } of runsOf({ 'light.endMarginMm': margin }).segments)
        expect(Math.max(Math.abs(from[0]), Math.abs(to[0]))).toBeLessThanOrEqual(876 / 2 - margin + 1e-6);
  });
});

describe('the rim', () => {
  it('goes round clockwise, facing in, once for each turn', () => {
    const { segments, rowPitchMm } = runsOf({ 'light.layout': 'rim', 'light.turnCount': 2 });
    expect(rowPitchMm).toBeNull();
    expect(segments.map(({ on }) => on)).toEqual(['top', 'right', 'bottom', 'left', 'top', 'right', 'bottom', 'left']);
    for (const { from, to, normal } of segments) {
      const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
      expect(normal[0] * x + normal[1] * y).toBeLessThan(0);
    }
    expect(new Set(segments.map(({ from }) => from[2]))).toEqual(new Set([81 / 4, (81 * 3) / 4]));
  });
});

describe('too many LEDs', () => {
  it('are refused with the number', () => {
    const huge = changed(dispensary, {
      ...inAssembly({
        'case.widthMm': 10_000,
        'case.heightMm': 10_000,
        'light.rowCount': 400,
        'light.stripId': 'continuous-24v-480',
      }),
    });
    const result = pageEvaluator(fonts).evaluate(huge);
    expect(result.ok ? null : result.problems[0]).toMatchObject({
      path: 'assemblies.0.light.rowCount',
      message: expect.stringContaining('1,910,400 LEDs'),
    });
  });
});

describe('the rim in one piece', () => {
  const bent = { 'light.layout': 'rim', 'light.turnCount': 1, 'light.corners': 'bent' };

  it('goes round all four corners as tightly as the strip bends, and begins and ends below the middle', () => {
    const { segments, leds, stripMm } = runsOf(bent);
    const [piece] = segments;
    expect(segments).toHaveLength(1);
    const strip = shippedCatalogue.strips.find(({ id }) => id === only(dispensary.assemblies).light.stripId)!;
    const [reachX, reachY] = [876 / 2 - strip.heightMm, 276 / 2 - strip.heightMm];
    const round = 4 * (reachX + reachY) - (8 - 2 * Math.PI) * strip.bendRadiusMm;
    expect(piece!.lengthMm + piece!.leftoverMm).toBeCloseTo(round, 0);
    expect(stripMm).toBe(piece!.lengthMm);
    expect(piece!.from[1]).toBeCloseTo(-reachY, 6);
    expect(Math.abs(piece!.from[0])).toBeLessThan(strip.cutPitchMm);
    for (let led = 0; led < leds.count; led += 1) {
      expect(Math.abs(leds.x[led]!)).toBeLessThanOrEqual(reachX + 1e-6);
      expect(Math.abs(leds.y[led]!)).toBeLessThanOrEqual(reachY + 1e-6);
    }
  });

  it('looks in all round, and on the bends aslant', () => {
    const { leds, ways } = runsOf(bent);
    let aslant = 0;
    for (let led = 0; led < leds.count; led += 1) {
      const [x, y, z] = ways!.looks.subarray(3 * led, 3 * led + 3);
      expect(Math.hypot(x!, y!, z!)).toBeCloseTo(1, 9);
      // Toward the inside from wherever it is.
      expect(x! * leds.x[led]! + y! * leds.y[led]!).toBeLessThan(0);
      if (Math.abs(x!) > 0.1 && Math.abs(y!) > 0.1) aslant += 1;
    }
    expect(aslant).toBeGreaterThan(0);
    expect(aslant).toBeLessThan(leds.count / 4);
  });

  it('gives the light that cut pieces give, but for what turns the corners', () => {
    const fluxOf = (change: Readonly<Record<string, unknown>>) => {
      const { glow, runs } = evaluated(changed(dispensary, inAssembly(change)), fonts);
      return glow.evenness.meanCdM2 / runs.stripMm;
    };
    expect(fluxOf(bent) / fluxOf({ ...bent, 'light.corners': 'cut' })).toBeCloseTo(1, 1);
  });

  it('follows neighbouring sides only', () => {
    const sides = (...list: readonly string[]) => ({ ...bent, 'light.sides': list });
    const two = runsOf(sides('left', 'top')).segments;
    expect(two).toHaveLength(1);
    expect(two[0]!.from[0]).toBeLessThan(-400);
    expect(two[0]!.to[1]).toBeGreaterThan(100);
    const problems = problemsOf(sides('top', 'bottom'));
    expect(problems[0]).toMatchObject({ path: expect.stringContaining('light.corners') });
    expect(problems[0]!.message).toMatch(/neighbouring sides/);
  });
});

describe('strip that looks out at the returns', () => {
  const out = { 'light.layout': 'rim', 'light.turnCount': 1, 'light.facing': 'out', 'light.insetMm': 30 };

  it('stands on a ledge within them, and lights the face by what they give back', () => {
    const { segments } = runsOf(out);
    const strip = shippedCatalogue.strips.find(({ id }) => id === only(dispensary.assemblies).light.stripId)!;
    for (const { from, to, normal, on } of segments) {
      const upright = on === 'left' || on === 'right';
      expect(Math.abs(upright ? from[0] : from[1])).toBeCloseTo((upright ? 876 : 276) / 2 - 30 + strip.heightMm, 6);
      // Out, wherever it is.
      expect(normal[0] * (from[0] + to[0]) + normal[1] * (from[1] + to[1])).toBeGreaterThan(0);
    }
    const { glow } = evaluated(changed(dispensary, inAssembly(out)), fonts);
    const inward = evaluated(changed(dispensary, inAssembly({ ...out, 'light.facing': 'in' })), fonts).glow;
    expect(glow.indirectShare).toBeGreaterThan(inward.indirectShare);
    expect(glow.balance.outLm + glow.balance.absorbedFaceLm + glow.balance.absorbedCaseLm).toBeCloseTo(
      glow.balance.emittedLm,
      3,
    );
  });

  it('is cut, weighed and built: four rails within the returns, fewer where fewer sides carry strip', () => {
    const partsOf = (change: Readonly<Record<string, unknown>>) => {
      const { parts, buildList } = evaluated(changed(dispensary, inAssembly({ ...out, ...change })), fonts);
      const rails = parts.cut.filter(({ id }) => id.startsWith('ledge-'));
      return { rails, kg: parts.kg, steps: buildList.steps.map(({ id }) => id) };
    };
    const all = partsOf({});
    expect(all.rails.map(({ id }) => id)).toEqual(['ledge-top', 'ledge-right', 'ledge-bottom', 'ledge-left']);
    expect(all.rails[0]!.widthMm).toBeCloseTo(876 - 60, 6);
    expect(all.rails[1]!.widthMm).toBeCloseTo(276 - 60 - 2 * all.rails[1]!.thicknessMm, 6);
    expect(all.steps).toContain('ledge');
    const two = partsOf({ 'light.corners': 'bent', 'light.sides': ['left', 'top'] });
    expect(two.rails.map(({ id }) => id)).toEqual(['ledge-top', 'ledge-left']);
    const none = partsOf({ 'light.facing': 'in' });
    expect(none.rails).toEqual([]);
    expect(none.steps).not.toContain('ledge');
    expect(all.kg).toBeGreaterThan(none.kg);
  });
});

describe('strip bent round a block', () => {
  const block = { widthMm: 300, heightMm: 120, depthMm: 40, offsetXMm: 20, offsetYMm: -5 };
  const bent = () =>
    evaluated(
      changed(
        dispensary,
        inAssembly({
          'case.block': block,
          'light.layout': 'block',
          'light.facing': 'out',
          'light.corners': 'bent',
          'light.turnCount': 1,
        }),
      ),
      fonts,
    );

  it('is one piece a turn, as long as the way round with its corners, cut at a mark', () => {
    const { runs, materials } = bent();
    const { heightMm, bendRadiusMm, cutPitchMm } = materials.strip;
    const [wide, high] = [300 + 2 * heightMm, 120 + 2 * heightMm];
    const round = 2 * (wide + high) - 8 * bendRadiusMm + 2 * Math.PI * bendRadiusMm;
    const [piece, ...others] = runs.segments;
    expect(others).toEqual([]);
    expect(piece!.lengthMm).toBeLessThanOrEqual(round);
    expect(piece!.lengthMm).toBeGreaterThan(round - cutPitchMm - 1);
    expect(piece!.lengthMm / cutPitchMm).toBeCloseTo(Math.round(piece!.lengthMm / cutPitchMm), 9);
  });

  it('looks away from the middle of the block all the way, and keeps to its outside', () => {
    const { runs, materials } = bent();
    const { leds, ways } = runs;
    const off = materials.strip.heightMm;
    for (let led = 0; led < leds.count; led += 1) {
      const [x, y] = [leds.x[led]! - 20, leds.y[led]! + 5];
      expect(Math.abs(x)).toBeLessThanOrEqual(150 + off + 1e-6);
      expect(Math.abs(y)).toBeLessThanOrEqual(60 + off + 1e-6);
      const [lookX, lookY] = [ways!.looks[3 * led]!, ways!.looks[3 * led + 1]!];
      expect(Math.hypot(lookX, lookY)).toBeCloseTo(1, 6);
      expect(lookX * x + lookY * y).toBeGreaterThan(0);
    }
  });
});

describe('turns round the rim', () => {
  const rim = { 'light.layout': 'rim', 'light.facing': 'in', 'light.rowCount': 0, 'light.stripId': 'fine-24v-120' };
  const heights = (change: Readonly<Record<string, unknown>>): readonly number[] => [
    ...new Set(runsOf({ ...rim, ...change }).segments.map(({ from }) => Math.round(1000 * from[2]) / 1000)),
  ];

  it('are spread over the depth, or lie side by side about the height that is asked for', () => {
    const [low, high] = heights({ 'light.turnCount': 2 }) as [number, number];
    expect(high / low).toBeCloseTo(3, 6);
    // Strip 5 mm wide, a millimetre between.
    expect(heights({ 'light.turnCount': 2, 'light.fromBackMm': 40 })).toEqual([37, 43]);
    expect(heights({ 'light.turnCount': 1, 'light.fromBackMm': 40 })).toEqual([40]);
  });

  it('stay within the case, however near to back or face they are asked for', () => {
    const depth = 2 * heights({ 'light.turnCount': 1 })[0]!;
    expect(heights({ 'light.turnCount': 1, 'light.fromBackMm': 0 })).toEqual([2.5]);
    expect(heights({ 'light.turnCount': 1, 'light.fromBackMm': 900 })[0]).toBeCloseTo(depth - 2.5, 6);
  });

  it('lie so too where strip is bent round the corners', () => {
    expect(heights({ 'light.turnCount': 2, 'light.fromBackMm': 40, 'light.corners': 'bent' })).toEqual([37, 43]);
  });
});
