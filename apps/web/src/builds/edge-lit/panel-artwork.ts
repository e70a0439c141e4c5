import type { Fields, PanelArtwork } from '@vitrum/core';
import { createContext, useContext } from 'react';
import { useFields } from '../../document/selection';
import type { EdgeLitAssembly } from '@vitrum/core';

/** Which area of the sheet the step shows: 0 is the artwork, others follow. */
export const AreaPlace = createContext(0);

/** The area that the step shows, and its fields. */
export const usePanelArtwork = (): { readonly place: number; readonly fields: Fields<PanelArtwork> } => {
  const place = useContext(AreaPlace);
  const at = useFields<EdgeLitAssembly>();
  return { place, fields: place === 0 ? at.artwork : at.areas.at(place - 1) };
};
