import { set, type FieldRef } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../document/document-store';
import { Choice, type ChoiceOption } from '../ui/choice';
import { FieldRow } from './field-row';
import { useDesignValue } from './design-fields';

interface ColourFieldProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly ChoiceOption[];
  readonly onChoose: (choice: string) => void;
  /** Where a mixed colour is stored; null while a white is chosen. */
  readonly colourField: FieldRef<string> | null;
}

/** A colour stored at a place of the design. */
export const ColourInput = ({
  label,
  field,
}: {
  readonly label: string;
  readonly field: FieldRef<string | undefined>;
}) => {
  const id = useId();
  const colour = useDesignValue(field) ?? '#000000';
  return (
    <FieldRow id={id} label={label}>
      <input
        id={id}
        type="color"
        className="h-8 w-36 rounded-[3px] border border-line bg-sheet"
        value={colour}
        onChange={(event) => void changeDesign([set(field, event.target.value)])}
      />
    </FieldRow>
  );
};

/** A white of the usual temperatures, or a colour mixed from red, green and blue. */
export const ColourField = ({ label, value, choices, onChoose, colourField }: ColourFieldProps) => {
  const id = useId();
  const known = choices.some((choice) => choice.value === value);
  return (
    <>
      <FieldRow id={id} label={label}>
        <Choice
          id={id}
          className="w-40"
          value={value}
          options={known ? choices : [{ value, label: `White ${value} K` }, ...choices]}
          onChoose={onChoose}
        />
      </FieldRow>
      {colourField !== null && <ColourInput label="Colour" field={colourField} />}
    </>
  );
};
