import type { AssemblyEvaluation, AssemblyResults, Front } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useEvaluation } from './evaluation-store';

/** What was found for the chosen assembly. */
export const useOwn = (): AssemblyEvaluation | null => {
  const index = useChosenIndex();
  // By its id: the evaluation may be an edit behind the list.
  const id = useDocument(({ design }) => design?.assemblies[index]?.id);
  return useEvaluation(({ evaluation }) => evaluation?.assemblies.find((own) => own.id === id) ?? null);
};

/** The same when it is of a build, whose folder alone asks. */
export const useOwnOf = <Results extends AssemblyResults>(
  build: Results['build'],
): (Results & { readonly front: Front }) | null => {
  const own = useOwn();
  // The name of the build is what tells its results apart.
  return own?.build === build ? (own as unknown as Results & { readonly front: Front }) : null;
};

/** The number of the chain that a segment of an assembly hangs in, by its place among the runs there. */
export const chainOf = ({ circuit, index: assembly }: AssemblyResults, index: number): number | undefined => {
  const inSign = circuit.segments.findIndex((segment) => segment.assembly === assembly && segment.index === index);
  return circuit.chains.find(({ segments }) => segments.includes(inSign))?.number;
};
