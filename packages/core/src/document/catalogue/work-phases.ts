/** What goes on in a step of the build, in the order of the work. */
export const workPhases = ['prepare', 'cut', 'finish', 'wire', 'assemble', 'prove', 'hang'] as const;
export type WorkPhase = (typeof workPhases)[number];

/** By how much this shop’s work differs from typical times: what it wrote down over what was computed. */
export interface LearnedTime {
  readonly factor: number;
  /** Between these it lies, four times in five. */
  readonly low: number;
  readonly high: number;
  /** Jobs that it was learned from. */
  readonly jobs: number;
  /** The day it was accepted. */
  readonly on: string;
}
