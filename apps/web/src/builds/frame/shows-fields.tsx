import { toKind, type FrameAssembly, type FrameKind } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { LengthField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { Choice, type ChoiceOption } from '../../ui/choice';
import { MirrorFields } from './mirror-fields';
import { PictureField } from '../common/picture-field';

const kinds: readonly ChoiceOption<FrameKind>[] = [
  { value: 'print', label: 'a print between sheets' },
  { value: 'mirror-tile', label: 'an engraved mirror tile' },
  { value: 'lit-mirror', label: 'a mirror with a lit band' },
];

/** What the frame shows: print, tile or mirror, and what belongs to each. */
export const ShowsFields = () => {
  const at = useFields<FrameAssembly>();
  const id = useId();
  const shows = useDesignValue(at.shows);
  const design = useDesignValue(at.case);
  const kind = shows?.kind ?? 'print';
  return (
    <>
      <FieldRow id={id} label="It shows" below>
        <Choice
          id={id}
          className="w-full"
          value={kind}
          options={kinds}
          onChoose={(chosen) =>
            shows !== undefined &&
            design !== undefined &&
            void changeDesign(toKind(at, chosen, { shows, case: design }))
          }
        />
      </FieldRow>
      {kind !== 'lit-mirror' && (
        <>
          <LengthField label="Shift right" field={at.artwork.offsetXMm} />
          <LengthField label="Shift up" field={at.artwork.offsetYMm} />
        </>
      )}
      {kind === 'print' ? (
        <PictureField
          field={at.shows.picture}
          title="Picture on the print"
          hint="It fills the whole print; letters are printed over it in black."
        />
      ) : (
        <MirrorFields banded={kind === 'lit-mirror'} />
      )}
    </>
  );
};
