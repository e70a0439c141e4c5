import type { CatalogueKind, ShelfImport, ShelfItem, WrittenItem } from '@vitrum/core';
import { IsBoolean, IsString, MaxLength, ValidateBy, ValidateIf } from 'class-validator';
import { IsPlainText } from './validators.js';

const mostFields = 60;
const mostLetters = 400;

const isWritten = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.keys(value).length <= mostFields &&
  Object.values(value).every(
    (text) =>
      typeof text === 'string' &&
      text.length <= mostLetters &&
      // Neither half of a pair of surrogates alone nor a character that no page shows and no database keeps.
      !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]|[\ud800-\udfff]/u.test(text),
  );

const IsWrittenItem = (): PropertyDecorator =>
  ValidateBy({
    name: 'isWrittenItem',
    validator: {
      validate: isWritten,
      defaultMessage: () => `say each figure as text, by its name, with at most ${mostLetters} characters`,
    },
  });

/** Figures of an item as they were typed; which an item has, and what they may be, is the core’s to say. */
export class WrittenItemDto {
  @IsWrittenItem()
  figures: WrittenItem;
}

/** A new item, perhaps made from another. */
export class NewItemDto extends WrittenItemDto {
  @ValidateIf((_form: object, value: unknown) => value !== undefined)
  @IsString()
  @IsPlainText()
  @MaxLength(120, { message: 'an id has at most 120 characters' })
  copyOf?: string;
}

/** A list of the shelf as CSV: looked at only, or taken. */
export class ImportShelfDto {
  @IsString({ message: 'send the text of the file' })
  @MaxLength(500_000, { message: 'the file has more than 500,000 characters; part it' })
  text: string;

  @IsBoolean({ message: 'say whether it is to be taken' })
  apply: boolean;
}

/** An item with what the page needs to change it. */
export interface ShelfItemView {
  readonly kind: CatalogueKind;
  readonly item: ShelfItem;
  readonly version: number;
  /** How many jobs have a revision that names it. */
  readonly jobs: number;
}

/** What became of a change: the item as it is now; where designs had it, that is another than before. */
export interface ItemChanged {
  readonly item: ShelfItem;
  /** The item that designs keep as it was; null where none had it. */
  readonly kept: ShelfItem | null;
}

/** What a file of a list does, or has done. */
export interface ImportReport extends Omit<ShelfImport, 'added' | 'changed'> {
  readonly added: readonly { readonly id: string; readonly name: string }[];
  readonly changed: readonly {
    readonly id: string;
    readonly name: string;
    readonly differences: ShelfImport['changed'][number]['differences'];
  }[];
  readonly applied: boolean;
}
