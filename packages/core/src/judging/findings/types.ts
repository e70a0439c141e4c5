import type { Catalogue } from '../../document/catalogue/index.js';
import type { DesignChange } from '../../document/design/index.js';
import type { AssemblyResults, SignResults } from '../results/index.js';
import type { Rect } from '../../base/outlines/index.js';

/** `stop`: unsafe or cannot be built. `fix`: will disappoint. `note`: worth knowing. */
export type Severity = 'stop' | 'fix' | 'note';

/** The steps of the work line. */
export type WorkStep = 'brief' | 'artwork' | 'case' | 'light' | 'power' | 'face' | 'hang' | 'cut' | 'build' | 'prove';

/** A figure that supports a finding or tells what a fix does. */
export interface Measure {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
}

/** Where to look: a place on the front or in the slice (mm, in that drawing's axes: those of its assembly, or of the sign). */
export interface Place {
  readonly view: 'front' | 'slice';
  readonly rect: Rect;
}

/** A change worked out and tried: what it gives, and whether that is enough. */
export interface Fix {
  readonly id: string;
  readonly label: string;
  readonly change: DesignChange;
  readonly measure: string;
  readonly unit: string;
  readonly before: number;
  readonly after: number;
  /** False when it helps but does not settle the finding. */
  readonly settles: boolean;
  /** What the change costs or saves on one sign. */
  readonly priceChange: number;
}

/** Something the maker should know, with its number, its place and its remedies. */
export interface Finding {
  /** Of its kind there is one a sign, or one an assembly, which its id then names. */
  readonly id: string;
  readonly rule: string;
  /** Index of the assembly that it is about; null when it is about the sign. */
  readonly assembly: number | null;
  readonly severity: Severity;
  readonly step: WorkStep;
  readonly what: string;
  readonly why: string;
  readonly numbers: readonly Measure[];
  readonly where: Place | null;
  readonly fixes: readonly Fix[];
  /** Why nothing is offered, once remedies have been tried; null where something is, or for a note. */
  readonly whyNone: string | null;
}

/** One thing that might be changed. */
export interface Candidate {
  readonly label: string;
  readonly change: DesignChange;
}

/** A way to settle a finding, not yet tried: candidates from the smallest change to the largest. */
export interface Remedy {
  readonly id: string;
  readonly candidates: readonly Candidate[];
}

/** A finding before its remedies have been tried. */
export interface RawFinding<Results = AssemblyResults> extends Omit<
  Finding,
  'fixes' | 'whyNone' | 'rule' | 'assembly'
> {
  /** The figure that the remedies must move, read from any evaluation. */
  readonly target: {
    readonly label: string;
    readonly unit: string;
    readonly better: 'higher' | 'lower';
    readonly read: (results: Results) => number;
    readonly settled: (results: Results) => boolean;
  };
  readonly remedies: readonly Remedy[];
  /** What to say where there is no remedy at all. */
  readonly noRemedy?: string;
}

/** A finding about a sign, or an assembly of it, before its remedies have been tried. */
export type FoundOnSign = RawFinding<SignResults> & Pick<Finding, 'rule' | 'assembly'>;

/** The same with the place of the check that found it among all that were asked. */
export type SignFinding = FoundOnSign & { readonly check: number };

/** What a rule looks at. */
export interface RuleContext<Results = AssemblyResults> {
  readonly results: Results;
  readonly catalogue: Catalogue;
}

/** One check; silent when all is well. Of an assembly, or of the sign. */
export type Rule<Results = AssemblyResults> = (context: RuleContext<Results>) => RawFinding<Results> | null;
export type SignRule = Rule<SignResults>;
