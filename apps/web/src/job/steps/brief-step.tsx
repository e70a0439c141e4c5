import { ambientLux, ambients } from '@vitrum/core';
import { ChoiceField, LengthField, NumberField, WordsField, useDesignValue } from '../../fields/design-fields';
import { ColourField } from '../../fields/colour-field';
import { useCatalogue } from '../catalogue-context';
import { changeDesign } from '../../document/document-store';

const ambientWords = {
  noon: 'Noon sun',
  overcast: 'Overcast day',
  shop: 'Shop light',
  evening: 'Dusk',
  dark: 'Dark',
} as const;
const whites = [2700, 3000, 4000, 6500] as const;

const LightChoice = () => {
  const kind = useDesignValue('brief.light.kind');
  const set = (choice: string): void => {
    const light = choice === 'rgb' ? { kind: 'rgb', colour: '#ff5a36' } : { kind: 'white', cctK: Number(choice) };
    changeDesign([{ path: 'brief.light', value: light }]);
  };
  const cctK = useDesignValue('brief.light.cctK');
  return (
    <>
      <ColourField
        label="Light"
        value={kind === 'rgb' ? 'rgb' : String(cctK)}
        choices={[
          ...whites.map((k) => ({ value: String(k), label: `White ${k} K` })),
          { value: 'rgb', label: 'Mixed colour (RGB)' },
        ]}
        onChoose={set}
        colourPath={kind === 'rgb' ? 'brief.light.colour' : null}
      />
    </>
  );
};

export const BriefStep = () => {
  const { currency } = useCatalogue().rates;
  return (
    <>
      <WordsField label="The sign says" path="brief.text" />
      <LengthField label="Read from" path="brief.readingDistanceMm" hint="the nearest people usually stand" />
      <ChoiceField
        label="Brightest light it must beat"
        path="brief.ambient"
        choices={ambients.map((ambient) => ({
          value: ambient,
          label: `${ambientWords[ambient]}, ${ambientLux[ambient].toLocaleString('en')} lx`,
        }))}
      />
      <ChoiceField
        label="Hangs"
        path="brief.place"
        choices={[
          { value: 'wall', label: 'on a wall' },
          { value: 'window', label: 'in a window' },
          { value: 'counter', label: 'stands on a counter' },
          { value: 'ceiling', label: 'from a ceiling' },
        ]}
      />
      <ChoiceField
        label="Weather"
        path="brief.exposure"
        choices={[
          { value: 'indoors', label: 'indoors, dry' },
          { value: 'damp', label: 'damp, under a roof' },
          { value: 'outdoors', label: 'outdoors, in the wet' },
        ]}
      />
      <LightChoice />
      <NumberField label="Lit a day" path="brief.hoursPerDay" unit="h" />
      <ChoiceField
        label="Lead leaves"
        path="brief.leadExit"
        choices={[
          { value: 'bottom', label: 'at the bottom' },
          { value: 'top', label: 'at the top' },
          { value: 'left', label: 'at the left' },
          { value: 'right', label: 'at the right' },
          { value: 'back', label: 'through the back' },
        ]}
      />
      <LengthField label="Lead to the supply" path="brief.leadLengthMm" />
      <NumberField label="Pieces" path="brief.quantity" />
      <NumberField
        label="Budget a piece"
        path="brief.budget"
        unit={currency}
        step={10}
        optional
        hint="leave empty when none was named"
      />
      <NumberField label="Outside quote" path="brief.outsideQuote" unit={currency} step={10} optional />
    </>
  );
};
