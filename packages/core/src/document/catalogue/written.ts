import { valueOfPath } from '../design/index.js';
import type { ItemField } from './item-fields.js';
import type { CatalogueKind } from './types.js';
import { wordsOf } from './item-fields.js';

/** Ten digits are more than any figure of a material has; what they round off is no figure but an error of sums. */
const plain = (value: number): string => `${Number(value.toPrecision(10))}`;

/** A figure as it is written in a form and in a file; empty where there is none. */
export const written = ({ form, path }: ItemField, item: unknown): string => {
  const value = valueOfPath(item, path);
  if (value === undefined || value === null) return '';
  switch (form) {
    case 'share':
      return plain(100 * Number(value));
    case 'number':
      return plain(Number(value));
    case 'flag':
      return value === true ? 'yes' : 'no';
    case 'choices':
      return (value as readonly string[]).join(', ');
    case 'numbers':
      return (value as readonly number[]).map(plain).join(', ');
    case 'cuts':
      return (value as readonly { readonly stuff: string; readonly mostMm: number }[])
        .map(({ stuff, mostMm }) => `${stuff} ${plain(mostMm)}`)
        .join(', ');
    case 'kerfs':
      return Object.entries(value as Readonly<Record<string, number>>)
        .map(([stuff, kerf]) => `${stuff} ${plain(kerf)}`)
        .join(', ');
    case 'text':
    case 'choice':
    case 'day':
      return typeof value === 'string' ? value : '';
  }
};

/** A figure that is another in two items of one kind. */
export interface ItemDifference {
  readonly label: string;
  readonly unit: string;
  readonly before: string;
  readonly after: string;
}

/** In which figures two items of one kind differ, as they are written. */
export const itemDifferences = (kind: CatalogueKind, before: object, after: object): readonly ItemDifference[] =>
  wordsOf(kind).fields.flatMap((field) => {
    const [was, is] = [written(field, before), written(field, after)];
    return was === is ? [] : [{ label: field.label, unit: field.unit, before: was || 'none', after: is || 'none' }];
  });
