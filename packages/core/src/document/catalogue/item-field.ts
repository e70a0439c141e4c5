import type { CatalogueKind } from './types.js';

/** How the value of a field is written: a share as per cent, lists with commas, what a tool cuts and its kerfs as “acrylic 8, wood 6”. */
export type FieldForm =
  'text' | 'number' | 'share' | 'choice' | 'choices' | 'numbers' | 'flag' | 'day' | 'cuts' | 'kerfs';

/** One figure of an item of the shelf: where it is, what it is called and means, and what is usual. */
export interface ItemField {
  /** Where in the item, dotted: `scatter.hazeShare`. */
  readonly path: string;
  readonly label: string;
  readonly form: FieldForm;
  readonly unit: string;
  readonly what: string;
  /** Values that are usual, offered where nothing is known; as stored. */
  readonly typical: readonly (number | string)[];
  readonly choices: readonly string[];
  readonly optional: boolean;
}

/** What is said of one list of the shelf. */
export interface KindWords {
  readonly kind: CatalogueKind;
  /** Of the whole list, and of one item in it. */
  readonly title: string;
  readonly one: string;
  /** What one price is for; null where a price is of no account. */
  readonly per: string | null;
  readonly fields: readonly ItemField[];
}

/** What else is said of a field. */
export type Rest = Partial<Pick<ItemField, 'typical' | 'choices' | 'optional'>>;

/** A field by its path, label, form and unit; required and without usual values where nothing else is said. */
export const field = (
  path: string,
  label: string,
  form: FieldForm,
  unit: string,
  what: string,
  rest: Rest = {},
): ItemField => ({
  path,
  label,
  form,
  unit,
  what,
  typical: [],
  choices: [],
  optional: false,
  ...rest,
});

/** A length. */
export const mm = (
  path: string,
  label: string,
  what: string,
  typical: readonly number[] = [],
  rest: Rest = {},
): ItemField => field(path, label, 'number', 'mm', what, { typical, ...rest });
/** A share, shown as per cent. */
export const share = (
  path: string,
  label: string,
  what: string,
  typical: readonly number[] = [],
  rest: Rest = {},
): ItemField => field(path, label, 'share', '%', what, { typical, ...rest });
/** One of a few words. */
export const choice = (
  path: string,
  label: string,
  what: string,
  choices: readonly string[],
  rest: Rest = {},
): ItemField => field(path, label, 'choice', '', what, { choices, ...rest });
/** May stay empty. */
export const optional = { optional: true } as const;
