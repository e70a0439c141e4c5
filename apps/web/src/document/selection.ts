import { fieldsOf, type AnyAssembly, type Design, type Fields } from '@vitrum/core';
import { create } from 'zustand';
import { useDocument } from './document-store';

interface Selection {
  /** Id of the assembly that the steps of an assembly show; the first one when it is not there. */
  readonly assemblyId: string | null;
}

/** Which assembly of the sign is chosen; kept by the page, never in the design. */
export const useSelection = create<Selection>(() => ({ assemblyId: null }));

export const selectAssembly = (assemblyId: string | null): void => useSelection.setState({ assemblyId });

/** The place of the chosen assembly in a design. */
export const chosenIndex = (design: Design | null, assemblyId: string | null): number =>
  Math.max(0, design?.assemblies.findIndex(({ id }) => id === assemblyId) ?? 0);

/** The place of the chosen assembly in the open design. */
export const useChosenIndex = (): number => {
  const assemblyId = useSelection((state) => state.assemblyId);
  return useDocument(({ design }) => chosenIndex(design, assemblyId));
};

/** The fields of the chosen assembly, which the caller knows to be of this kind. */
export const useFields = <Own extends AnyAssembly = AnyAssembly>(): Fields<Own> =>
  fieldsOf<Own>(`assemblies.${useChosenIndex()}`);

/** Chooses the next assembly of the open design, or the one before. */
export const selectNext = (step: 1 | -1): void => {
  const { design } = useDocument.getState();
  if (design === null) return;
  const count = design.assemblies.length;
  const now = chosenIndex(design, useSelection.getState().assemblyId);
  selectAssembly(design.assemblies[(now + step + count) % count]!.id);
};
