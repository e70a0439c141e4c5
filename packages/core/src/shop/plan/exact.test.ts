import { beforeAll, describe, expect, it } from '@jest/globals';
import loadHighs from 'highs';
import { jobsByChance, planTask } from '../../testing/plans.js';
import { dayMinutes } from './days.js';
import { doneAt, stretchAt } from './hours.js';
import { networkOf, type Network } from './network.js';
import { planOf } from './plan.js';
import type { PlanTask } from './types.js';

type Highs = Awaited<ReturnType<typeof loadHighs>>;
let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const slot = 15;

/** All that a step taken up at one time would cover. */
interface Choice {
  readonly name: string;
  readonly at: number;
  readonly start: number;
  readonly end: number;
  readonly until: number;
}

const choicesOf = ({ nodes, anybody }: Network, { now }: PlanTask, days: number): readonly Choice[] =>
  nodes.flatMap(({ step }, at) => {
    const found: Choice[] = [];
    for (let start = now; start < days * dayMinutes; start += slot) {
      const stretch = stretchAt(anybody, start);
      if (start < anybody.starts[stretch]!) continue;
      const end = doneAt(anybody, stretch, start, step.minutes)!;
      found.push({ name: `x${at}_${start}`, at, start, end, until: end + step.waitMinutes });
    }
    return found;
  });

const sum = (terms: readonly string[]): string => terms.join(' + ').replaceAll('+ -', '- ');

/**
 * The same question as a whole-number programme, indexed by time: every step begins in one quarter of an hour, hands and
 * places suffice in each, nothing begins before its forerunners are done. The answer is exact as all work is in quarters.
 */
const exactly = (task: PlanTask, days: number, what: 'end' | 'late'): number => {
  const network = networkOf(task);
  const choices = choicesOf(network, task, days);
  const of = (at: number): readonly Choice[] => choices.filter((each) => each.at === at);
  const rows: string[] = [];
  network.nodes.forEach(({ before }, at) => {
    rows.push(`${sum(of(at).map(({ name }) => name))} = 1`);
    for (const each of before)
      rows.push(
        `${sum([...of(at).map(({ name, start }) => `${start} ${name}`), ...of(each).map(({ name, until }) => `-${until} ${name}`)])} >= 0`,
      );
  });
  for (let t = task.now; t < (days + 2) * dayMinutes; t += slot) {
    const stretch = stretchAt(network.anybody, t);
    const working = t >= network.anybody.starts[stretch]!;
    const atWork = choices.filter(({ start, end }) => start <= t && t < end);
    if (working && atWork.length > 0)
      rows.push(
        `${sum(atWork.map(({ name, at }) => `${network.nodes[at]!.step.people} ${name}`))} <= ${task.floor.people.length}`,
      );
    for (const place of ['bench', 'saw', 'paint'] as const) {
      const there = choices.filter(({ at, start, end, until }) => {
        const { step } = network.nodes[at]!;
        return step.place === place && start <= t && t < (step.holds ? until : end);
      });
      if (there.length > 0) rows.push(`${sum(there.map(({ name }) => name))} <= ${task.floor.places[place]}`);
    }
  }
  network.nodes.forEach(({ job }, at) => {
    const untils = of(at).map(({ name, until }) => `-${until} ${name}`);
    rows.push(`${sum(['C', ...untils])} >= 0`);
    if (Number.isFinite(network.dueAt[job]!)) rows.push(`${sum([`L${job}`, ...untils])} >= -${network.dueAt[job]!}`);
  });
  const late = sum(network.dueAt.flatMap((due, job) => (Number.isFinite(due) ? [`L${job}`] : [])));
  const text = [
    `Minimize obj: ${what === 'end' ? 'C' : late}`,
    'Subject To',
    ...rows.map((row, at) => ` r${at}: ${row}`),
    'Binary',
    choices.map(({ name }) => name).join(' '),
    'End',
  ].join('\n');
  const found = highs.solve(text, { time_limit: 60, mip_rel_gap: 0 });
  if (found.Status !== 'Optimal') throw new Error(`no proof: ${found.Status}`);
  return found.ObjectiveValue;
};

const within = (found: number, best: number, scale: number): void => {
  expect(found).toBeGreaterThanOrEqual(best - 1e-6);
  expect(found - best).toBeLessThanOrEqual(Math.max(slot, 0.05 * scale));
};

describe('a plan of few steps, against the exact answer', () => {
  it.each([1, 2, 4, 5])('is done as soon as can be (%i)', (seed) => {
    const task = planTask(jobsByChance(seed, 3, 4, 0));
    const best = exactly(task, 3, 'end');
    const { endsAt, atLeast } = planOf(task);
    within(endsAt, best, best - task.now);
    expect(atLeast.endsAt).toBeLessThanOrEqual(best + 1e-6);
  });

  it.each([11, 13, 14, 15])('is as little late as can be (%i)', (seed) => {
    const task = planTask(jobsByChance(seed, 4, 3, 2));
    const best = exactly(task, 4, 'late');
    const { lateMinutes, atLeast } = planOf(task);
    within(lateMinutes, best, best);
    expect(atLeast.lateMinutes).toBeLessThanOrEqual(best + 1e-6);
  });
});
