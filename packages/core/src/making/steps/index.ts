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
}

/** The build list in order. */
export interface BuildList {
  readonly steps: readonly Step[];
  readonly workMinutes: number;
  readonly waitMinutes: number;
}

/** The plan stage: the steps of a build, their times summed. */
export const buildListOf = (steps: readonly Step[]): BuildList => ({
  steps,
  workMinutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
  waitMinutes: steps.reduce((sum, { waitMinutes }) => sum + waitMinutes, 0),
});
