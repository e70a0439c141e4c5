import type { Design } from '@vitrum/core';
import { useDocument } from '../../document/document-store';
import { noPins, type Pin } from '../../document/pins';
import { chosenIndex, useSelection } from '../../document/selection';

/** The pinned posts of the chosen letters, in the open design as it is now. */
export const pinsNow = (design: Design | null, assemblyId: string | null): readonly Pin[] => {
  const assembly = design?.assemblies[chosenIndex(design, assemblyId)];
  return (assembly?.build === 'halo' ? assembly.posts.pinned : undefined) ?? noPins;
};

/** The same, watched. */
export const usePins = (): readonly Pin[] => {
  const assemblyId = useSelection((state) => state.assemblyId);
  return useDocument(({ design }) => pinsNow(design, assemblyId));
};
