import Papa from 'papaparse';
import { slugOf } from '../../base/words/index.js';
import { wordsOf, type ItemField } from './item-fields.js';
import { readItem } from './read-item.js';
import type { Catalogue, CatalogueKind, ShelfItem } from './types.js';
import { itemDifferences, written, type ItemDifference } from './written.js';

/** The most that is read at once (characters, lines); more is no list of a sign shop’s materials. */
export const mostCsvCharacters = 500_000;
export const mostCsvLines = 2000;

const headerOf = ({ label, unit }: ItemField): string => (unit === '' ? label : `${label} (${unit})`);

/** What a table program would take for a formula is written as text. */
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) && !/^-?[\d.]+$/.test(text) ? `'${text}` : text);
const asWritten = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

/** A list of the shelf as CSV, one line an item, a column a figure, with its unit. */
export const shelfCsv = (kind: CatalogueKind, items: readonly ShelfItem[]): string => {
  const { fields } = wordsOf(kind);
  return `${Papa.unparse(
    [
      ['Id', ...fields.map(headerOf)],
      ...items.map((item) => [item.id, ...fields.map((field) => harmless(written(field, item)))]),
    ],
    { newline: '\n' },
  )}\n`;
};

/** A line that was not understood, or not wholly: which, counted from 1 with the headings, and why. */
export interface CsvComplaint {
  readonly line: number;
  readonly message: string;
}

/** What a file would do to a list of the shelf. */
export interface ShelfImport<Kind extends CatalogueKind = CatalogueKind> {
  readonly added: readonly Catalogue[Kind][number][];
  readonly changed: readonly {
    readonly item: Catalogue[Kind][number];
    readonly differences: readonly ItemDifference[];
  }[];
  /** Items that are as they were. */
  readonly same: number;
  /** Columns that no figure is called after: they are passed over. */
  readonly unknownColumns: readonly string[];
  readonly complaints: readonly CsvComplaint[];
}

const plainHeader = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\([^)]*\)|\[[^\]]*\]/g, '')
    .replace(/[^a-z0-9.²]+/g, ' ')
    .trim();

/** Which field each column is of: by its label, with or without the unit, or by its path; “id” for that; null: none. */
const columnsOf = (fields: readonly ItemField[], headers: readonly string[]): readonly (ItemField | 'id' | null)[] =>
  headers.map((header) => {
    const plain = plainHeader(header);
    return plain === 'id'
      ? 'id'
      : (fields.find(({ label, path }) => plain === plainHeader(label) || plain === path.toLowerCase()) ?? null);
  });

const nothing = { added: [], changed: [], same: 0, unknownColumns: [] } as const;

/** An id that is free, from a name. */
export const freeItemId = (name: string, taken: ReadonlySet<string>): string => {
  const slug = slugOf(name).slice(0, 60) || 'item';
  for (let number = 1; ; number += 1) {
    const id = number === 1 ? slug : `${slug}-${number}`;
    if (!taken.has(id)) return id;
  }
};

/**
 * Reads a list of the shelf from CSV: lines whose id, or else whose name, is that of an item change it by the columns that
 * are there; the others are new. Nothing that is not understood is taken, and all of it is told by its line.
 */
export const readShelfCsv = <Kind extends CatalogueKind>(
  kind: Kind,
  text: string,
  items: Catalogue[Kind],
  takenIds: ReadonlySet<string>,
): ShelfImport<Kind> => {
  if (text.length > mostCsvCharacters)
    return {
      ...nothing,
      complaints: [
        { line: 1, message: `the file has more than ${mostCsvCharacters.toLocaleString('en')} characters; part it` },
      ],
    };
  const { fields } = wordsOf(kind);
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    skipEmptyLines: 'greedy',
    preview: mostCsvLines + 2,
  });
  const [headers = [], ...lines] = parsed.data;
  const columns = columnsOf(fields, headers);
  const complaints: CsvComplaint[] = [];
  if (
    !columns.includes('id') &&
    !columns.some((column) => column !== null && column !== 'id' && column.path === 'name')
  )
    return {
      ...nothing,
      complaints: [
        {
          line: 1,
          message: `the first line has neither “Id” nor “Name”; its columns are to be called ${['Id', ...fields.slice(0, 4).map(headerOf)].join(', ')} and so on, as in a list that is exported`,
        },
      ],
    };
  if (lines.length > mostCsvLines)
    complaints.push({ line: mostCsvLines + 2, message: `only the first ${mostCsvLines} lines are read` });
  const list = items as readonly ShelfItem[];
  const taken = new Set([...takenIds, ...list.map(({ id }) => id)]);
  const seen = new Set<string>();
  const added: ShelfItem[] = [];
  const changed: { item: ShelfItem; differences: readonly ItemDifference[] }[] = [];
  let same = 0;
  lines.slice(0, mostCsvLines).forEach((cells, at) => {
    const line = at + 2;
    const given = Object.fromEntries(
      columns.flatMap((column, place) =>
        column === null || column === 'id' ? [] : [[column.path, asWritten(cells[place] ?? '')]],
      ),
    );
    const idColumn = columns.indexOf('id');
    const id = idColumn < 0 ? '' : (cells[idColumn] ?? '').trim();
    const name = (given['name'] ?? '').trim();
    const known =
      list.find((item) => item.id === id) ??
      // What has taken the place of an item is meant where a file of before names that.
      (id === '' ? undefined : list.find(({ lineId }) => lineId === id)) ??
      (id === '' ? list.find((item) => item.name.toLowerCase() === name.toLowerCase()) : undefined);
    if (cells.length > headers.length && cells.slice(headers.length).some((cell) => cell.trim() !== '')) {
      complaints.push({ line, message: `has ${cells.length} values for ${headers.length} columns` });
      return;
    }
    const read = readItem(
      kind,
      known === undefined ? { ...Object.fromEntries(fields.map(({ path }) => [path, ''])), ...given } : given,
      known ?? { id: id || freeItemId(name, taken), provenance: 'typical' },
    );
    if (!read.ok) {
      complaints.push(
        ...read.problems.map(({ message }) => ({ line, message: `${name || id || 'a line'}: ${message}` })),
      );
      return;
    }
    const item = read.value as ShelfItem;
    if (known === undefined && taken.has(item.id) && id !== '') {
      complaints.push({
        line,
        message: `the id “${item.id}” is that of another thing on the shelf; leave it out or take another`,
      });
      return;
    }
    const again = `${known === undefined ? item.name.toLowerCase() : item.id}`;
    if (seen.has(again)) {
      complaints.push({ line, message: `${item.name} stands in the file twice; the first counts` });
      return;
    }
    seen.add(again);
    taken.add(item.id);
    if (known === undefined) added.push(item);
    else {
      const differences = itemDifferences(kind, known, item);
      if (differences.length === 0) same += 1;
      else changed.push({ item, differences });
    }
  });
  return {
    added,
    changed,
    same,
    unknownColumns: headers.filter((_, place) => columns[place] === null),
    complaints,
  } as unknown as ShelfImport<Kind>;
};
