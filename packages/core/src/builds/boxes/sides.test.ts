import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { findingOn } from '../../testing/mended.js';
import { boxSides, type BoxSide } from './schema.js';
import { passesOf, timesAlong } from './sides.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the sides that carry strip', () => {
  it('are all four, clockwise from the top, where none is named', () => {
    expect(passesOf({ turnCount: 1 })).toEqual(['top', 'right', 'bottom', 'left']);
  });

  it('are those named, in their order, once more with every turn', () => {
    expect(passesOf({ sides: ['left', 'top'], turnCount: 2 })).toEqual(['left', 'top', 'left', 'top']);
  });

  it('are counted each by itself', () => {
    expect(timesAlong(['left', 'top', 'left'])).toEqual({ top: 1, right: 0, bottom: 0, left: 2 });
    expect(timesAlong([])).toEqual({ top: 0, right: 0, bottom: 0, left: 0 });
  });
});

const rim = (sides: readonly BoxSide[], rest: Readonly<Record<string, unknown>> = {}) =>
  changed(
    dispensary,
    inAssembly({ 'light.layout': 'rim', 'light.sides': sides, 'case.backBoardId': 'composite-3', ...rest }),
  );

describe('a side that carries more strip than others', () => {
  it.each(boxSides)('is found by the light of the face itself: twice along the %s', (side) => {
    const found = findingOn(rim([...boxSides, side]), fonts, 'side-doubled')!;
    expect(found.what).toBe(`The ${side} is brighter: strip runs along it twice`);
    const [ratio, times] = found.numbers;
    expect(ratio!.value).toBeGreaterThan(1.25);
    expect(times).toEqual({ label: `times along the ${side}`, value: 2, unit: '' });
    // The place that is shown lies along that side.
    const { rect } = found.where!;
    const [x, y] = [rect.x + rect.width / 2, rect.y + rect.height / 2];
    const toward = { top: y, right: x, bottom: -y, left: -x }[side];
    expect(toward).toBeGreaterThan(0);
  });

  it('spoils the sign when it carries four times as much', () => {
    const found = findingOn(rim([...boxSides, 'bottom', 'bottom', 'bottom']), fonts, 'side-doubled')!;
    expect([found.severity, found.what]).toEqual(['fix', 'The bottom is brighter: strip runs along it 4 times']);
  });

  it('is no matter where strip lies in rows: the sides are of the rim', () => {
    const rows = changed(dispensary, inAssembly({ 'light.sides': ['top', 'top', 'bottom'] }));
    expect(findingOn(rows, fonts, 'side-doubled')).toBeNull();
  });

  it('asks for the depth that all its strips take side by side', () => {
    const crowded = rim([...boxSides, ...Array.from({ length: 5 }, (): BoxSide => 'top')], {
      'case.depthInsideMm': 40,
    });
    const found = findingOn(crowded, fonts, 'too-shallow')!;
    const { widthMm } = evaluatedCoarsely(crowded, fonts).materials.strip;
    expect(found.numbers[0]!.value).toBe(6 * (widthMm + 1));
  });
});
