import { set, type GrooveAssembly } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { OutlinePick } from '../common/outline-pick';

/** The outline of the carrier: by a margin round the lines, a rectangle, a band, or a drawing. */
export const ShapeFields = () => {
  const at = useFields<GrooveAssembly>().carrier;
  const shape = useDesignValue(at.shape);
  const outline = useDesignValue(at.outline) ?? null;
  return (
    <section aria-label="Outline of the carrier">
      <ChoiceField
        label="Outline"
        field={at.shape}
        choices={[
          { value: 'margin', label: 'a rectangle round the lines' },
          { value: 'rectangle', label: 'a rectangle of its own' },
          { value: 'contour', label: 'a band that follows the lines' },
          ...(outline === null ? [] : [{ value: 'drawing' as const, label: `as ${outline.name}` }]),
        ]}
      />
      {(shape === 'margin' || shape === 'contour') && <LengthField label="Margin" field={at.marginMm} />}
      {(shape === 'rectangle' || shape === 'drawing') && (
        <>
          <LengthField label="Carrier width" field={at.widthMm} otherwise={600} />
          {shape === 'rectangle' && <LengthField label="Carrier height" field={at.heightMm} otherwise={400} />}
          <LengthField label="Lines, right" field={at.offsetXMm} otherwise={0} hint="of the carrier’s middle" />
          <LengthField label="Lines, up" field={at.offsetYMm} otherwise={0} hint="of the carrier’s middle" />
        </>
      )}
      {(shape === 'margin' || shape === 'rectangle') && (
        <LengthField label="Corner radius" field={at.cornerMm} otherwise={0} />
      )}
      <OutlinePick
        label="Or its outline from a drawing"
        leastMm={20}
        mostMm={6000}
        change={(drawn, widthMm) => [set(at.outline, drawn), set(at.shape, 'drawing'), set(at.widthMm, widthMm)]}
      />
    </section>
  );
};
