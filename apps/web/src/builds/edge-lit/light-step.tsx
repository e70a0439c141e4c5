import { set, sheetSides, type EdgeLitAssembly, type PanelResults, type SheetSide } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { aboutStrip } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CutsField } from '../../steps/cuts-field';
import { percent } from '../../steps/glow-report';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';
import { Tick } from '../../ui/tick';
import { useLength } from '../../view/use-length';
import { CompareEdges } from './compare-edges';
import { edgesWith } from './edge-edits';

/** Which edges strip lies at; one at least. */
const EdgesField = () => {
  const at = useFields<EdgeLitAssembly>().light;
  const edges = (useDesignValue(at.edges) ?? []) as readonly SheetSide[];
  return (
    <fieldset className="my-1">
      <legend>Lit edges</legend>
      <div className="grid grid-cols-2 gap-x-4 pl-1">
        {sheetSides.map((side) => (
          <Tick
            key={side}
            on={edges.includes(side)}
            onChange={(on) => void changeDesign([set(at.edges, edgesWith(edges, side, on))])}
          >
            {side}
          </Tick>
        ))}
      </div>
    </fieldset>
  );
};

const finishes = [
  { value: 'polished', label: 'polished' },
  { value: 'sawn', label: 'as sawn' },
  { value: 'sanded', label: 'sanded' },
  { value: 'white', label: 'white tape' },
  { value: 'black', label: 'black tape' },
] as const;

const UnlitEdges = () => {
  const at = useFields<EdgeLitAssembly>();
  const edges = (useDesignValue(at.light.edges) ?? []) as readonly SheetSide[];
  return sheetSides
    .filter((side) => !edges.includes(side))
    .map((side) => (
      <ChoiceField
        key={side}
        label={`The ${side} edge`}
        field={at.sheet.unlit[side]}
        otherwise="polished"
        choices={finishes}
      />
    ));
};

/** Which strip, at which edges, how it stands before them. */
export const LightStep = () => {
  const at = useFields<EdgeLitAssembly>();
  const { strips } = useCatalogue();
  const own = useOwnOf<PanelResults>('edge-lit');
  const show = useLength();
  const entry = own?.glow.entry;
  return (
    <>
      <ChoiceField label="Strip" field={at.light.stripId} choices={choicesOf(strips, aboutStrip)} wide />
      <EdgesField />
      <NumberField
        label="Gap to the edge"
        field={at.light.gapMm}
        unit="mm"
        step={0.1}
        hint={
          entry === undefined
            ? undefined
            : `${percent(entry.entered)} of the light enters, ${percent(entry.missed)} passes the edge`
        }
      />
      <NumberField
        label="Off the middle"
        field={at.light.offsetMm}
        unit="mm"
        step={0.1}
        hint="of the sheet’s thickness; forward is positive"
      />
      <LengthField label="End margin" field={at.light.endMarginMm} hint="from the corners of the sheet, at least" />
      <ChoiceField
        label="Lit edges are"
        field={at.sheet.litFinish}
        otherwise="polished"
        choices={[
          { value: 'polished', label: 'polished' },
          { value: 'sawn', label: 'as sawn' },
        ]}
      />
      <UnlitEdges />
      <CompareEdges />
      <HoldFields />
      <CutsField />
      <PhotometryField />
      <h3 className="mt-3 font-bold">Segments</h3>
      <table className="figure w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>no.</th>
            <th>at the</th>
            <th className="text-right">length</th>
            <th className="text-right">LEDs</th>
          </tr>
        </thead>
        <tbody>
          {(own?.runs.segments ?? []).map(({ number, on, lengthMm, ledCount }) => (
            <tr key={number} className="border-b border-line">
              <td>{number}</td>
              <td className="font-sans">{on}</td>
              <td className="text-right">{show(lengthMm)}</td>
              <td className="text-right">{ledCount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
};
