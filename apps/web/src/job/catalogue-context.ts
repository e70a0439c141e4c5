import type { Catalogue } from '@vitrum/core';
import { createContext, useContext } from 'react';
import type { MaterialFacts } from '../fields/material-facts';
import type { ChoiceOption } from '../ui/choice';

/** The shop's catalogue, there for every step. */
export const CatalogueContext = createContext<Catalogue | null>(null);

export const useCatalogue = (): Catalogue => {
  const catalogue = useContext(CatalogueContext);
  if (catalogue === null) throw new Error('a step was shown without the catalogue');
  return catalogue;
};

/** Catalogue items as choices, each with what tells it from the others. */
export const choicesOf = <Item extends { readonly id: string; readonly name: string }>(
  items: readonly Item[],
  about: (item: Item) => MaterialFacts = () => ({}),
): readonly ChoiceOption[] => items.map((item) => ({ value: item.id, label: item.name, ...about(item) }));
