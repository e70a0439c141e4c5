import { set } from '@vitrum/core';
import { changeDesign } from '../document/document-store';
import { useFields } from '../document/selection';
import { useOwn } from '../evaluation/own';
import { LengthField, NumberField, useDesignValue } from '../fields/design-fields';
import { Button } from '../ui/button';

interface Cut {
  readonly segment: number;
  readonly atMm: number;
}

const noCuts: readonly Cut[] = [];

/** Segments cut in two once more, so that pairs in series match or a feed finds a place. */
export const CutsField = () => {
  const at = useFields();
  const cuts = useDesignValue<readonly Cut[] | undefined>(at.light.cuts) ?? noCuts;
  const own = useOwn();
  const numbers = own?.runs.segments.map(({ number }) => number) ?? cuts.map(({ segment }) => segment);
  const store = (value: readonly Cut[]): void => void changeDesign([set(at.light.cuts, value)]);
  const [longest] = [...(own?.runs.segments ?? [])].sort((a, b) => b.lengthMm - a.lengthMm);
  const canCut = longest !== undefined && own !== null && longest.lengthMm >= 2 * own.materials.strip.cutPitchMm;
  return (
    <section aria-label="Cuts" className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">Cut in two</h3>
      {cuts.map(({ segment }, index) => (
        <fieldset key={index} className="my-1 border-l-4 border-line pl-2">
          <legend className="sr-only">Cut {index + 1}</legend>
          <NumberField
            label="Segment"
            field={at.light.cuts.at(index).segment}
            hint={numbers.includes(segment) ? undefined : 'there is no such segment: nothing is cut'}
          />
          <LengthField
            label="after"
            field={at.light.cuts.at(index).atMm}
            hint="at the nearest mark; both parts are fed"
          />
          <Button onClick={() => store(cuts.filter((_, other) => other !== index))}>Leave it in one</Button>
        </fieldset>
      ))}
      {canCut && (
        <Button
          className="mt-1"
          onClick={() => store([...cuts, { segment: longest.number, atMm: longest.lengthMm / 2 }])}
        >
          Cut the longest, segment {longest.number}
        </Button>
      )}
    </section>
  );
};
