import { usualMirror, type FrameAssembly, type FrameKind } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Choice, type ChoiceOption } from '../../ui/choice';
import { toKind } from './kind-edits';
import { PictureField } from './picture-field';

const kinds: readonly ChoiceOption<FrameKind>[] = [
  { value: 'print', label: 'a print between sheets' },
  { value: 'mirror-tile', label: 'an engraved mirror tile' },
  { value: 'lit-mirror', label: 'a mirror with a lit band' },
];

/** The frosted band of a mirror. */
const BandFields = () => {
  const at = useFields<FrameAssembly>().shows.band;
  return (
    <>
      <LengthField label="Lit band, in from the edge" field={at.insetMm} />
      <LengthField label="Lit band width" field={at.widthMm} />
      <LengthField label="Lit band’s corners" field={at.cornerMm} hint="radius, outside" />
    </>
  );
};

/** What the frame shows: print, tile or mirror, and what belongs to each. */
export const ShowsFields = () => {
  const at = useFields<FrameAssembly>();
  const { panes } = useCatalogue();
  const id = useId();
  const kind = useDesignValue(at.shows.kind) ?? 'print';
  const size = useDesignValue(at.case);
  return (
    <>
      <FieldRow id={id} label="It shows" stacked>
        <Choice
          id={id}
          className="w-full"
          value={kind}
          options={kinds}
          onChoose={(chosen) => size !== undefined && void changeDesign(toKind(at, chosen, size))}
        />
      </FieldRow>
      {kind !== 'print' && (
        <ChoiceField
          label="Mirror"
          wide
          field={at.shows.mirrorId}
          otherwise={usualMirror}
          choices={choicesOf(panes.filter(({ silver }) => silver !== undefined))}
        />
      )}
      {kind === 'lit-mirror' ? (
        <BandFields />
      ) : (
        <>
          <LengthField label="Shift right" field={at.artwork.offsetXMm} />
          <LengthField label="Shift up" field={at.artwork.offsetYMm} />
        </>
      )}
      {kind === 'print' && <PictureField />}
    </>
  );
};
