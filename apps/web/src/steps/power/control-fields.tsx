import { drivingStrip, inDesign, segmentIndexOf, surroundingsOf, type Evaluation } from '@vitrum/core';
import { ChoiceField, NumberField, useDesignValue } from '../../fields/design-fields';
import { useDocument } from '../../document/document-store';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';

const driveHint = ({ circuit }: Evaluation): string => {
  const { drive, pixels, carriers } = circuit;
  const { controller, amplifier, amplifiers, wanted } = drive;
  if (controller === null) return wanted ? 'none in the catalogue suits' : 'none is needed: a switch will do';
  const used = carriers.find(({ kind }) => kind === 'controller');
  const load = used === undefined ? '' : `; ${used.amps.toFixed(2)} of ${used.ratedA} A an output`;
  const told = pixels > 0 ? `; set it to ${pixels} pixels` : '';
  const repeats = amplifier === null ? '' : `; ${amplifiers} × ${amplifier.name}`;
  return `${controller.name}${load}${told}${repeats}`;
};

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How far each colour is turned up for the brief’s light. */
const Mix = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { channels, setWatts, watts } = evaluation.circuit;
  return (
    <p className="text-[13px] text-soft">
      {channels.length > 1 && `${channels.map(({ name, level }) => `${name} ${percent(level)}`).join(', ')}; `}
      {setWatts.toFixed(1)} W as set, {watts.toFixed(1)} W with everything full.
    </p>
  );
};

/** Levels of the zones, where there are any. */
const ZoneFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const zones = evaluation.design.power.zones ?? [];
  const all = evaluation.circuit.segments;
  return (
    <>
      {zones.map(({ segments }, index) => (
        <NumberField
          key={index}
          label={`Zone ${index + 1}`}
          field={inDesign.power.zones.at(index).level}
          unit="%"
          scale={100}
          step={5}
          hint={`segment${segments.length === 1 ? '' : 's'} ${segments.map((ref) => all[segmentIndexOf(all, ref)]?.label ?? `${ref.segment}`).join(', ')}`}
        />
      ))}
    </>
  );
};

/** How the light is set: by whom, by what, where that sits, and how far it is up. */
export const ControlFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { controllers } = useCatalogue();
  // Indoors nothing is turned down for the dark.
  const indoors = useDocument(({ design }) => design !== null && surroundingsOf(design.brief) === 'indoors');
  const inside = useDesignValue(inDesign.power.controllerPlace) === 'inside';
  const { circuit, assemblies } = evaluation;
  const signal =
    drivingStrip(assemblies.map(({ materials }) => materials.strip)).addressable === true ? 'data' : 'channels';
  const suited = controllers.filter(
    (item) => item.signal === signal && item.kind !== 'amplifier' && item.voltagesV.includes(circuit.voltageV),
  );
  return (
    <>
      <ChoiceField
        label="Customer sets it"
        field={inDesign.brief.control}
        otherwise="switch"
        choices={[
          { value: 'switch', label: 'on and off' },
          { value: 'knob', label: 'by a knob' },
          { value: 'remote', label: 'by a remote' },
        ]}
      />
      <ChoiceField
        label="Controller"
        field={inDesign.power.controllerId}
        otherwise="auto"
        choices={[{ value: 'auto', label: 'chosen by load' }, { value: 'none', label: 'none' }, ...choicesOf(suited)]}
        hint={driveHint(evaluation)}
      />
      {circuit.drive.controller !== null && (
        <ChoiceField
          label="It sits"
          field={inDesign.power.controllerPlace}
          otherwise="supply"
          choices={[
            { value: 'supply', label: 'beside the supply' },
            { value: 'inside', label: 'inside the sign' },
          ]}
          hint={`the lead has ${circuit.leadCores.length} cores`}
        />
      )}
      {inside && circuit.drive.controller?.remote === 'infrared' && (
        <ChoiceField
          label="Its eye"
          field={inDesign.power.sensorWindow}
          otherwise="false"
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: 'is shut in' },
            { value: 'true', label: 'looks out through a hole' },
          ]}
        />
      )}
      <NumberField label="Turned up" field={inDesign.power.level} otherwise={1} unit="%" scale={100} step={5} />
      {!indoors && (
        <NumberField
          label="Of that, after dark"
          field={inDesign.power.nightLevel}
          otherwise={1}
          unit="%"
          scale={100}
          step={5}
        />
      )}
      <ZoneFields evaluation={evaluation} />
      <Mix evaluation={evaluation} />
    </>
  );
};
