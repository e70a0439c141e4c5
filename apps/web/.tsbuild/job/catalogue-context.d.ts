import type { Catalogue } from '@vitrum/core';
/** The shop's catalogue, there for every step. */
export declare const CatalogueContext: import('react').Context<Catalogue | null>;
export declare const useCatalogue: () => Catalogue;
/** Catalogue items as choices. */
export declare const choicesOf: (
  items: readonly {
    readonly id: string;
    readonly name: string;
  }[],
) => {
  value: string;
  label: string;
}[];
