import { failure, success, type Problem, type Result } from '../../base/result.js';
import type { Placing } from '../../base/placing/index.js';
import type { AnyLaid, buildOf } from '../../builds/index.js';
import type { AnyAssembly } from '../../judging/results/index.js';
import { assemblyLabel } from '../../power/circuit/index.js';
import type { Design } from '../design/index.js';
import { placingsOf } from './placings.js';

/** An assembly that is laid, and where it stands. */
export interface Standing {
  readonly assembly: AnyAssembly;
  readonly index: number;
  readonly label: string;
  readonly laid: AnyLaid;
  readonly placing: Placing;
}

export type AnyStages = ReturnType<ReturnType<typeof buildOf>['work']['stages']>;
/** The stages of an assembly by its place in the list. */
export type StagesOf = (assembly: AnyAssembly, index: number) => AnyStages;

const inAssembly = (index: number, problems: readonly Problem[]): readonly Problem[] =>
  problems.map(({ path, message }) => ({ path: `assemblies.${index}.${path}`, message }));

/** Lays every assembly of a sign; fails with every problem of every one. */
export const laySign = ({ brief, power, assemblies }: Design, stagesOf: StagesOf): Result<readonly Standing[]> => {
  const laid = assemblies.map((assembly, index) => stagesOf(assembly, index).lay(brief, power, assembly));
  const problems = laid.flatMap((each, index) => (each.ok ? [] : inAssembly(index, each.problems)));
  if (problems.length > 0) return failure(...problems);
  const good = laid.flatMap((each) => (each.ok ? [each.value] : []));
  const placings = placingsOf(
    assemblies.map(({ id, place }, index) => ({ id, place, frontZMm: good[index]!.section.frontZMm })),
  );
  return success(
    assemblies.map((assembly, index) => ({
      assembly,
      index,
      label: assemblyLabel(index, assemblies.length),
      laid: good[index]!,
      placing: placings[index]!,
    })),
  );
};
