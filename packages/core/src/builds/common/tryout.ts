import type { Catalogue } from '../../document/catalogue/index.js';
import type { DesignChange } from '../../document/design/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';

/** A face as a change to an assembly: sheet, what is on it, a second sheet. */
export interface FaceChange {
  readonly name: string;
  readonly change: DesignChange;
}

/** What of a build may be tried in many combinations: depth, rows, faces and linings. */
export interface Tryout<Results extends AssemblyResults> {
  /** The change that sets depth, rows and lining at once, at the index of an assembly. */
  readonly set: (results: TryoutPlace<Results>, depthMm: number, rows: number, liningId: string) => DesignChange;
  /** Faces worth trying. */
  readonly faces: (index: number, catalogue: Catalogue) => readonly FaceChange[];
  /** What the fields of faces begin with: nothing else may be changed by one. */
  readonly facePath: (index: number) => string;
  readonly start: (assembly: Results['assembly']) => TryoutStart;
  readonly read: (results: Results) => { readonly depthMm: number; readonly rows: number; readonly lining: string };
  /** Rules whose findings say that there is no room for what is tried. */
  readonly roomRules: readonly string[];
}

/** What a try-out of an assembly begins from: the assembly as it is. */
export interface TryoutStart {
  readonly depthMm: number;
  readonly rows: number;
  /** How many rows more may be worth trying. */
  readonly moreRows: number;
  /** What rows are called in this layout. */
  readonly rowsWord: string;
  readonly liningId: string;
}

/** The assembly that is tried, and its place in the design. */
export interface TryoutPlace<Results extends AssemblyResults> {
  readonly index: number;
  readonly assembly: Results['assembly'];
}
