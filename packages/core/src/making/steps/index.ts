/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  readonly phase: 'prepare' | 'cut' | 'finish' | 'wire' | 'assemble' | 'prove' | 'hang';
  readonly title: string;
  readonly detail: string;
  /** Hands-on time, typical. */
  readonly minutes: number;
  /** Waiting for glue or paint. */
  readonly waitMinutes: number;
  /** What can hurt at this step; null when nothing out of the ordinary. */
  readonly caution: string | null;
  /** Done once for the whole sign, whichever assembly tells of it. */
  readonly ofSign: boolean;
}

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
  readonly steps: readonly Step[];
}

const named = ({ id, label }: AssemblySteps, step: Step): Step =>
  label === '' ? step : { ...step, id: `${id}-${step.id}`, title: `${label}: ${step.title}` };

/**
 * The steps of all assemblies in one order: each keeps its own, and what is done once for the sign waits until every
 * assembly that tells of it has come so far.
 */
export const mergeSteps = (assemblies: readonly AssemblySteps[]): readonly Step[] => {
  const left = assemblies.map((own) => ({ own, steps: [...own.steps] }));
  const merged: Step[] = [];
  while (left.some(({ steps }) => steps.length > 0)) {
    for (const { own, steps } of left) while (steps[0]?.ofSign === false) merged.push(named(own, steps.shift()!));
    const next = left.flatMap(({ steps }) => steps.slice(0, 1))[0];
    if (next === undefined) break;
    merged.push(next);
    for (const each of left) if (each.steps[0]?.id === next.id) each.steps.shift();
  }
  return merged;
};

/** The build list: steps in order, their times summed. */
export const buildListOf = (steps: readonly Step[]): BuildList => ({
  steps,
  workMinutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
  waitMinutes: steps.reduce((sum, { waitMinutes }) => sum + waitMinutes, 0),
});
