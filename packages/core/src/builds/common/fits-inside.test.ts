import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { findingOn } from '../../testing/mended.js';
import { gearInside } from './fits-inside.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const { dispensary, slipway, tern, curlew } = demoDesigns;
const found = (design: Design) => findingOn(design, fonts, 'gear-inside');
const inside = { 'power.supplyPlace': 'inside' } as const;

describe('what goes inside a sign', () => {
  const names = (design: Design): readonly string[] =>
    gearInside(evaluatedCoarsely(design, fonts)).map(({ name }) => name);

  it('is nothing, as long as all stands at the other end of the lead', () => expect(names(dispensary)).toEqual([]));

  it('is each supply, and what drives the strip where that is asked for', () => {
    expect(names(changed(dispensary, { ...inside, 'power.supplyCount': 2 }))).toHaveLength(2);
    const driven = names(changed(slipway, { 'power.controllerPlace': 'inside' }));
    expect(driven).toEqual([expect.stringMatching(/controller/i)]);
  });
});

describe('room inside', () => {
  const box = (own: Readonly<Record<string, unknown>>, sign: Readonly<Record<string, unknown>> = inside): Design =>
    changed(dispensary, { ...inAssembly(own), ...sign });

  it('is wanting where a thing is higher than the case is deep', () => {
    const { severity, why } = found(box({ 'case.depthInsideMm': 36 }))!;
    expect(severity).toBe('stop');
    expect(why).toMatch(/^Sealed supply 24 V, 60 W is 135 × 47 × 31 mm; the room inside is \d+ × \d+ × 36 mm/);
  });

  it('is wanting where there are more things than the ground holds', () => {
    const narrow = { 'case.heightMm': 100, 'case.widthMm': 420, 'case.depthInsideMm': 120, 'light.rowCount': 1 };
    const several = found(box(narrow, { ...inside, 'power.supplyCount': 5 }))!;
    expect([several.severity, several.what]).toEqual(['stop', 'What goes inside does not fit']);
  });

  it('may be enough and still in the light: high things among the strip throw shadows, flat ones melt', () => {
    expect(found(box({}))?.what).toBe('What stands inside shades the face');
    expect(found(box({ 'case.depthInsideMm': 150 }))).toBeNull();
  });

  it('names the thing that shades, not the first of all', () => {
    const both = changed(slipway, {
      ...inside,
      'power.controllerPlace': 'inside',
      ...inAssembly({ 'case.depthInsideMm': 80 }),
    });
    const { why } = found(both)!;
    expect(why).toMatch(/supply/i);
  });

  it('is told of by what can be done: outside with each thing that is inside', () => {
    const ids = found(
      changed(slipway, { ...inside, 'power.controllerPlace': 'inside', ...inAssembly({ 'case.depthInsideMm': 80 }) }),
    )!.fixes.map(({ id }) => id);
    expect(ids).toContain('supply-outside');
  });
});

describe('getting at what is inside', () => {
  it('is asked of letters that are closed for good, and of batteries first', () => {
    const letters = changed(tern, {
      ...inside,
      'power.source': 'battery',
      'brief.text': 'I',
      ...inAssembly({ 'cans.depthInsideMm': 120, 'cans.fit': 'inset', 'artwork.capHeightMm': 900 }),
    });
    const { what } = found(letters)!;
    expect(what).toBe('The battery cannot be reached');
  });

  it('is no trouble behind letters that come off their posts', () => {
    const letters = changed(curlew, {
      ...inside,
      ...inAssembly({ 'letters.standoffMm': 60, 'artwork.capHeightMm': 900 }),
    });
    expect(found(letters)?.what).not.toBe('What fails first cannot be reached');
  });
});
