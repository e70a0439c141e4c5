import { allBuilds, jobName, newDesign, sizeProblems, usualSizes, type Design } from '@vitrum/core';
import { UsageError } from './usage-error.js';

/** What a new job is told on the command line. */
export interface NewJobOptions {
  readonly says?: string | undefined;
  readonly width?: string | undefined;
  readonly height?: string | undefined;
  readonly cap?: string | undefined;
  readonly from?: string | undefined;
  readonly outdoors?: boolean | undefined;
  readonly surroundings?: string | undefined;
}

const afterDark = ['country', 'low', 'town', 'city'] as const;
/** Which option answers which question of a size. */
const optionOf: Readonly<Record<string, 'width' | 'height' | 'cap'>> = {
  widthMm: 'width',
  heightMm: 'height',
  capHeightMm: 'cap',
};
const usualDistanceMm = 3000;

/** A design from the answers of a new job; `length` reads one, or throws. */
export const newFromAnswers = (
  name: string | undefined,
  options: NewJobOptions,
  length: (text: string | undefined, name: string) => number | null,
): Design => {
  const build = allBuilds.find((each) => each.name === name);
  if (build === undefined)
    throw new UsageError(
      `there is no build “${name ?? ''}”; there is ${allBuilds.map((each) => each.name).join(', ')}`,
    );
  const { says, outdoors, surroundings } = options;
  if (says === undefined || says.trim() === '') throw new UsageError('say what the sign says: --says TEXT');
  const where = afterDark.find((each) => each === surroundings);
  if (surroundings !== undefined && where === undefined)
    throw new UsageError(`--surroundings ${surroundings}: is none; there is ${afterDark.join(', ')}`);
  const told = build.sizes.flatMap(({ id }) => {
    const option = optionOf[id];
    const mm = option === undefined ? null : length(options[option], option);
    return mm === null ? [] : [[id, mm] as const];
  });
  const sizesMm = { ...usualSizes(build.sizes), ...Object.fromEntries(told) };
  const [wrong] = Object.entries(sizeProblems(build.sizes, sizesMm));
  if (wrong !== undefined) throw new UsageError(`--${optionOf[wrong[0]] ?? wrong[0]}: ${wrong[1]}`);
  const readingDistanceMm = length(options.from, 'from') ?? usualDistanceMm;
  const text = says.replaceAll('\\n', '\n');
  const design = newDesign(build.name, { name: jobName(text), text, readingDistanceMm, sizesMm });
  const seen = where === undefined ? {} : { surroundings: where };
  return {
    ...design,
    brief: {
      ...design.brief,
      ...seen,
      ...(outdoors === true ? { exposure: 'outdoors', ambient: 'evening' } : {}),
    },
  };
};
