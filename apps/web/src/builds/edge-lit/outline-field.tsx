import { set, type EdgeLitAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { LengthField, useDesignValue } from '../../fields/design-fields';
import { DrawingPick } from '../../steps/drawing-pick';
import { Button } from '../../ui/button';
import { takeOutline } from './outline-edits';

/** The outline of the sheet: a rectangle with round corners, or a drawing of one closed line. */
export const OutlineField = () => {
  const at = useFields<EdgeLitAssembly>().sheet;
  const outline = useDesignValue(at.outline) ?? null;
  return (
    <section aria-label="Outline">
      {outline === null && <LengthField label="Corner radius" field={at.cornerMm} />}
      <DrawingPick
        label={
          outline === null ? 'Or its outline from a drawing' : `Outline of ${outline.name}, as wide and high as above`
        }
        button={outline === null ? 'Outline …' : 'Another …'}
        besides={
          outline !== null && <Button onClick={() => void changeDesign([set(at.outline, null)])}>A rectangle</Button>
        }
        onUse={(value) => changeDesign(takeOutline(at, value))[0]?.message ?? null}
      />
    </section>
  );
};
