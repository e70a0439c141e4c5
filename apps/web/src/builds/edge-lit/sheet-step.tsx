import {
  frameHanging,
  heldSheet,
  set,
  usualHolder,
  type EdgeLitAssembly,
  type HolderDesign,
  type PanelResults,
} from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Choice } from '../../ui/choice';
import { BaseFields } from './base-fields';
import { FramedFields } from './framed-fields';
import { OutlineField } from './outline-field';

const kinds = [
  { value: 'base', label: 'a base' },
  { value: 'frame', label: 'a frame all round' },
  { value: 'top', label: 'a case under it' },
] as const satisfies readonly { readonly value: HolderDesign['kind']; readonly label: string }[];

/** What the sheet stands in, hangs in or is let into; another kind begins as is usual for it. */
const HolderField = ({ own }: { readonly own: PanelResults }) => {
  const at = useFields<EdgeLitAssembly>();
  const id = useId();
  const kind = useDesignValue(at.holder.kind) as HolderDesign['kind'];
  const choose = (chosen: HolderDesign['kind']): void =>
    void changeDesign([
      set(at.holder, usualHolder(chosen, heldSheet(own))),
      // How it hangs is decided anew: a base stands, a frame hangs.
      set(at.hanging, chosen === 'frame' ? frameHanging(own.design.brief.place) : null),
      ...(chosen === 'base' ? [set(at.light.edges, ['bottom'] as const)] : []),
    ]);
  return (
    <FieldRow id={id} label="Held by">
      <Choice id={id} className="w-40" value={kind} options={kinds} onChoose={choose} />
    </FieldRow>
  );
};

/** The clear sheet and what holds it. */
export const SheetStep = () => {
  const at = useFields<EdgeLitAssembly>();
  const { panes } = useCatalogue();
  const own = useOwnOf<PanelResults>('edge-lit');
  const kind = useDesignValue(at.holder.kind);
  const silver = own?.materials.pane.silver !== undefined;
  return (
    <>
      <ChoiceField label="Sheet" wide field={at.sheet.paneId} choices={choicesOf(panes)} />
      <LengthField label="Sheet width" field={at.sheet.widthMm} />
      <LengthField
        label="Sheet height"
        field={at.sheet.heightMm}
        hint={own === null || own.geometry.holder.kind !== 'base' ? undefined : 'with what stands in the slot'}
      />
      <OutlineField />
      {!silver && (
        <ChoiceField
          label="Behind it"
          field={at.sheet.behind}
          otherwise="open"
          choices={[
            { value: 'open', label: 'open' },
            { value: 'black', label: 'black board, air between' },
            { value: 'white', label: 'white board, air between' },
            { value: 'painted', label: 'painted round the artwork' },
          ]}
        />
      )}
      <div className="mt-2 border-t border-line pt-2">
        {own !== null && <HolderField own={own} />}
        {kind === 'base' ? <BaseFields /> : <FramedFields />}
        <ChoiceField
          label="Fit"
          field={at.holder.fit}
          otherwise="slide"
          choices={[
            { value: 'slide', label: 'slides in' },
            { value: 'press', label: 'pressed in' },
            { value: 'glued', label: 'glued' },
          ]}
        />
        <NumberField label="Play a side" field={at.holder.playMm} unit="mm" step={0.05} />
      </div>
    </>
  );
};
