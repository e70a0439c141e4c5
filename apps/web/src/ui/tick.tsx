import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface TickProps {
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
  readonly children: ReactNode;
  /** Its name, where the words beside it do not tell enough. */
  readonly label?: string;
  /** To be hit with a thumb, or with a glove on. */
  readonly large?: boolean;
}

/** A box to tick, with its words. */
export const Tick = ({ on, onChange, children, label, large = false }: TickProps) => {
  const id = useId();
  return (
    <span
      className={`flex gap-2 leading-tight ${large ? 'min-h-12 items-center border border-ink bg-sheet px-3 text-lg font-semibold' : 'items-start py-0.5 text-[13px]'}`}
    >
      <Checkbox.Root
        id={id}
        checked={on}
        onCheckedChange={(checked) => onChange(checked === true)}
        aria-label={label}
        className={`${large ? 'h-7 w-7' : 'mt-px h-4 w-4'} flex shrink-0 items-center justify-center rounded-[2px] border border-soft bg-sheet text-sheet hover:border-ink data-[state=checked]:border-ink data-[state=checked]:bg-ink`}
      >
        <Checkbox.Indicator>
          <Check size={large ? 22 : 13} strokeWidth={3} aria-hidden />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id}>{children}</label>
    </span>
  );
};
