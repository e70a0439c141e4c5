import { LengthField, useDesignValue } from '../../fields/design-fields';
import { changeDesign } from '../../document/document-store';
import { Button } from '../../ui/button';

const path = 'assemblies.0.case.block';
const first = { widthMm: 160, heightMm: 60, depthMm: 35, offsetXMm: 0, offsetYMm: 0 };

/** A box on the back inside the case, over a supply or a controller; light and rows go round it. */
export const BlockField = () => {
  const block = useDesignValue(path) ?? null;
  const layout = useDesignValue('assemblies.0.light.layout');
  if (block === null)
    return (
      <Button className="my-1" onClick={() => void changeDesign([{ path, value: first }])}>
        Add a block on the back
      </Button>
    );
  const takeOut = (): void =>
    void changeDesign([
      { path, value: null },
      // Strip round a block that is gone goes back to rows.
      ...(layout === 'block'
        ? [
            { path: 'assemblies.0.light.layout', value: 'rows' },
            { path: 'assemblies.0.light.facing', value: 'front' },
          ]
        : []),
    ]);
  return (
    <section aria-label="Block" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">Block on the back</h3>
        <Button onClick={takeOut}>Take it out</Button>
      </div>
      <LengthField label="Block width" path={`${path}.widthMm`} />
      <LengthField label="Block height" path={`${path}.heightMm`} />
      <LengthField label="Block depth" path={`${path}.depthMm`} />
      <LengthField label="Right of the middle" path={`${path}.offsetXMm`} />
      <LengthField label="Up from the middle" path={`${path}.offsetYMm`} />
    </section>
  );
};
