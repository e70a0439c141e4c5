import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { formatLength, inchFraction, parseLength } from './index.js';

const mm = (text: string, unit: 'mm' | 'in' = 'mm'): number => {
  const parsed = parseLength(text, unit);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problems[0]?.message}`);
  return parsed.value;
};

describe('lengths as makers type them', () => {
  it.each([
    ['45', 45],
    ['45mm', 45],
    ['4.5cm', 45],
    ['4,5 cm', 45],
    ['0.045 m', 45],
    ['600/2-12', 288],
    ['(2+1)*20mm', 60],
    ['9/16in', 14.2875],
    ['1 3/4in', 44.45],
    ['1 3/4"', 44.45],
    [`3' 6"`, 1066.8],
    ['600mm/2 - 1/2in', 287.3],
    ['-5+10', 5],
    ['2*45', 90],
    ['600mm/2mm*1mm', 300],
    ['1-3/4"', 44.45],
    ['1-3/4 in', 44.45],
    [`5' 6-1/2"`, 1689.1],
    [`5'6½"`, 1689.1],
    ['½ in', 12.7],
    ['1⅝in', 41.275],
    ['2 ⅜ inches', 60.325],
    ['10 feet', 3048],
    ['1 foot 2 inches', 355.6],
    ['3 ft 6 in', 1066.8],
    ['5’ 6”', 1676.4],
    ['600mm - 3/4in', 580.95],
    ['600mm-3/4in', 580.95],
    ['600 − 12', 588],
    ['2 - 3/4', 1.25],
    ['4 × 25', 100],
    ['1,5', 1.5],
    ['0,125', 0.125],
  ])('%s is %d mm', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9));

  it.each([
    ['1 3/4', 44.45],
    ['45mm', 45],
    ['9/16', 14.2875],
    ['10mm + 1', 35.4],
    ["2'", 609.6],
    ['1-3/4', 44.45],
    ['10-1/2', 266.7],
    ['10 - 1/2', 241.3],
    ['1½', 38.1],
  ])('%s in inches is %d mm', (text, expected) => expect(mm(text, 'in')).toBeCloseTo(expected, 9));

  it.each([
    '',
    '  ',
    'abc',
    '4 4',
    '1/0',
    '(3',
    '3)',
    '10mm*10mm',
    '600mm/2mm',
    '45 furlong',
    '--',
    '1/2/',
    '9'.repeat(400),
  ])('“%s” is refused with a sentence', (text) => {
    const parsed = parseLength(text, 'mm');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.problems[0]?.message.length).toBeGreaterThan(10);
  });

  it.each([
    ['1-3/4', 'mm', '“1-3/4” can be read two ways: write “1 3/4 in” for inches, or “1 - 3/4” for what is left'],
    ['1,800', 'mm', '“1,800” can be read two ways: write 1800 or 1.800'],
    ['2 m + 1,200', 'in', '“1,200” can be read two ways: write 1200 or 1.200'],
  ] as const)('“%s” is asked, not guessed', (text, unit, sentence) => {
    const parsed = parseLength(text, unit);
    expect(parsed.ok ? '' : parsed.problems[0]?.message).toContain(sentence);
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 100 }), (text) => {
        const parsed = parseLength(text, 'mm');
        return parsed.ok ? Number.isFinite(parsed.value) : parsed.problems.length === 1;
      }),
      { seed: 7, numRuns: 2000 },
    );
  });
});

describe('lengths as they are shown', () => {
  it('shows inches in lowest 1/32 fractions with the error known', () => {
    expect(inchFraction(44.45).text).toBe('1 3/4');
    expect(inchFraction(44.45).errorMm).toBeCloseTo(0, 9);
    const { text, errorMm } = inchFraction(45);
    expect(text).toBe('1 25/32');
    expect(errorMm).toBeCloseTo(1.78125 * 25.4 - 45, 9);
  });

  it.each([
    [0, '0'],
    [25.4, '1'],
    [12.7, '1/2'],
    [-12.7, '-1/2'],
    [0.1, '0'],
    [25.39, '1'],
  ])('%d mm is %s in', (value, text) => expect(inchFraction(value).text).toBe(text));

  it('is never more than 1/64 in off, and what is shown reads back as itself', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (value) => {
        const { text, errorMm } = inchFraction(value);
        return Math.abs(errorMm) <= 25.4 / 64 + 1e-9 && Math.abs(mm(text, 'in') - (value + errorMm)) < 1e-6;
      }),
      { seed: 11, numRuns: 500 },
    );
  });

  it('shows millimetres to a tenth, and NaN as a dash', () => {
    expect(formatLength(62.5, 'mm')).toBe('62.5 mm');
    expect(formatLength(-0.01, 'mm')).toBe('0 mm');
    expect(formatLength(Number.NaN, 'mm')).toBe('–');
  });
});
