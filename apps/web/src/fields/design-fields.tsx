import { fieldValue, formatLength, parseLength, pathOf, type FieldRef } from '@vitrum/core';
import { useId, type ReactNode } from 'react';
import { changeDesign, useDocument } from '../document/document-store';
import { useView } from '../view/view-store';
import { helpId } from '../help/with-help';
import { Choice, type ChoiceOption } from '../ui/choice';
import { FieldRow, fieldLook } from './field-row';
import { TypedField } from './typed-field';

/** The stored value of a field of the open design. */
export const useDesignValue = <Value,>(field: FieldRef<Value>): Value | undefined =>
  useDocument(({ design }) => fieldValue(design, field));

/** Sets one field of the open design; returns the problem with it, or null. */
const setField = (field: FieldRef, value: unknown): string | null => {
  const [problem] = changeDesign([{ path: pathOf(field), value }]);
  return problem?.message ?? null;
};

interface FieldProps<Value> {
  readonly label: string;
  readonly field: FieldRef<Value>;
  readonly hint?: ReactNode;
}

const nudgeMm = { mm: 1, in: 25.4 / 32 } as const;

/** A length, typed in any unit with fractions and arithmetic, shown in the user's unit. */
export const LengthField = ({
  label,
  field,
  hint,
  otherwise = 0,
}: FieldProps<number | null | undefined> & {
  /** Shown while the design leaves the field out (mm). */
  readonly otherwise?: number;
}) => {
  const mm = useDesignValue(field) ?? otherwise;
  const unit = useView((view) => view.unit);
  const save = (text: string): string | null => {
    const parsed = parseLength(text, unit);
    return parsed.ok ? setField(field, parsed.value) : (parsed.problems[0]?.message ?? 'not a length');
  };
  return (
    <TypedField
      label={label}
      stored={formatLength(mm, unit)}
      save={save}
      nudge={(steps) => void setField(field, mm + steps * nudgeMm[unit])}
      hint={hint}
    />
  );
};

interface NumberFieldProps extends FieldProps<number | null | undefined> {
  readonly unit?: string;
  readonly step?: number;
  /** Empty means: none was named. */
  readonly optional?: boolean;
  /** Shown = stored × scale; 100 for shares shown as per cent. */
  readonly scale?: number;
  /** Shown while the design leaves the field out. */
  readonly otherwise?: number;
}

/** A plain number with its unit. */
export const NumberField = ({
  label,
  field,
  hint,
  unit = '',
  step = 1,
  optional = false,
  scale = 1,
  otherwise,
}: NumberFieldProps) => {
  const value = useDesignValue(field) ?? otherwise ?? null;
  const shown = value === null ? '' : `${Math.round(value * scale * 1000) / 1000}${unit === '' ? '' : ` ${unit}`}`;
  const save = (text: string): string | null => {
    const bare = text.replace(unit, '').replace(',', '.').trim();
    if (bare === '') return optional ? setField(field, null) : 'type a number';
    const number = Number(bare);
    return Number.isFinite(number) ? setField(field, number / scale) : `“${text}” is not a number`;
  };
  return (
    <TypedField
      label={label}
      stored={shown}
      save={save}
      nudge={(steps) => void setField(field, Math.round(((value ?? 0) * scale + steps * step) * 1000) / 1000 / scale)}
      hint={hint}
      inputMode="decimal"
    />
  );
};

interface ChoiceFieldProps extends FieldProps<string | number | boolean | null | undefined> {
  readonly choices: readonly ChoiceOption[];
  /** The stored value for a choice; by default the choice itself. */
  readonly toStored?: (choice: string) => unknown;
  /** Shown while the design leaves the field out. */
  readonly otherwise?: string;
  /** Long names get the whole width, under their label. */
  readonly wide?: boolean;
}

/** One of a few, or of a catalogue. */
export const ChoiceField = ({
  label,
  field,
  hint,
  choices,
  toStored = (choice) => choice,
  otherwise = '',
  wide = false,
}: ChoiceFieldProps) => {
  const id = useId();
  const stored = useDesignValue<string | number | boolean | null | undefined>(field);
  const value = String(stored ?? otherwise);
  const known = choices.some((choice) => choice.value === value);
  return (
    <FieldRow id={id} label={label} hint={hint} below={wide}>
      <Choice
        id={id}
        describedBy={helpId(id)}
        className={wide ? 'w-full' : 'w-40'}
        value={value}
        options={known ? choices : [{ value, label: `${value} (not in the catalogue)` }, ...choices]}
        onChoose={(choice) => void setField(field, toStored(choice))}
      />
    </FieldRow>
  );
};

/** Words that may run over lines; every keystroke counts, so that the sign lights as one types. */
export const WordsField = ({ label, field, hint }: FieldProps<string | undefined>) => {
  const id = useId();
  const value = useDesignValue(field) as string;
  return (
    <FieldRow id={id} label={label} hint={hint} below>
      <textarea
        id={id}
        rows={2}
        dir="auto"
        maxLength={200}
        aria-describedby={helpId(id)}
        className={`${fieldLook} w-full resize-y`}
        value={value}
        onChange={(event) => void setField(field, event.target.value)}
      />
    </FieldRow>
  );
};
