import { set, type StackedAssembly, type StackedResults } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ColourInput } from '../../fields/colour-field';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard, aboutLining } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { useLength } from '../../view/use-length';
import { OutlinePick } from '../common/outline-pick';
import { RingList } from './ring-list';

/** The outline of all plates. */
const OutlineFields = () => {
  const at = useFields<StackedAssembly>().plates;
  const shape = useDesignValue(at.shape);
  const drawing = useDesignValue(at.drawing) ?? null;
  return (
    <section aria-label="Outline of the plates">
      <ChoiceField
        label="Outline"
        field={at.shape}
        choices={[
          { value: 'round', label: 'round or oval' },
          { value: 'rectangle', label: 'a rectangle' },
          ...(drawing === null ? [] : [{ value: 'drawing' as const, label: `as ${drawing.name}` }]),
        ]}
      />
      <LengthField label="Plates, width" field={at.widthMm} />
      {shape !== 'drawing' && <LengthField label="Plates, height" field={at.heightMm} />}
      {shape === 'rectangle' && <LengthField label="Corner radius" field={at.cornerMm} otherwise={0} />}
      <OutlinePick
        label="Or their outline from a drawing"
        leastMm={60}
        mostMm={2400}
        change={(drawn, widthMm) => [set(at.drawing, drawn), set(at.shape, 'drawing'), set(at.widthMm, widthMm)]}
      />
    </section>
  );
};

/** What is stacked: outline, base, rings, and what lines the room within. */
export const PlatesStep = () => {
  const at = useFields<StackedAssembly>().plates;
  const own = useOwnOf<StackedResults>('stacked');
  const { boards, linings } = useCatalogue();
  const show = useLength();
  const sheets = boards.filter(({ form, stuff }) => form === 'sheet' && stuff !== 'printed' && stuff !== 'foam');
  return (
    <>
      <OutlineFields />
      <LengthField
        label="Rings, wide"
        field={at.wallMm}
        hint={
          own === null
            ? 'from their outer edge to the room within'
            : `${show(own.geometry.outside.depthMm)} thick in all, ${show(own.geometry.roomMm)} between base and lid`
        }
      />
      <RingList />
      <ChoiceField label="Base" wide field={at.baseId} choices={choicesOf(sheets, aboutBoard)} />
      <ChoiceField label="Inside" wide field={at.liningId} choices={choicesOf(linings, aboutLining)} />
      <ColourInput label="Painted" field={at.colour} />
    </>
  );
};
