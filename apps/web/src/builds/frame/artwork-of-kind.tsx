import type { FrameAssembly } from '@vitrum/core';
import type { ReactNode } from 'react';
import { useFields } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { ArtworkAt, useArtworkPlace } from '../../steps/artwork-at';

/** A lit mirror says nothing: no text and no drawing are asked of it. */
export const ArtworkOfKind = ({ children }: { readonly children: ReactNode }) => {
  const kind = useDesignValue(useFields<FrameAssembly>().shows.kind);
  const place = useArtworkPlace();
  if (kind !== 'lit-mirror') return children;
  return (
    <ArtworkAt.Provider
      value={{
        ...place,
        source: <p className="text-[13px] text-soft">A lit mirror carries no letters: its band is what shines.</p>,
      }}
    >
      {children}
    </ArtworkAt.Provider>
  );
};
