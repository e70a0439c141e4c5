import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Strip } from '../../document/catalogue/index.js';
import { inRows } from '../../testing/rows-of-strip.js';
import { zonesOf } from './zones.js';

const stripOf = (id: string): Strip => shippedCatalogue.strips.find((strip) => strip.id === id)!;
const [white, mixed] = [stripOf('white-12v-60'), stripOf('rgb-12v-60')];
const segments = (...strips: readonly Strip[]) => strips.map((strip, index) => ({ ref: inRows(index + 1), strip }));
const of = (count: number) => segments(...Array.from({ length: count }, () => white));
const zone = (numbers: readonly number[], level: number) => ({ segments: numbers.map(inRows), level });

describe('zones', () => {
  it('without any are one, fully up', () => {
    expect(zonesOf(of(3), {}, white)).toEqual({ ofSegment: [0, 0, 0], levels: [1], strips: [white], lights: [null] });
    expect(zonesOf(of(0), { zones: [] }, white)).toEqual({
      ofSegment: [],
      levels: [1],
      strips: [white],
      lights: [null],
    });
  });

  it('are numbered as segments first name them, what is left over being one more', () => {
    const zones = [zone([3], 0.2), zone([1, 4], 0.7)];
    expect(zonesOf(of(4), { zones }, white)).toMatchObject({ ofSegment: [0, 1, 2, 0], levels: [0.7, 1, 0.2] });
  });

  it('that name no segment there is are none', () =>
    expect(zonesOf(of(2), { zones: [zone([9], 0)] }, white)).toMatchObject({ ofSegment: [0, 0], levels: [1] }));

  it('that name a segment twice leave it in the first', () => {
    const zones = [zone([1], 0.1), zone([1, 2], 0.9)];
    expect(zonesOf(of(2), { zones }, white)).toMatchObject({ ofSegment: [0, 1], levels: [0.1, 0.9] });
  });

  it('never hold strips of unlike conductors', () =>
    expect(zonesOf(segments(white, mixed, white), {}, white)).toEqual({
      ofSegment: [0, 1, 0],
      levels: [1, 1],
      strips: [white, mixed],
      lights: [null, null],
    }));

  it('never hold what is set to unlike colours, but for pixels, which are told one by one', () => {
    const red = { kind: 'rgb', colour: '#ff0000' } as const;
    const lit = (...lights: readonly (typeof red | null)[]) =>
      segments(...lights.map(() => mixed)).map((each, at) => ({ ...each, light: lights[at]! }));
    expect(zonesOf(lit(null, red, null, red), {}, mixed)).toMatchObject({
      ofSegment: [0, 1, 0, 1],
      lights: [null, red],
    });
    const pixels: Strip = { ...mixed, addressable: true };
    const told = lit(null, red).map((each) => ({ ...each, strip: pixels }));
    expect(zonesOf(told, {}, pixels).ofSegment).toEqual([0, 0]);
  });
});
