import {
  ambientLux,
  ambients,
  fieldsOf,
  inDesign,
  pathOf,
  set,
  surroundingsOf,
  type Brief,
  type FieldRef,
} from '@vitrum/core';
import { ChoiceField, LengthField, NumberField, WordsField, useDesignValue } from '../fields/design-fields';
import { ColourField } from '../fields/colour-field';
import { useCatalogue } from '../job/catalogue-context';
import { changeDesign, useDocument } from '../document/document-store';
import { SolveAgain } from '../solving/solve-again';

const ambientWords = {
  noon: 'Noon sun',
  overcast: 'Overcast day',
  shop: 'Shop light',
  evening: 'Dusk',
  dark: 'Dark',
} as const;
const whites = [2700, 3000, 3500, 4000, 5000, 6500] as const;

/** The colour of a light that is mixed; a white has none. */
const mixedColour: FieldRef<string> = fieldsOf<{ readonly colour: string }>(pathOf(inDesign.brief.light)).colour;

const LightChoice = () => {
  const stored = useDesignValue(inDesign.brief.light);
  const choose = (choice: string): void => {
    const light: Brief['light'] =
      choice === 'rgb' ? { kind: 'rgb', colour: '#ff5a36' } : { kind: 'white', cctK: Number(choice) };
    changeDesign([set(inDesign.brief.light, light)]);
  };
  return (
    <>
      <ColourField
        label="Light"
        value={stored?.kind === 'white' ? String(stored.cctK) : 'rgb'}
        choices={[
          ...whites.map((k) => ({ value: String(k), label: `White ${k} K` })),
          { value: 'rgb', label: 'Mixed colour (RGB)' },
        ]}
        onChoose={choose}
        colourField={stored?.kind === 'rgb' ? mixedColour : null}
      />
    </>
  );
};

export const BriefStep = () => {
  const { currency } = useCatalogue().rates;
  const brief = useDocument((state) => state.design?.brief);
  return (
    <>
      <SolveAgain />
      <WordsField label="The sign says" field={inDesign.brief.text} />
      <LengthField label="Read from" field={inDesign.brief.readingDistanceMm} hint="the nearest people usually stand" />
      <ChoiceField
        label="Brightest light around it"
        field={inDesign.brief.ambient}
        wide
        choices={ambients.map((ambient) => ({
          value: ambient,
          label: `${ambientWords[ambient]}, ${ambientLux[ambient].toLocaleString('en')} lx`,
        }))}
      />
      <ChoiceField
        label="Hangs"
        field={inDesign.brief.place}
        choices={[
          { value: 'wall', label: 'on a wall' },
          { value: 'window', label: 'in a window' },
          { value: 'counter', label: 'stands on a counter' },
          { value: 'ceiling', label: 'from a ceiling' },
        ]}
      />
      <ChoiceField
        label="Weather"
        field={inDesign.brief.exposure}
        choices={[
          { value: 'indoors', label: 'indoors, dry' },
          { value: 'damp', label: 'damp, under a roof' },
          { value: 'outdoors', label: 'outdoors, wet' },
        ]}
      />
      <ChoiceField
        label="Seen after dark"
        field={inDesign.brief.surroundings}
        otherwise={brief === undefined ? 'town' : surroundingsOf(brief)}
        choices={[
          { value: 'indoors', label: 'indoors' },
          { value: 'country', label: 'in dark country' },
          { value: 'low', label: 'where little else is lit' },
          { value: 'town', label: 'in a town' },
          { value: 'city', label: 'in a city centre' },
        ]}
      />
      <LightChoice />
      <NumberField label="Lit a day" field={inDesign.brief.hoursPerDay} unit="h" />
      <ChoiceField
        label="Lead leaves"
        field={inDesign.brief.leadExit}
        choices={[
          { value: 'bottom', label: 'at the bottom' },
          { value: 'top', label: 'at the top' },
          { value: 'left', label: 'at the left' },
          { value: 'right', label: 'at the right' },
          { value: 'back', label: 'through the back' },
        ]}
      />
      <LengthField label="Lead to the supply" field={inDesign.brief.leadLengthMm} />
      <NumberField label="Signs" field={inDesign.brief.quantity} />
      <NumberField
        label="Budget a sign"
        field={inDesign.brief.budget}
        unit={currency}
        step={10}
        optional
        hint="leave empty when none was named"
      />
      <NumberField label="Outside quote" field={inDesign.brief.outsideQuote} unit={currency} step={10} optional />
    </>
  );
};
