import { useFields } from '../../document/selection';
import { middleSplit, set, type LetterArtwork, type LetterAssembly, type LetterResults } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';

type Splits = NonNullable<LetterArtwork['splits']>;

const noSplits: Splits = [];

/** Lines along which letters are cut in two, for a machine or a sheet that is too small. */
export const SplitFields = ({ build }: { readonly build: string }) => {
  const at = useFields<LetterAssembly>();
  const splits = useDesignValue<Splits | undefined>(at.artwork.splits) ?? noSplits;
  const own = useOwnOf<LetterResults>(build);
  const store = (value: Splits): void => void changeDesign([set(at.artwork.splits, value)]);
  const place = own === null ? null : middleSplit(own.lettering.outline, own.assembly.artwork);
  return (
    <section aria-label="Split letters" className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">Split letters</h3>
      {splits.length === 0 && (
        <p className="text-[13px] text-soft">
          A letter larger than the bed or the sheet is cut along a line; its parts find each other by tabs or pins.
        </p>
      )}
      {splits.map((_, index) => (
        <fieldset key={index} className="my-1 border-l-4 border-line pl-2">
          <legend className="sr-only">Split {index + 1}</legend>
          <LengthField label={`Split ${index + 1}, right`} field={at.artwork.splits.at(index).xMm} />
          <LengthField
            label="up"
            field={at.artwork.splits.at(index).yMm}
            hint="from the middle; in the box round a letter"
          />
          <NumberField
            label="angle"
            field={at.artwork.splits.at(index).angleDeg}
            unit="°"
            step={5}
            hint="90 is upright"
          />
          <Button onClick={() => store(splits.filter((__, other) => other !== index))}>
            Take split {index + 1} away
          </Button>
        </fieldset>
      ))}
      {splits.length > 0 && (
        <ChoiceField
          label="Parts joined"
          field={at.artwork.registration}
          otherwise="tabs"
          choices={[
            { value: 'tabs', label: 'by dovetail tabs' },
            { value: 'pins', label: 'by pins, marked' },
          ]}
        />
      )}
      {place !== null && (
        <Button className="mt-1" onClick={() => store([...splits, place])}>
          Add a split
        </Button>
      )}
    </section>
  );
};
