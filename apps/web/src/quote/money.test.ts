import { expect, it } from '@jest/globals';
import { money, yearsWords } from './money';

it('money is said to the cent', () => {
  expect([1234.5, -3, 0].map((value) => money(value, '€'))).toEqual(['€1,234.50', '−€3.00', '€0.00']);
});

it('years are said as far as anybody knows', () => {
  expect(yearsWords([6.85, 13.7])).toBe('7 to 14 years');
  expect(yearsWords([7, 7.1])).toBe('7 years');
  expect(yearsWords([3.4, 45])).toBe('3.5 to over 30 years');
});
