import type { PlanStep } from '@vitrum/core';

/** A step of an hour at the bench by one person, after nothing, but for what is said. */
export const planStep = (id: string, rest: Partial<PlanStep> = {}): PlanStep => ({
  id,
  title: `Do ${id}`,
  phase: 'wire',
  minutes: 60,
  waitMinutes: 0,
  place: 'bench',
  people: 1,
  whole: false,
  holds: false,
  attended: false,
  after: [],
  ...rest,
});
