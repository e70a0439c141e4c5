import { set, type BoxAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwn } from '../../evaluation/own';
import { LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';

const first = { count: 6, diameterMm: 8 };

/** Holes in the bottom and the top return, with the air they let through and the light they leak. */
export const VentsField = () => {
  const field = useFields<BoxAssembly>().case.vents;
  const vents = useDesignValue(field) ?? null;
  const heat = useOwn()?.heat;
  if (vents === null)
    return (
      <Button className="my-1 ml-1" onClick={() => void changeDesign([set(field, first)])}>
        Add vents
      </Button>
    );
  const found = heat?.vents ?? null;
  return (
    <section aria-label="Vents" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">Vents, bottom and top</h3>
        <Button onClick={() => void changeDesign([set(field, null)])}>Take them out</Button>
      </div>
      <NumberField label="Holes in each" field={field.count} />
      <LengthField
        label="Vent diameter"
        field={field.diameterMm}
        hint={
          found === null || heat === undefined
            ? undefined
            : `${found.airLs.low.toFixed(2)}–${found.airLs.high.toFixed(2)} l/s of air; air inside ${Math.round(heat.airInsideC.low)}–${Math.round(heat.airInsideC.high)} °C; they leak ${found.leakLm.toFixed(1)} lm`
        }
      />
    </section>
  );
};
