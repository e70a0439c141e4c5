import { set, type CarrierDesign, type GrooveAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';

type Seams = NonNullable<CarrierDesign['splits']>;

const none: Seams = [];

/** Lines along which the carrier is cut, for a machine or a sheet that is too small. */
export const SeamFields = () => {
  const at = useFields<GrooveAssembly>().carrier;
  const seams = useDesignValue(at.splits) ?? none;
  const store = (value: Seams): void => void changeDesign([set(at.splits, value)]);
  return (
    <section aria-label="Seams" className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">Seams</h3>
      {seams.length === 0 && (
        <p className="text-[13px] text-soft">
          A carrier larger than bed or sheet is cut along a line, clear of holes and ends of strip.
        </p>
      )}
      {seams.map((_, index) => (
        <fieldset key={index} className="my-1 border-l-4 border-line pl-2">
          <legend className="sr-only">Seam {index + 1}</legend>
          <LengthField label={`Seam ${index + 1}, right`} field={at.splits.at(index).xMm} />
          <LengthField label="up" field={at.splits.at(index).yMm} hint="from the middle" />
          <NumberField label="angle" field={at.splits.at(index).angleDeg} unit="°" step={5} hint="90 is upright" />
          <Button onClick={() => store(seams.filter((__, other) => other !== index))}>
            Take seam {index + 1} away
          </Button>
        </fieldset>
      ))}
      {seams.length > 0 && (
        <ChoiceField
          label="Parts joined"
          field={at.registration}
          otherwise="tabs"
          choices={[
            { value: 'tabs', label: 'by dovetail tabs' },
            { value: 'pins', label: 'by pins, marked' },
          ]}
        />
      )}
      <Button className="mt-1" onClick={() => store([...seams, { xMm: 0, yMm: 0, angleDeg: 90 }])}>
        Add a seam
      </Button>
    </section>
  );
};
