import { set, inDesign } from '@vitrum/core';
import { limitedPowerWatts, sourceOf, supplyChoices, type Evaluation } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { ChoiceField, NumberField } from '../../fields/design-fields';
import { aboutSupply } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';

/** Other ways to feed the same load, with what they cost; one click takes one. */
const OtherSupplies = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const catalogue = useCatalogue();
  const { circuit, design } = evaluation;
  const choices = supplyChoices(
    catalogue,
    design.brief,
    design.power,
    circuit.voltageV,
    circuit.nominalWatts,
    circuit.segments.length,
  );
  if (choices.length < 2) return null;
  const { currency } = catalogue.rates;
  return (
    <table className="figure mt-1 w-full text-[13px]" aria-label="Ways to feed it">
      <thead>
        <tr className="border-b border-ink text-left font-sans text-xs text-soft">
          <th>ways to feed it</th>
          <th className="text-right">spare</th>
          <th className="text-right">price</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {choices.map(({ supply, count, price, spareShare, limitedPower }) => {
          const taken = circuit.supply?.id === supply.id && circuit.supplyCount === count;
          return (
            <tr key={count} className="border-b border-line align-top">
              <td className="font-sans">
                {count > 1 ? `${count} × ` : ''}
                {supply.watts} W{limitedPower ? ', limited power' : ''}
              </td>
              <td className="text-right">{Math.round(spareShare * 100)} %</td>
              <td className="text-right whitespace-nowrap">
                {currency}
                {price.toFixed(2)}
              </td>
              <td className="pl-2 text-right font-sans">
                {taken ? (
                  'taken'
                ) : (
                  <button
                    type="button"
                    className="underline"
                    aria-label={`Take ${count} × ${supply.name}`}
                    onClick={() =>
                      void changeDesign([
                        set(inDesign.power.supplyId, supply.id),
                        set(inDesign.power.supplyCount, count),
                      ])
                    }
                  >
                    take
                  </button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
};

const supplyHint = ({ circuit }: Evaluation): string => {
  const { supply, neededWatts, supplyCount, runTime } = circuit;
  if (supply === null) return `none in the catalogue gives ${neededWatts.toFixed(0)} W at ${circuit.voltageV} V so`;
  const each = supplyCount > 1 ? ' each' : '';
  const lasts =
    runTime === null
      ? ''
      : `; full, it lasts ${runTime.hours.toFixed(1)} h and ends at ${Math.round(runTime.lightAtEnd * 100)} % of its light (typical)`;
  return `${supply.name}; ${neededWatts.toFixed(0)} W${each} needed${lasts}`;
};

/** What feeds it: source, supply, how many, and other ways. */
export const SupplyFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { supplies } = useCatalogue();
  const { circuit, design } = evaluation;
  const source = design.power.source ?? 'mains';
  const supplyWatts = evaluation.assemblies.reduce((sum, { heat }) => sum + heat.supplyWatts, 0);
  const suited = supplies.filter((supply) => supply.voltageV === circuit.voltageV && sourceOf(supply) === source);
  return (
    <>
      <ChoiceField
        label="Fed by"
        field={inDesign.power.source}
        otherwise="mains"
        choices={[
          { value: 'mains', label: 'the mains' },
          { value: 'usb', label: 'a USB socket' },
          { value: 'battery', label: 'a battery' },
        ]}
      />
      <ChoiceField
        label="Supply"
        field={inDesign.power.supplyId}
        choices={[{ value: 'auto', label: 'chosen by load' }, ...choicesOf(suited, aboutSupply)]}
        hint={supplyHint(evaluation)}
      />
      <NumberField label="Supplies" field={inDesign.power.supplyCount} />
      <ChoiceField
        label="It stands"
        field={inDesign.power.supplyPlace}
        otherwise="outside"
        choices={[
          { value: 'outside', label: 'by the socket' },
          { value: 'inside', label: 'inside the sign' },
        ]}
        hint={supplyWatts > 0 ? `it adds ${supplyWatts.toFixed(1)} W of heat there (typical)` : undefined}
      />
      <NumberField label="Headroom" field={inDesign.power.headroomShare} unit="%" scale={100} step={5} />
      <OtherSupplies evaluation={evaluation} />
      <p className="mt-1 text-[13px] text-soft">
        Up to {limitedPowerWatts} W an output counts as limited power by the stricter of the usual rules; local codes
        decide.
      </p>
    </>
  );
};
