import { describe, expect, it } from '@jest/globals';
import { padsOf, shippedCatalogue, stripDifferences, type Strip } from './index.js';

const { strips } = shippedCatalogue;
const white = strips.find(({ id }) => id === 'fine-24v-120')!;
const made = (change: Partial<Strip>): Strip => ({ ...white, ...change });
const names = (change: Partial<Strip>): readonly string[] =>
  stripDifferences(white, made(change)).map(({ what }) => what);

describe('a strip in the place of another', () => {
  it('has two pads for white, one more than colours, three for pixels', () => {
    expect(padsOf(white)).toBe(2);
    expect(padsOf(made({ colour: 'rgb' }))).toBe(4);
    expect(padsOf(made({ colour: 'rgbw' }))).toBe(5);
    expect(padsOf(made({ colour: 'rgb', addressable: true }))).toBe(3);
  });

  it('changes nothing where it is alike', () => {
    expect(stripDifferences(white, made({ id: 'another', name: 'Another', price: 9 }))).toEqual([]);
  });

  it('tells each property that differs, with what follows it', () => {
    expect(names({ voltageV: 12 })).toEqual(['voltage']);
    expect(names({ colour: 'rgb' })).toEqual(expect.arrayContaining(['pads', 'colours']));
    expect(names({ colour: 'rgb', addressable: true })).toContain('data');
    expect(names({ cutPitchMm: 33.3 })).toEqual(['cut marks']);
    expect(names({ widthMm: 10, heightMm: 2.2 })).toEqual(['width', 'height']);
    const [volts] = stripDifferences(white, made({ voltageV: 5 }));
    expect(volts).toMatchObject({ before: '24 V', after: '5 V' });
    expect(volts!.follows).toContain('supply');
  });

  it('tells every two strips of the shelf that differ in what is joined to them', () => {
    for (const one of strips)
      for (const other of strips) {
        const told = stripDifferences(one, other).map(({ what }) => what);
        expect(told.includes('voltage')).toBe(one.voltageV !== other.voltageV);
        expect(told.includes('pads')).toBe(padsOf(one) !== padsOf(other));
      }
  });
});
