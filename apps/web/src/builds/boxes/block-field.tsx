import { set, type BoxAssembly } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { LengthField, useDesignValue } from '../../fields/design-fields';
import { changeDesign } from '../../document/document-store';
import { Button } from '../../ui/button';

const first = { widthMm: 160, heightMm: 60, depthMm: 35, offsetXMm: 0, offsetYMm: 0 };

/** A box on the back inside the case, over a supply or a controller; light and rows go round it. */
export const BlockField = () => {
  const at = useFields<BoxAssembly>();
  const field = at.case.block;
  const block = useDesignValue(field) ?? null;
  const layout = useDesignValue(at.light.layout);
  if (block === null)
    return (
      <Button className="my-1" onClick={() => void changeDesign([set(field, first)])}>
        Add a block on the back
      </Button>
    );
  const takeOut = (): void =>
    void changeDesign([
      set(field, null),
      // Strip round a block that is gone goes back to rows.
      ...(layout === 'block' ? [set(at.light.layout, 'rows'), set(at.light.facing, 'front')] : []),
    ]);
  return (
    <section aria-label="Block" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">Block on the back</h3>
        <Button onClick={takeOut}>Take it out</Button>
      </div>
      <LengthField label="Block width" field={field.widthMm} />
      <LengthField label="Block height" field={field.heightMm} />
      <LengthField label="Block depth" field={field.depthMm} />
      <LengthField label="Right of the middle" field={field.offsetXMm} />
      <LengthField label="Up from the middle" field={field.offsetYMm} />
    </section>
  );
};
