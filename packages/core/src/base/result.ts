/** Something wrong with what was given: where (a dotted path into the input) and a sentence a maker understands. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}

/** An expected success or failure; programming errors throw instead. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export const success = <T>(value: T): Result<T> => ({ ok: true, value });

export const failure = <T>(...problems: readonly Problem[]): Result<T> => ({ ok: false, problems });

/** One line for people and logs: `power.zones.2.level: …`. */
export const problemLine = (problem: Problem): string =>
  problem.path === '' ? problem.message : `${problem.path}: ${problem.message}`;
