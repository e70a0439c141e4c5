import type { AnyAssembly, AssemblyResults } from '../../judging/results/index.js';
import type { Jumper, LetterRuns } from '../../light/runs/index.js';
import type { Laid } from '../common/build.js';
import type { BackerDesign } from './backer/schema.js';
import type { LetterArtwork, LetterLight } from './schema.js';

/** An assembly that is letters, cut one by one, with strip laid in each. */
export interface LetterAssembly extends AnyAssembly {
  readonly artwork: LetterArtwork;
  readonly light: LetterLight;
  readonly backer?: BackerDesign | null | undefined;
}

/** What the stages find for letters of any build. */
export interface LetterResults<Own extends LetterAssembly = LetterAssembly> extends AssemblyResults<Own> {
  readonly runs: LetterRuns;
  readonly jumpers: readonly Jumper[];
}

/** What stands before the circuit. */
export interface LetterLaid extends Laid {
  readonly runs: LetterRuns;
}
