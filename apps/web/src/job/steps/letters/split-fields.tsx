import { middleSplit, type LetterArtwork } from '@vitrum/core';
import { changeDesign } from '../../../document/document-store';
import { useLetterEvaluation } from '../../../evaluation/evaluation-store';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../../fields/design-fields';
import { Button } from '../../../ui/button';

const at = 'assemblies.0.artwork';
type Splits = NonNullable<LetterArtwork['splits']>;

const noSplits: Splits = [];

/** Lines along which letters are cut in two, for a machine or a sheet that is too small. */
export const SplitFields = () => {
  const splits = (useDesignValue(`${at}.splits`) as Splits | undefined) ?? noSplits;
  const evaluation = useLetterEvaluation();
  const store = (value: Splits): void => void changeDesign([{ path: `${at}.splits`, value }]);
  const place = evaluation === null ? null : middleSplit(evaluation.lettering.outline, evaluation.assembly.artwork);
  return (
    <section aria-label="Split letters" className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">Split letters</h3>
      {splits.length === 0 && (
        <p className="text-[13px] text-soft">
          A letter larger than the bed or the sheet is cut along a line; its pieces find each other by tabs or pins.
        </p>
      )}
      {splits.map((_, index) => (
        <fieldset key={index} className="my-1 border-l-4 border-line pl-2">
          <legend className="sr-only">Split {index + 1}</legend>
          <LengthField label={`Split ${index + 1}, right`} path={`${at}.splits.${index}.xMm`} />
          <LengthField
            label="up"
            path={`${at}.splits.${index}.yMm`}
            hint="from the middle; in the box round a letter"
          />
          <NumberField label="angle" path={`${at}.splits.${index}.angleDeg`} unit="°" step={5} hint="90 is upright" />
          <Button onClick={() => store(splits.filter((__, other) => other !== index))}>
            Take split {index + 1} away
          </Button>
        </fieldset>
      ))}
      {splits.length > 0 && (
        <ChoiceField
          label="Pieces joined"
          path={`${at}.registration`}
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
