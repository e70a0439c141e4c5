import type { WorkStep } from '@vitrum/core';

/** What a field means to somebody at the bench. */
export interface FieldHelp {
  /** What it is, in a sentence. */
  readonly what: string;
  /** How it is measured or found out. */
  readonly measure?: string;
  /** What is usual. */
  readonly usual?: string;
}

/** Help by the step that a field stands in, and the label that it bears. */
export type HelpTexts = Partial<Readonly<Record<WorkStep, Readonly<Record<string, FieldHelp>>>>>;

/** Two sets of help in one; the second speaks where both do. */
export const mergedHelp = (base: HelpTexts, own: HelpTexts): HelpTexts =>
  Object.fromEntries(
    [...new Set([...Object.keys(base), ...Object.keys(own)] as WorkStep[])].map((step) => [
      step,
      { ...base[step], ...own[step] },
    ]),
  );
