import { fieldLook } from '../fields/field-row';
import { Choice } from '../ui/choice';
import { Tick } from '../ui/tick';
import type { ShelfFilter } from './section-table';
import type { Section } from './sections';

/** From whom the shop buys what is on the shelf, in the order of the alphabet. */
export const suppliersOf = (sections: readonly Section[]): readonly string[] =>
  [...new Set(sections.flatMap(({ items }) => items.flatMap(({ supplier }) => supplier ?? [])))].sort((a, b) =>
    a.localeCompare(b),
  );

const origins = [
  { value: '', label: 'any' },
  { value: 'typical', label: 'typical' },
  { value: 'changed', label: 'changed' },
  { value: 'measured', label: 'measured' },
] as const;

interface FindOnShelfProps {
  readonly filter: ShelfFilter;
  readonly suppliers: readonly string[];
  readonly onFilter: (filter: ShelfFilter) => void;
}

/** What of the shelf is to be shown: by words, by where its figures come from, by supplier. */
export const FindOnShelf = ({ filter, suppliers, onFilter }: FindOnShelfProps) => (
  <div role="search" className="mb-3 flex flex-wrap items-end gap-4">
    <label className="flex flex-col text-[13px]">
      Find on the shelf
      <input
        type="search"
        className={`${fieldLook} min-h-8 w-64`}
        value={filter.words}
        onChange={(event) => onFilter({ ...filter, words: event.target.value })}
      />
    </label>
    <label className="flex flex-col text-[13px]">
      Its figures are
      <Choice
        className="w-32"
        value={filter.origin}
        options={origins}
        onChoose={(origin) => onFilter({ ...filter, origin })}
      />
    </label>
    {suppliers.length > 0 && (
      <label className="flex flex-col text-[13px]">
        From
        <Choice
          className="w-44"
          value={filter.supplier}
          options={[
            { value: '', label: 'anybody' },
            ...suppliers.map((supplier) => ({ value: supplier, label: supplier })),
          ]}
          onChoose={(supplier) => onFilter({ ...filter, supplier })}
        />
      </label>
    )}
    <Tick on={filter.old} onChange={(old) => onFilter({ ...filter, old })}>
      also what is no longer offered
    </Tick>
  </div>
);
