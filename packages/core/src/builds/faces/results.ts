import type { FacedMaterials } from '../../document/catalogue/index.js';
import type { AnyAssembly, AssemblyResults } from '../../judging/results/index.js';
import type { FaceStack } from '../../light/optics/index.js';

/** An assembly with a diffusing face. */
export interface FacedAssembly extends AnyAssembly {
  readonly face: {
    readonly sheetId: string;
    readonly coats?: readonly { readonly coatingId: string; readonly coats: number }[] | undefined;
  };
}

/** What the stages find for an assembly with a diffusing face. */
export interface FacedResults<Own extends FacedAssembly = FacedAssembly> extends AssemblyResults<Own> {
  readonly materials: FacedMaterials;
  readonly stack: FaceStack;
}
