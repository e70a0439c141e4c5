import type { LightboxAssembly } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField } from '../../fields/design-fields';
import { aboutFilm } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';

/** Film on a face: what light goes through, which film, and where it stands. */
export const FilmFields = () => {
  const at = useFields<LightboxAssembly>();
  const { films } = useCatalogue();
  return (
    <>
      <ChoiceField
        label="Light through"
        wide
        field={at.artwork.mode}
        choices={[
          { value: 'opaque-letters', label: 'the ground, letters dark' },
          { value: 'lit-letters', label: 'the letters, mask dark' },
          { value: 'coloured-letters', label: 'both, letters coloured' },
        ]}
      />
      <ChoiceField label="Film" wide field={at.artwork.filmId} choices={choicesOf(films, aboutFilm)} />
      <LengthField label="Shift right" field={at.artwork.offsetXMm} />
      <LengthField label="Shift up" field={at.artwork.offsetYMm} />
    </>
  );
};
