import type { AnyAssembly, Fields, FontWeights } from '@vitrum/core';
import { createContext, useContext, type ReactNode } from 'react';
import { useFields } from '../document/selection';
import { useOwn } from '../evaluation/own';

export type ArtworkFieldsAt = Fields<AnyAssembly['artwork']>;

/** Which artwork the fields of the step are about, where an assembly has several. */
export interface ArtworkPlace {
  readonly fields: ArtworkFieldsAt;
  /** How large it is on the sign; null where there is nothing yet. */
  readonly size: { readonly width: number; readonly height: number } | null;
  /** How heavy its font can be set, where it is a variable one. */
  readonly weights?: FontWeights | undefined;
  /** What its text is called; as usual when left out. */
  readonly says?: string;
  /** Its step in the build list. */
  readonly stepId: string;
  /** What stands in the place of text and drawing. */
  readonly source?: ReactNode;
  /** Another source, beside text and drawing. */
  readonly besides?: ReactNode;
}

export const ArtworkAt = createContext<ArtworkPlace | null>(null);

/** The artwork that the step shows: that of the assembly, unless a build has put another in its place. */
export const useArtworkPlace = (): ArtworkPlace => {
  const at = useFields();
  const lettering = useOwn()?.lettering;
  return (
    useContext(ArtworkAt) ?? {
      fields: at.artwork,
      size: lettering?.bounds ?? null,
      weights: lettering?.weights,
      stepId: 'lettering',
    }
  );
};
