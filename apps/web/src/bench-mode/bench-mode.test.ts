import { describe, expect, it } from '@jest/globals';
import type { Step } from '@vitrum/core';
import { duration } from '../bench-log/work-words';
import { chosenStep } from './chosen-step';
import { timeWords } from './timers';
import { firstStep } from '../steps/step-names';

const steps = ['a', 'b', 'c'].map((id) => ({ id }) as Step);

describe('the step that is looked at', () => {
  it('is the one chosen, else the first that is not done, else the last', () => {
    expect(chosenStep(steps, [], null)).toBe(0);
    expect(chosenStep(steps, ['a'], null)).toBe(1);
    expect(chosenStep(steps, ['a', 'c'], 'c')).toBe(2);
    expect(chosenStep(steps, ['a', 'b', 'c'], null)).toBe(2);
    // A step that the design no longer has is no choice.
    expect(chosenStep(steps, ['a'], 'gone')).toBe(1);
  });
});

describe('times', () => {
  it('are said as a person would', () => {
    expect([duration(44), duration(72), duration(60)]).toEqual(['44 min', '1.2 h', '1 h']);
    expect([12_000, 260_000, 3_900_000].map(timeWords)).toEqual(['12 s', '4 min 20 s', '1 h 05 min']);
    // The last second is still one.
    expect(timeWords(400)).toBe('1 s');
  });
});

describe('a job', () => {
  it('opens in bench mode on a phone while it is being made, else where it is looked at', () => {
    expect(firstStep('building', 390)).toBe('bench');
    expect(firstStep('cutting', 390)).toBe('bench');
    expect(firstStep('designed', 390)).toBe('face');
    expect(firstStep('building', 1280)).toBe('face');
    expect(firstStep(undefined, 390)).toBe('face');
  });
});
