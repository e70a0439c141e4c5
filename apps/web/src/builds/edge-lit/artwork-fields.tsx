import { passesFor, set, type PanelResults } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';
import { usePanelArtwork } from './panel-artwork';

/** How deep and how densely the face is worked, and where. */
export const ArtworkFields = () => {
  const { fields: at, place } = usePanelArtwork();
  const photo = useDesignValue(at.photo) ?? null;
  const fill = useDesignValue(at.fill);
  const graded = useDesignValue(at.graded) ?? null;
  const own = useOwnOf<PanelResults>('edge-lit');
  const area = own?.areas[place];
  const engraving = area?.engraving;
  const passes = area === undefined ? 1 : passesFor(area);
  return (
    <>
      <NumberField
        label="Depth worked"
        field={at.depthMm}
        unit="mm"
        step={0.05}
        hint={
          engraving === undefined
            ? undefined
            : `${passes} ${passes === 1 ? 'pass' : 'passes'} of up to ${engraving.passMm} mm`
        }
      />
      {photo === null && (
        <ChoiceField
          label="Fill"
          field={at.fill}
          choices={[
            { value: 'solid', label: 'all over' },
            { value: 'hatch', label: 'lines' },
            { value: 'dots', label: 'dots' },
          ]}
        />
      )}
      {fill !== 'solid' && (
        <NumberField
          label={fill === 'hatch' ? 'Line to line' : 'Dot to dot'}
          field={at.spacingMm}
          otherwise={1}
          unit="mm"
          step={0.1}
          hint={engraving === undefined ? undefined : `each ${engraving.lineMm} mm wide, where they are closest`}
        />
      )}
      {graded !== null && (
        <p className="my-1 flex items-center justify-between gap-2 border-l-4 border-line pl-2 text-[13px]">
          Graded over the sheet, thinner beside the strip
          <Button onClick={() => void changeDesign([set(at.graded, null)])}>Alike everywhere</Button>
        </p>
      )}
      <LengthField label="Shift right" field={at.offsetXMm} />
      <LengthField label="Shift up" field={at.offsetYMm} hint="from the middle of the whole sheet" />
    </>
  );
};
