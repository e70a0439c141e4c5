import { allBuilds } from '@vitrum/core';
import { RadioGroup } from 'radix-ui';
import { WallPicture } from '../ui/wall-picture';

interface BuildChoiceProps {
  readonly chosen: string;
  readonly onChoose: (build: string) => void;
}

/** What it is to be: each build as the program lights it. */
export const BuildChoice = ({ chosen, onChoose }: BuildChoiceProps) => (
  <fieldset className="mb-5">
    <legend className="mb-1.5 font-bold">What is it?</legend>
    <RadioGroup.Root
      value={chosen}
      onValueChange={onChoose}
      aria-label="What is it?"
      className="grid grid-cols-2 gap-2 sm:grid-cols-4"
    >
      {allBuilds.map(({ name: build, words: { name, detail } }) => (
        <RadioGroup.Item
          key={build}
          value={build}
          aria-label={name}
          className="flex flex-col border border-line text-left hover:border-soft data-[state=checked]:border-ink data-[state=checked]:bg-sheet data-[state=checked]:shadow-[inset_0_-3px_0_var(--ink)]"
        >
          <WallPicture
            src={`/builds/${build}.png`}
            alt=""
            className="aspect-[5/3] min-h-0 w-full shrink-0 bg-[#3a3834]"
          />
          <span className="px-2.5 py-2">
            <span className="block font-semibold">{name}</span>
            <span className="block text-xs text-soft">{detail}</span>
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  </fieldset>
);
