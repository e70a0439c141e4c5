import type { ItemField } from '@vitrum/core';
import { useId } from 'react';
import { Choice } from '../ui/choice';
import { Tick } from '../ui/tick';

interface ItemFieldInputProps {
  readonly field: ItemField;
  readonly currency: string;
  readonly value: string;
  readonly problem: string | undefined;
  readonly onChange: (value: string) => void;
}

const none = '';

/** A figure of an item: what it is called, its unit, what it means, what is usual, and what is wrong with it. */
export const ItemFieldInput = ({ field, currency, value, problem, onChange }: ItemFieldInputProps) => {
  const id = useId();
  const unit = field.unit === 'money' ? currency : field.unit;
  const listed = value
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '');
  const many = field.form === 'choices';
  return (
    <div className="py-1.5" {...(many ? { role: 'group', 'aria-labelledby': id } : {})}>
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        {many ? <span id={id}>{field.label}</span> : <label htmlFor={id}>{field.label}</label>}
        {field.form === 'choice' || field.form === 'flag' ? (
          <Choice
            id={id}
            className="w-44"
            value={value}
            unchosen={field.optional ? 'none' : 'choose'}
            options={[
              ...(field.optional && field.form === 'choice' ? [{ value: none, label: 'none' }] : []),
              ...(field.form === 'flag' ? ['yes', 'no'] : field.choices).map((each) => ({ value: each, label: each })),
            ]}
            onChoose={onChange}
          />
        ) : many ? (
          <span className="flex flex-wrap gap-x-3">
            {field.choices.map((each) => (
              <Tick
                key={each}
                on={listed.includes(each)}
                onChange={(on) =>
                  onChange(field.choices.filter((one) => (one === each ? on : listed.includes(one))).join(', '))
                }
              >
                {each}
              </Tick>
            ))}
          </span>
        ) : (
          <span className="flex items-center gap-1.5">
            <input
              id={id}
              type={field.form === 'day' ? 'date' : 'text'}
              inputMode={field.form === 'number' || field.form === 'share' ? 'decimal' : undefined}
              list={field.typical.length > 0 ? `${id}-usual` : undefined}
              aria-invalid={problem !== undefined}
              aria-describedby={`${id}-what`}
              className={`${field.form === 'text' || field.form === 'cuts' ? 'w-64' : 'figure w-36 text-right'} rounded-[3px] border border-line bg-sheet px-2 py-1 text-ink hover:border-soft aria-invalid:border-signal`}
              value={value}
              onChange={(event) => onChange(event.target.value)}
            />
            <span className="w-16 text-[13px] text-soft">{unit}</span>
            {field.typical.length > 0 && (
              <datalist id={`${id}-usual`}>
                {field.typical.map((each) => (
                  <option key={each} value={field.form === 'share' ? Number(each) * 100 : each} />
                ))}
              </datalist>
            )}
          </span>
        )}
      </div>
      {problem === undefined ? (
        <p id={`${id}-what`} className="text-xs text-soft">
          {field.what}
          {field.typical.length > 0 &&
            ` Usual: ${field.typical.map((each) => (field.form === 'share' ? `${Math.round(Number(each) * 100)} %` : each)).join('; ')}.`}
        </p>
      ) : (
        <p id={`${id}-what`} role="alert" className="text-xs font-semibold text-signal">
          {problem}
        </p>
      )}
    </div>
  );
};
