import { failure, success, type Result } from '../../base/result.js';

type Plain = Readonly<Record<string, unknown>>;

/** What becomes of an assembly on the way from one version to the next. */
export type AssemblyMigration = (assembly: Plain) => Plain;

/** The way from one version to the next. What it does not know it leaves as it is; wrong values are for the schema to tell. */
export interface Migration {
  /** The version that it starts from. */
  readonly from: number;
  readonly apply: (design: Plain) => Plain;
}

/** A document brought to the present version, one migration after the other. Fails at a version that none starts from. */
export const migrate = (given: Plain, migrations: readonly Migration[]): Result<Plain> => {
  let design = given;
  const latest = Math.max(1, ...migrations.map(({ from }) => from + 1));
  while (design['version'] !== latest) {
    const step = migrations.find(({ from }) => from === design['version']);
    if (step === undefined)
      return failure({
        path: 'version',
        message: `must be a whole number from 1 to ${latest}, and is ${JSON.stringify(design['version']) ?? 'missing'}`,
      });
    design = { ...step.apply(design), version: step.from + 1 };
  }
  return success(design);
};
