import type { ToldStep } from './index.js';

/** Where in the shop a step is done. */
export const workPlaces = ['bench', 'saw', 'paint', 'site'] as const;
export type WorkPlace = (typeof workPlaces)[number];

/** What a step asks of the shop, beside its minutes. */
export interface StepWork {
  readonly place: WorkPlace;
  readonly people: number;
  /** Once begun it is brought to its end without a night between: glue sets, paint has a wet edge. */
  readonly whole: boolean;
  /** The place is taken up while it waits: by wet paint, not by what is clamped and set aside. */
  readonly holds: boolean;
  /** Somebody is in the shop while it waits. */
  readonly attended: boolean;
  /** Steps that must be done before, by their ids. */
  readonly after: readonly string[];
}

/** What a build says of it where the usual is not so. */
export type ToldWork = Partial<StepWork>;

const byPhase: Readonly<Record<ToldStep['phase'], WorkPlace>> = {
  prepare: 'bench',
  cut: 'saw',
  finish: 'bench',
  wire: 'bench',
  assemble: 'bench',
  prove: 'bench',
  hang: 'site',
};

const painted = ({ id, phase, waitMinutes }: ToldStep): boolean =>
  phase === 'finish' && waitMinutes > 0 && /^(coat|lining|paint|prime)/.test(id);

/** What steps of such a kind ask of a shop; what must come before is the order in which they are told. */
export const usualWork = (told: ToldStep): Omit<StepWork, 'after'> => {
  const place = painted(told) ? 'paint' : byPhase[told.phase];
  return {
    place,
    people: 1,
    whole: told.waitMinutes > 0 || told.phase === 'hang',
    holds: place === 'paint' || told.phase === 'prove',
    // A new sign is not left lit by itself.
    attended: told.phase === 'prove',
  };
};
