import { ToggleGroup } from 'radix-ui';

interface WaysProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChoose: (value: Value) => void;
}

/** One of a few ways, side by side; one of them always holds. */
export const Ways = <Value extends string>({ label, value, options, onChoose }: WaysProps<Value>) => (
  <ToggleGroup.Root
    type="single"
    value={value}
    aria-label={label}
    onValueChange={(chosen) => {
      const taken = options.find((option) => option.value === chosen);
      if (taken !== undefined) onChoose(taken.value);
    }}
    className="flex items-stretch"
  >
    {options.map((option) => (
      <ToggleGroup.Item
        key={option.value}
        value={option.value}
        className="border-b-[3px] border-line px-2.5 py-1 aria-checked:border-ink aria-checked:font-bold"
      >
        {option.label}
      </ToggleGroup.Item>
    ))}
  </ToggleGroup.Root>
);
