import { useId, useState } from 'react';

interface NumberInputProps {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly onChange: (value: number) => void;
}

/** A number with its unit, as it is typed; what is no number yet counts for nothing. */
export const NumberInput = ({ label, value, unit, onChange }: NumberInputProps) => {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? `${Number(value.toFixed(3))}`;
  const number = Number(shown.replace(',', '.'));
  const bad = shown.trim() === '' || !Number.isFinite(number) || number < 0;
  return (
    <div className="flex items-center justify-between gap-3">
      <label htmlFor={id}>{label}</label>
      <span className="flex items-center gap-1.5">
        <input
          id={id}
          inputMode="decimal"
          aria-invalid={bad}
          className="figure w-32 rounded-[3px] border border-line bg-sheet px-2 py-1 text-right hover:border-soft aria-invalid:border-signal"
          value={shown}
          onChange={(event) => {
            setTyped(event.target.value);
            const next = Number(event.target.value.replace(',', '.'));
            if (event.target.value.trim() !== '' && Number.isFinite(next) && next >= 0) onChange(next);
          }}
          onBlur={() => !bad && setTyped(null)}
        />
        <span className="w-10 text-[13px] text-soft">{unit}</span>
      </span>
    </div>
  );
};
