import type { Catalogue } from '@vitrum/core';
import { createContext, useContext } from 'react';

/** The shop's catalogue, there for every step. */
export const CatalogueContext = createContext<Catalogue | null>(null);

export const useCatalogue = (): Catalogue => {
  const catalogue = useContext(CatalogueContext);
  if (catalogue === null) throw new Error('a step was shown without the catalogue');
  return catalogue;
};

/** Catalogue items as choices. */
export const choicesOf = (items: readonly { readonly id: string; readonly name: string }[]) =>
  items.map(({ id, name }) => ({ value: id, label: name }));
