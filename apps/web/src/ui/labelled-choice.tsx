import { useId } from 'react';
import { Choice, type ChoiceOption } from './choice';

interface LabelledChoiceProps<Value extends string | number> {
  readonly label: string;
  readonly value: Value;
  readonly onChoose: (value: Value) => void;
  readonly options: readonly ChoiceOption<Value>[];
  /** Shown while nothing is chosen. */
  readonly unchosen?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** A label over a list to choose from, as wide as there is room. */
export const LabelledChoice = <Value extends string | number>({
  label,
  className = '',
  ...choice
}: LabelledChoiceProps<Value>) => {
  const id = useId();
  return (
    <div className={`text-[13px] ${className}`}>
      <label htmlFor={id}>{label}</label>
      <Choice id={id} className="w-full" {...choice} />
    </div>
  );
};
