import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoJobs } from '../../sign/demo/index.js';
import { changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { chainOf, planStep } from '../../testing/plans.js';
import { doneSteps, planStepsOf, stepsLeft } from './plan-steps.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the steps of a design for the plan', () => {
  it('are those of its build list in fives of minutes, for as many signs as are ordered', () => {
    const one = evaluatedCoarsely(dispensary, fonts);
    const steps = planStepsOf(one);
    expect(steps.map(({ id }) => id)).toEqual(one.buildList.steps.map(({ id }) => id));
    expect(steps.every(({ minutes }) => minutes % 5 === 0)).toBe(true);
    steps.forEach(({ minutes }, at) => {
      const { minutes: told } = one.buildList.steps[at]!;
      expect(minutes - told).toBeGreaterThanOrEqual(0);
      expect(minutes - told).toBeLessThan(5);
    });
    const three = planStepsOf(evaluatedCoarsely(changed(dispensary, { 'brief.quantity': 3 }), fonts));
    three.forEach(({ minutes, waitMinutes }, at) => {
      expect(Math.abs(minutes - 3 * one.buildList.steps[at]!.minutes)).toBeLessThan(5);
      // What dries, dries side by side.
      expect(waitMinutes).toBe(steps[at]!.waitMinutes);
    });
  });

  it('of what is heavy take two who close, prove and hang it', () => {
    const evaluation = evaluatedCoarsely(dispensary, fonts);
    const heavy = planStepsOf({ ...evaluation, parts: { ...evaluation.parts, kg: 40 } });
    const light = planStepsOf({ ...evaluation, parts: { ...evaluation.parts, kg: 4 } });
    for (const { id, phase, people } of heavy)
      expect(people).toBe(
        ['assemble', 'prove', 'hang'].includes(phase) ? 2 : light.find((step) => step.id === id)!.people,
      );
  });

  it('that the demo shop has ticked are steps of their builds, in an order in which they can be done', () => {
    const begun = demoJobs.filter(({ built }) => built !== undefined);
    expect(begun.length).toBeGreaterThan(1);
    for (const { design, built } of begun) {
      const steps = planStepsOf(evaluatedCoarsely(design, fonts));
      for (const id of built!) {
        const step = steps.find((each) => each.id === id);
        expect(step?.after.filter((before) => !built!.includes(before))).toEqual([]);
      }
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      expect(stepsLeft(steps, built!)).toHaveLength(steps.length - built!.length);
    }
  });
});

describe('what is done', () => {
  const steps = chainOf(planStep('cut'), planStep('soak'), planStep('hang', { place: 'site' }));

  it('is what is ticked; of a proved job all but putting it up, of a delivered one all', () => {
    expect(doneSteps('building', steps, ['cut'])).toEqual(['cut']);
    expect(doneSteps('proved', steps, [])).toEqual(['cut', 'soak']);
    expect(doneSteps('proved', steps, ['hang', 'cut'])).toEqual(['hang', 'cut', 'soak']);
    expect(doneSteps('delivered', steps, [])).toEqual(['cut', 'soak', 'hang']);
  });
});
