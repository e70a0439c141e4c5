import type { BuildName } from '../../document/design/index.js';
import type { StageResults } from '../../sign/evaluate/types.js';
import type { RawFinding, Rule } from './types.js';

type ResultsOf<Build extends BuildName> = Extract<StageResults, { readonly build: Build }>;

const isOf = <Build extends BuildName>(results: StageResults, build: Build): results is ResultsOf<Build> =>
  results.build === build;

/** A rule that knows the results of one build, made into one for any results: silent for other builds. */
const widened =
  <Build extends BuildName>(build: Build, rule: Rule<ResultsOf<Build>>): Rule =>
  ({ results, catalogue }) => {
    if (!isOf(results, build)) return null;
    const found = rule({ results, catalogue });
    if (found === null) return null;
    const own = (tried: StageResults): ResultsOf<Build> => {
      if (!isOf(tried, build)) throw new Error(`a remedy of ${found.id} changed the build`);
      return tried;
    };
    const { target } = found;
    return {
      ...found,
      target: {
        ...target,
        read: (tried) => target.read(own(tried)),
        settled: (tried) => target.settled(own(tried)),
      },
    } satisfies RawFinding;
  };

/** The rules of one build as rules for any results. */
export const rulesFor = <Build extends BuildName>(
  build: Build,
  rules: readonly Rule<ResultsOf<Build>>[],
): readonly Rule[] => rules.map((rule) => widened(build, rule));
