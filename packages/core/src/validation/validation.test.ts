import { describe, expect, it } from '@jest/globals';
import { validate, validationCases } from './index.js';

describe('validation suite: light', () => {
  it('has at least 25 cases, each with a tolerance of 3 % or less', () => {
    expect(validationCases.length).toBeGreaterThanOrEqual(25);
    expect(validationCases.every(({ tolerance }) => tolerance > 0 && tolerance <= 0.03)).toBe(true);
  });

  it.each(validationCases.map((each) => [`${each.group}: ${each.name}`, each] as const))('%s', (_, each) => {
    const { computed, expected, error } = validate(each);
    expect({ computed, expected, error: Number.isFinite(error) && error <= each.tolerance }).toEqual({
      computed,
      expected,
      error: true,
    });
  });
});
