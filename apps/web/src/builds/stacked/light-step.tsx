import { usualFromWallMm, type StackedAssembly, type StackedResults } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { aboutStrip } from '../../fields/material-facts';
import { StripChanged } from '../../fields/strip-changed';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CutsField } from '../../steps/cuts-field';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';
import { useLength } from '../../view/use-length';

/** Which strip goes round the inside of the stack, where it stands and which way it looks. */
export const LightStep = () => {
  const at = useFields<StackedAssembly>().light;
  const own = useOwnOf<StackedResults>('stacked');
  const { strips } = useCatalogue();
  const show = useLength();
  const facing = useDesignValue(at.facing);
  return (
    <>
      <ChoiceField
        label="Strip"
        wide
        field={at.stripId}
        choices={choicesOf(
          strips.filter(({ form }) => form !== 'modules'),
          aboutStrip,
        )}
        hint={
          own === null
            ? undefined
            : `on edge it takes ${show(own.geometry.stripMm)} of ${show(own.geometry.roomMm)} between base and lid`
        }
      />
      <StripChanged />
      <ChoiceField
        label="It looks"
        field={at.facing}
        choices={[
          { value: 'in', label: 'in, from the rings' },
          { value: 'out', label: 'out, from a ledge within' },
          { value: 'both', label: 'both ways, from a ledge' },
        ]}
      />
      {facing !== 'in' && (
        <LengthField
          label="Ledge from the rings"
          field={at.fromWallMm}
          otherwise={usualFromWallMm}
          hint="the farther in, the better light runs together on a band"
        />
      )}
      <NumberField label="Loops" field={at.loops} unit="" hint="one over the other, on each side that carries strip" />
      <LengthField
        label="Strip from the base"
        field={at.fromBaseMm}
        otherwise={own === null ? 0 : own.geometry.stripMm / 2}
        hint="to the middle of the loops; as low as they go where it is left alone"
      />
      {own !== null && (
        <>
          <h3 className="mt-3 font-bold">Loops</h3>
          <table className="figure w-full text-[13px]">
            <thead>
              <tr className="border-b border-ink text-left font-sans text-xs text-soft">
                <th>no.</th>
                <th className="text-right">strip</th>
                <th className="text-right">left open</th>
                <th className="text-right">from the base</th>
              </tr>
            </thead>
            <tbody>
              {own.runs.segments.map(({ number, lengthMm, leftoverMm, from }) => (
                <tr key={number} className="border-b border-line">
                  <td>{number}</td>
                  <td className="text-right">{show(lengthMm)}</td>
                  <td className="text-right">{show(leftoverMm)}</td>
                  <td className="text-right">{show(from[2])}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <HoldFields />
      <CutsField />
      <PhotometryField />
    </>
  );
};
