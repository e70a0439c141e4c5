import { isCurrent, type ShelfItem } from '@vitrum/core';
import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Button } from '../ui/button';
import { fitsWords } from '../ui/fits-words';
import type { Section } from './sections';

export interface ItemActions {
  readonly onChange: (item: ShelfItem) => void;
  readonly onCopy: (item: ShelfItem) => void;
  readonly onOffer: (item: ShelfItem, offered: boolean) => void;
  readonly onMeasure: (item: ShelfItem) => void;
}

interface Line {
  readonly item: ShelfItem;
  readonly cells: readonly string[];
}

/** Where the figures of an item come from. */
export type Origin = 'typical' | 'changed' | 'measured';

/** What is shown of the shelf; empty is anything. */
export interface ShelfFilter {
  readonly words: string;
  /** Also what is no longer offered. */
  readonly old: boolean;
  readonly origin: Origin | '';
  readonly supplier: string;
}

/** Everything that is offered. */
export const whole: ShelfFilter = { words: '', old: false, origin: '', supplier: '' };

const originOf = ({ measured, editedOn }: ShelfItem): Origin =>
  measured !== undefined ? 'measured' : editedOn === undefined ? 'typical' : 'changed';

/** Whether figures are typical, the shop’s own, or those of an item that is no longer offered. */
const standingOf = ({ measured, retiredOn, newerId, editedOn }: ShelfItem): string => {
  if (newerId !== undefined) return 'as designs have it';
  if (retiredOn !== undefined) return `retired ${retiredOn}`;
  if (measured !== undefined) return `• measured ${measured.on}, ± ${(measured.errorShare * 100).toFixed(1)} %`;
  return editedOn === undefined ? '~ typical' : `changed ${editedOn}`;
};

/** Whether an item is among what is looked for: its words are sought in all that is shown of it, its supplier and its id. */
const isSought = (item: ShelfItem, cells: readonly string[], { words, old, origin, supplier }: ShelfFilter): boolean =>
  (old || isCurrent(item)) &&
  (origin === '' || originOf(item) === origin) &&
  (supplier === '' || item.supplier === supplier) &&
  fitsWords(`${cells.join(' ')} ${item.supplier ?? ''} ${item.id}`, words);

const packWords = ({ packOf, pricedOn, supplier, leadDays }: ShelfItem): string =>
  [
    ...(packOf === undefined ? [] : [`packs of ${packOf}`]),
    ...(supplier === undefined ? [] : [supplier]),
    ...(leadDays === undefined ? [] : [`${leadDays} ${leadDays === 1 ? 'day' : 'days'}`]),
    ...(pricedOn === undefined ? [] : [`price of ${pricedOn}`]),
  ].join(' · ');

const RowActions = ({
  item,
  measurable,
  actions,
}: {
  readonly item: ShelfItem;
  readonly measurable: boolean;
  readonly actions: ItemActions;
}) => (
  <span className="flex justify-end gap-1">
    {measurable && (
      <Button look="quiet" onClick={() => actions.onMeasure(item)} aria-label={`Measure ${item.name}`}>
        Measure
      </Button>
    )}
    {item.newerId === undefined && (
      <>
        <Button look="quiet" onClick={() => actions.onChange(item)} aria-label={`Change ${item.name}`}>
          Change
        </Button>
        <Button look="quiet" onClick={() => actions.onCopy(item)} aria-label={`Copy ${item.name}`}>
          Copy
        </Button>
        <Button
          look="quiet"
          onClick={() => actions.onOffer(item, item.retiredOn !== undefined)}
          aria-label={`${item.retiredOn === undefined ? 'Retire' : 'Offer'} ${item.name}`}
        >
          {item.retiredOn === undefined ? 'Retire' : 'Offer'}
        </Button>
      </>
    )}
  </span>
);

interface SectionTableProps {
  readonly section: Section;
  readonly filter: ShelfFilter;
  readonly actions: ItemActions;
}

/** A list of the shelf, by any of its columns in order. */
export const SectionTable = ({ section, filter, actions }: SectionTableProps) => {
  const [sorting, setSorting] = useState<SortingState>([]);
  const lines = useMemo<Line[]>(
    () =>
      section.items
        .map((item, at): Line => ({ item, cells: section.rows[at] ?? [] }))
        .filter(({ item, cells }) => isSought(item, cells, filter)),
    [section, filter],
  );
  const columns = useMemo<ColumnDef<Line>[]>(
    () =>
      section.columns.map((header, at) => ({
        id: header,
        header,
        accessorFn: ({ cells }) => cells[at] ?? '',
        sortingFn: 'alphanumeric',
      })),
    [section],
  );
  // eslint-disable-next-line react-hooks/incompatible-library -- what the table gives is used while it renders, and handed on to nobody
  const table = useReactTable({
    data: lines,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const { rows } = table.getRowModel();
  return (
    <table className="w-full border-collapse text-[13px]">
      <thead>
        <tr className="border-b border-ink text-left text-xs text-soft">
          {table.getFlatHeaders().map((header, at) => {
            const sorted = header.column.getIsSorted();
            return (
              <th
                key={header.id}
                aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                className={`py-1 pr-3 font-semibold ${at === 0 ? 'w-60' : 'text-right'}`}
              >
                <button
                  type="button"
                  className="inline-flex items-center gap-1 whitespace-nowrap hover:text-ink hover:underline"
                  onClick={header.column.getToggleSortingHandler()}
                >
                  {flexRender(header.column.columnDef.header, header.getContext())}
                  {sorted === 'asc' && <ArrowUp size={12} aria-hidden />}
                  {sorted === 'desc' && <ArrowDown size={12} aria-hidden />}
                </button>
              </th>
            );
          })}
          <th className="pl-3 font-semibold">figures</th>
          <th>
            <span className="sr-only">to do</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, original: { item, cells } }) => (
          <tr key={id} className={`border-b border-line ${isCurrent(item) ? '' : 'text-soft'}`}>
            {cells.map((value, at) => (
              <td
                key={section.columns[at]}
                className={`py-1 pr-3 ${at === 0 ? 'font-semibold' : 'figure text-right whitespace-nowrap'}`}
              >
                {value}
                {at === 0 && packWords(item) !== '' && (
                  <span className="block text-xs font-normal text-soft">{packWords(item)}</span>
                )}
              </td>
            ))}
            <td className="py-1 pl-3 text-xs whitespace-nowrap text-soft">{standingOf(item)}</td>
            <td className="py-0.5">
              <RowActions item={item} measurable={(section.measurable?.(item) ?? null) !== null} actions={actions} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
};

/** How many items of a list fit what is looked for. */
export const fitting = ({ items, rows }: Section, filter: ShelfFilter): number =>
  items.filter((item, at) => isSought(item, rows[at] ?? [], filter)).length;
