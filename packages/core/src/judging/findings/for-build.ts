import type { AssemblyResults, SignResults } from '../results/index.js';
import type { FoundOnSign, Rule, SignRule } from './types.js';

/** Asks one rule of a whole sign, each assembly it is about. */
export type SignCheck = (context: Parameters<SignRule>[0]) => readonly FoundOnSign[];

/** A finding about one assembly of several names it in its id, and in its words. */
const named = (what: string, { label }: AssemblyResults): string => (label === '' ? what : `${label}: ${what}`);

/** A rule about one assembly, asked of the one at `index`; fixes are judged by the same assembly once they are tried. */
const askedOf =
  <Results extends AssemblyResults>(rule: Rule<Results>, own: Results): SignCheck =>
  ({ catalogue }) => {
    const found = rule({ results: own, catalogue });
    if (found === null) return [];
    const same = ({ assemblies }: SignResults): Results => {
      const tried = assemblies[own.index];
      if (tried?.build !== own.build) throw new Error(`a remedy of ${found.id} changed the build`);
      return tried as Results;
    };
    const { target } = found;
    return [
      {
        ...found,
        id: own.label === '' ? found.id : `${found.id}-${own.id}`,
        rule: found.id,
        assembly: own.index,
        what: named(found.what, own),
        target: {
          ...target,
          read: (tried) => target.read(same(tried)),
          settled: (tried) => target.settled(same(tried)),
        },
      },
    ];
  };

/** A rule about assemblies, asked of each. */
export const onEach =
  (rule: Rule): SignCheck =>
  (context) =>
    context.results.assemblies.flatMap((own) => askedOf(rule, own)(context));

/** A rule about the sign as a whole. */
export const onSign =
  (rule: SignRule): SignCheck =>
  (context) => {
    const found = rule(context);
    return found === null ? [] : [{ ...found, rule: found.id, assembly: null }];
  };

/** The rules of one build, asked of one assembly of that build. */
export const ofBuild = <Results extends AssemblyResults>(
  rules: readonly Rule<Results>[],
  own: Results,
): readonly SignCheck[] => rules.map((rule) => askedOf(rule, own));
