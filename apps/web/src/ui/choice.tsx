import { Check, ChevronsUpDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { useRef, useState } from 'react';
import { useKeptInView } from './use-kept-in-view';

export interface ChoiceOption<Value extends string | number = string> {
  readonly value: Value;
  readonly label: string;
  /** The figure that tells it from the others, with its unit. */
  readonly detail?: string;
  /** Its colour, as CSS. */
  readonly swatch?: string;
  readonly disabled?: boolean;
}

interface ChoiceProps<Value extends string | number> {
  readonly value: Value;
  readonly options: readonly ChoiceOption<Value>[];
  readonly onChoose: (value: Value) => void;
  readonly id?: string;
  /** Its name where no label stands by it. */
  readonly label?: string;
  /** Shown while the value is none of the options’. */
  readonly unchosen?: string;
  /** The id of what is read out with it. */
  readonly describedBy?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

// The list cannot hold an empty value, which some fields have.
const keyOf = (value: string | number): string => `=${value}`;

const Swatch = ({ colour }: { readonly colour: string | undefined }) =>
  colour === undefined ? null : (
    <span aria-hidden className="h-4 w-4 shrink-0 rounded-[2px] border border-soft/60" style={{ background: colour }} />
  );

/** A list to choose one of. What is chosen is never cut off: it goes on in a second line. */
export const Choice = <Value extends string | number>({
  value,
  options,
  onChoose,
  id,
  label,
  unchosen = 'choose',
  describedBy,
  disabled = false,
  className = '',
}: ChoiceProps<Value>) => {
  const [open, setOpen] = useState(false);
  const trigger = useRef<HTMLButtonElement>(null);
  useKeptInView(trigger, open);
  const chosen = options.find((option) => option.value === value);
  return (
    <Select.Root
      value={keyOf(value)}
      disabled={disabled}
      open={open}
      onOpenChange={setOpen}
      onValueChange={(key) => {
        const taken = options.find((option) => keyOf(option.value) === key);
        if (taken !== undefined) onChoose(taken.value);
      }}
    >
      <Select.Trigger
        ref={trigger}
        {...(id === undefined ? {} : { id })}
        aria-label={label}
        aria-describedby={describedBy}
        data-value={value}
        className={`flex min-h-8 items-center gap-2 rounded-[3px] border border-line bg-sheet px-2 py-1 text-left leading-tight text-ink hover:border-soft disabled:text-soft ${className}`}
      >
        <Swatch colour={chosen?.swatch} />
        <span className="min-w-0 flex-1">{chosen?.label ?? unchosen}</span>
        <ChevronsUpDown size={13} aria-hidden className="shrink-0 text-soft" />
      </Select.Trigger>
      {open && (
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={3}
            collisionPadding={8}
            className="z-50 max-h-[min(420px,var(--radix-select-content-available-height))] max-w-[min(420px,calc(100vw-16px))] min-w-[var(--radix-select-trigger-width)] overflow-hidden rounded-[3px] border border-ink bg-sheet text-[14px] text-ink shadow-[0_6px_18px_rgb(0_0_0/0.22)]"
          >
            <Select.Viewport className="p-1">
              {options.map((option) => (
                <Select.Item
                  key={option.value}
                  value={keyOf(option.value)}
                  data-value={option.value}
                  disabled={option.disabled ?? false}
                  className="flex min-h-8 cursor-default items-center gap-2 rounded-[2px] py-1 pr-2 pl-1.5 leading-tight outline-none data-[disabled]:text-soft data-[highlighted]:bg-ink data-[highlighted]:text-sheet"
                >
                  <span aria-hidden className="w-3.5 shrink-0">
                    <Select.ItemIndicator>
                      <Check size={14} />
                    </Select.ItemIndicator>
                  </span>
                  <Swatch colour={option.swatch} />
                  <Select.ItemText>{option.label}</Select.ItemText>
                  {option.detail !== undefined && (
                    <span className="figure ml-auto pl-4 text-right text-[12px] opacity-80">{option.detail}</span>
                  )}
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      )}
    </Select.Root>
  );
};
