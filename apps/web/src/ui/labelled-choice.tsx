import { useId } from 'react';
import { fieldLook } from '../fields/field-row';

interface LabelledChoiceProps<Value extends string | number> {
  readonly label: string;
  readonly value: Value;
  readonly onChoose: (value: Value) => void;
  readonly options: readonly { readonly value: Value; readonly label: string; readonly disabled?: boolean }[];
  /** Shown while nothing is chosen; its value is none of the options’. */
  readonly unchosen?: { readonly value: Value; readonly label: string };
  readonly disabled?: boolean;
}

/** A label over a list to choose from, as wide as there is room. */
export const LabelledChoice = <Value extends string | number>({
  label,
  value,
  onChoose,
  options,
  unchosen,
  disabled = false,
}: LabelledChoiceProps<Value>) => {
  const id = useId();
  const all = unchosen === undefined ? options : [unchosen, ...options];
  return (
    <label htmlFor={id} className="block text-[13px]">
      {label}
      <select
        id={id}
        className={`${fieldLook} block w-full`}
        value={value}
        disabled={disabled}
        onChange={({ target }) => {
          const chosen = all.find((option) => String(option.value) === target.value);
          if (chosen !== undefined) onChoose(chosen.value);
        }}
      >
        {all.map((option) => (
          <option key={option.value} value={option.value} disabled={'disabled' in option && option.disabled === true}>
            {option.label}
          </option>
        ))}
      </select>
    </label>
  );
};
