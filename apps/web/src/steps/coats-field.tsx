import { set, type FieldRef } from '@vitrum/core';
import { useId } from 'react';
import { useDesignValue } from '../fields/design-fields';
import { FieldRow, fieldLook } from '../fields/field-row';
import { changeDesign } from '../document/document-store';
import { choicesOf, useCatalogue } from '../job/catalogue-context';
import { aboutSheet } from '../fields/material-facts';
import { Choice } from '../ui/choice';

interface Coat {
  readonly coatingId: string;
  readonly coats: number;
}

const mostCoats = 8;
const mostLayers = 5;

interface RowProps {
  readonly coat: Coat;
  readonly put: (coat: Coat | null) => void;
}

const CoatRow = ({ coat, put }: RowProps) => {
  const { coatings } = useCatalogue();
  const id = useId();
  const known = coatings.find((coating) => coating.id === coat.coatingId);
  const counted = known?.kind === 'paint';
  return (
    <FieldRow id={id} label={`Inside${counted ? ', coats' : ''}`}>
      <span className="flex gap-1">
        {counted && (
          <input
            type="number"
            aria-label="Coats"
            min={1}
            max={mostCoats}
            className={`${fieldLook} figure w-14 text-right`}
            value={coat.coats}
            onChange={({ target }) => {
              const coats = Math.round(Number(target.value));
              if (coats >= 1 && coats <= mostCoats) put({ ...coat, coats });
            }}
          />
        )}
        <Choice
          id={id}
          className={counted ? 'w-32' : 'w-40'}
          value={coat.coatingId}
          options={[{ value: '', label: 'nothing' }, ...choicesOf(coatings, aboutSheet)]}
          onChoose={(chosen) => put(chosen === '' ? null : { coatingId: chosen, coats: 1 })}
        />
      </span>
    </FieldRow>
  );
};

/** What is on the inner side of a sheet, from the LEDs outward; an empty row at the end takes one more. */
export const CoatsField = ({ field }: { readonly field: FieldRef<readonly Coat[] | undefined> }) => {
  const coats = useDesignValue(field) ?? [];
  const rows: readonly Coat[] = coats.length < mostLayers ? [...coats, { coatingId: '', coats: 1 }] : coats;
  const put = (index: number) => (coat: Coat | null) => {
    const next = [...coats.slice(0, index), ...(coat === null ? [] : [coat]), ...coats.slice(index + 1)];
    changeDesign([set(field, next)]);
  };
  return rows.map((coat, index) => <CoatRow key={index} coat={coat} put={put(index)} />);
};
