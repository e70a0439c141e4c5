export { designDifferences, type DesignDifference } from './design-differences.js';
export { differenceWords, type ToldDifference } from './difference-words.js';
import type { Result } from '../../base/result.js';
import type { DesignChange } from '../../document/design/index.js';
import type { Severity } from '../../judging/findings/index.js';
import { applyChange, type Design } from '../design/index.js';
import type { Evaluation } from '../evaluate/index.js';

/** A way to make an assembly, to be looked at beside others. */
export interface WayToCompare {
  readonly label: string;
  readonly change: DesignChange;
}

/** What one way comes to. */
export interface ComparedWay {
  readonly label: string;
  /** It is as the design is now. */
  readonly isNow: boolean;
  /** Figures of the assembly and of the sign by their names, as they are shown; none where it cannot be made. */
  readonly figures: Readonly<Record<string, { readonly text: string; readonly value: number }>>;
  /** The gravest that is found of it, or why it cannot be made. */
  readonly amiss: { readonly severity: Severity; readonly what: string } | null;
}

/** The most ways that are looked at beside one another. */
export const mostCompared = 40;

const gravest = ({ findings }: Evaluation): ComparedWay['amiss'] =>
  findings.find(({ severity }) => severity === 'stop') ?? findings.find(({ severity }) => severity === 'fix') ?? null;

/** Whether a change leaves a design as it is. */
const changesNothing = (design: Design, changed: Design): boolean => JSON.stringify(design) === JSON.stringify(changed);

/**
 * Every way tried on a design, one by one, evaluated whole: a generator that yields each as it is found, so that the caller can show
 * them or stop.
 */
export function* compareWays(
  design: Design,
  assembly: number,
  ways: readonly WayToCompare[],
  evaluate: (design: Design) => Result<Evaluation>,
): Generator<ComparedWay, void> {
  for (const { label, change } of ways.slice(0, mostCompared)) {
    const changed = applyChange(design, change);
    const tried = changed.ok ? evaluate(changed.value) : changed;
    if (!tried.ok) {
      const [problem] = tried.problems;
      yield {
        label,
        isNow: false,
        figures: {},
        amiss: {
          severity: 'stop',
          what: problem === undefined ? 'cannot be made' : `${problem.path} ${problem.message}`,
        },
      };
      continue;
    }
    const figures = tried.value.figures.filter((figure) => figure.assembly === assembly || figure.assembly === null);
    const found = gravest(tried.value);
    yield {
      label,
      isNow: changed.ok && changesNothing(design, changed.value),
      figures: Object.fromEntries(figures.map(({ id, text, value }) => [id, { text, value }])),
      amiss: found === null ? null : { severity: found.severity, what: found.what },
    };
  }
}
