import type { SweepPointView } from '@vitrum/contract';
import { createEvaluator, sweep, type Catalogue, type Design, type SweepAxes, type TryEvaluator } from '@vitrum/core';
import { shippedFonts } from '../common/font-book.js';
import { designFromStore } from '../jobs/stored-design.js';
import { pointView } from './sweep-views.js';

/** What the thread is given: a sweep, where it stands, and how long this turn is. */
export interface SweepTask {
  readonly id: string;
  /** As it is stored. */
  readonly design: string;
  readonly plan: SweepAxes;
  readonly catalogue: Catalogue;
  readonly done: number;
  readonly turnMs: number;
}

/** What a turn found, place by place; null where a combination makes no case. */
export type SweepTurn = readonly (SweepPointView | null)[];

interface Known {
  readonly id: string;
  readonly catalogue: string;
  readonly design: Design;
  readonly evaluate: TryEvaluator;
}

const fonts = shippedFonts();

/** The sweep whose turn was last, as it was made ready: with the same catalogue it need not be again. */
let known: Known | null = null;

const madeReady = async ({ id, design, catalogue }: SweepTask): Promise<Known> => {
  const catalogueText = JSON.stringify(catalogue);
  if (known?.id === id && known.catalogue === catalogueText) return known;
  const evaluate = createEvaluator(catalogue, await fonts).quick;
  known = { id, catalogue: catalogueText, design: designFromStore(JSON.parse(design)), evaluate };
  return known;
};

/** Runs in a thread of the pool: a sweep taken on for one turn, by one point at least. */
export default async (task: SweepTask): Promise<SweepTurn> => {
  const { design, evaluate } = await madeReady(task);
  const points: (SweepPointView | null)[] = [];
  const begun = performance.now();
  for (const point of sweep(design, task.plan, evaluate, task.done)) {
    points.push(point === null ? null : pointView(point));
    if (performance.now() - begun >= task.turnMs) break;
  }
  return points;
};
