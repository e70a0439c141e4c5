import type { Rates, WorkPhase } from '../../document/catalogue/index.js';
import { usualDrawing, type StepDrawing } from './step-drawing.js';
import { usualWork, type StepWork, type ToldWork } from './step-work.js';

export type { StepDrawing, StepView } from './step-drawing.js';
export { workPlaces, type StepWork, type WorkPlace } from './step-work.js';

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  readonly phase: WorkPhase;
  readonly title: string;
  readonly detail: string;
  /** Hands-on time: typical, or by what the shop has learned of its own. */
  readonly minutes: number;
  /** The same as it is typical. */
  readonly typicalMinutes: number;
  /** Waiting for glue or paint. */
  readonly waitMinutes: number;
  /** What can hurt at this step; null when nothing out of the ordinary. */
  readonly caution: string | null;
  /** Done once for the whole sign, whichever assembly tells of it. */
  readonly ofSign: boolean;
  /** The assembly that tells of it, by its place in the sign. */
  readonly assembly: number;
  /** What is drawn beside it. */
  readonly shows: StepDrawing;
  /** What it asks of the shop. */
  readonly work: StepWork;
}

/** A step as a build tells it: where it names no drawing, or nothing of its work, it has the usual. */
export type ToldStep = Omit<Step, 'shows' | 'assembly' | 'work' | 'typicalMinutes'> &
  Partial<Pick<Step, 'shows'>> & { readonly work?: ToldWork };

/** The build list in order. */
export interface BuildList {
  readonly steps: readonly Step[];
  readonly workMinutes: number;
  readonly waitMinutes: number;
}

/** The steps of an assembly, and what it is called among several. */
export interface AssemblySteps {
  readonly id: string;
  readonly label: string;
  readonly index: number;
  readonly steps: readonly ToldStep[];
}

/** Parts bear the label of their assembly before their name. */
const ownParts = ({ label }: AssemblySteps, shows: StepDrawing): StepDrawing =>
  label === '' || shows.parts === undefined
    ? shows
    : { ...shows, parts: shows.parts.map((name) => `${label} ${name}`) };

/** An assembly while its steps are put among those of others. */
interface Teller {
  readonly own: AssemblySteps;
  readonly left: ToldStep[];
  /** What nothing follows yet: a step that says nothing else comes after all of it. */
  readonly ends: Set<string>;
  /** It has been brought to where it hangs: what is left to do is done there. */
  away: boolean;
}

const idIn = (own: AssemblySteps, { id, ofSign }: Pick<ToldStep, 'id' | 'ofSign'>): string =>
  own.label === '' || ofSign ? id : `${own.id}-${id}`;

/** What comes before a step by its own words: ids of the assembly as they stand in the merged list. */
const toldAfter = (own: AssemblySteps, told: ToldStep): readonly string[] | null =>
  told.work?.after?.flatMap((id) => {
    const before = own.steps.find((each) => each.id === id);
    return before === undefined ? [] : [idIn(own, before)];
  }) ?? null;

const drawn = ({ own, away }: Teller, told: ToldStep, after: readonly string[]): Step => ({
  ...told,
  typicalMinutes: told.minutes,
  id: idIn(own, told),
  title: own.label === '' || told.ofSign ? told.title : `${own.label}: ${told.title}`,
  assembly: own.index,
  shows: ownParts(own, told.shows ?? usualDrawing(told)),
  work: { ...usualWork(told), ...(away ? { place: 'site' } : {}), ...told.work, after },
});

/** Takes the next step of `teller`, which all of `tellers` tell alike. */
const take = (teller: Teller, tellers: readonly Teller[]): Step => {
  const told = teller.left[0]!;
  const after = toldAfter(teller.own, told) ?? [...new Set(tellers.flatMap(({ ends }) => [...ends]))];
  const step = drawn(teller, told, after);
  for (const each of tellers) {
    if (each.left[0]?.id === told.id) each.left.shift();
    for (const id of after) each.ends.delete(id);
    each.ends.add(step.id);
    each.away ||= step.work.place === 'site';
  }
  return step;
};

/**
 * The steps of all assemblies in one order: each keeps its own, and what is done once for the sign waits until every
 * assembly that tells of it has come so far.
 */
export const mergeSteps = (assemblies: readonly AssemblySteps[]): readonly Step[] => {
  const tellers = assemblies.map((own): Teller => ({ own, left: [...own.steps], ends: new Set(), away: false }));
  const merged: Step[] = [];
  while (tellers.some(({ left }) => left.length > 0)) {
    for (const teller of tellers) while (teller.left[0]?.ofSign === false) merged.push(take(teller, [teller]));
    const teller = tellers.find(({ left }) => left.length > 0);
    if (teller === undefined) break;
    const { id } = teller.left[0]!;
    merged.push(
      take(
        teller,
        tellers.filter(({ left }) => left[0]?.id === id),
      ),
    );
  }
  return merged;
};

/** Steps by the shop’s own times, as far as it has learned and accepted them. */
const timed = (steps: readonly Step[], learned: Rates['learnedTimes']): readonly Step[] =>
  learned === undefined
    ? steps
    : steps.map((step) => {
        const factor = learned[step.phase]?.factor;
        return factor === undefined ? step : { ...step, minutes: step.typicalMinutes * factor };
      });

/** The build list: steps in order, their times summed. */
export const buildListOf = (told: readonly Step[], learned?: Rates['learnedTimes']): BuildList => {
  const steps = timed(told, learned);
  return {
    steps,
    workMinutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    waitMinutes: steps.reduce((sum, { waitMinutes }) => sum + waitMinutes, 0),
  };
};
