import { set, sheetSides, type EdgeLitAssembly, type PanelResults, type SheetSide } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { aboutStrip } from '../../fields/material-facts';
import { StripChanged } from '../../fields/strip-changed';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CutsField } from '../../steps/cuts-field';
import { percent } from '../../steps/glow-report';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';
import { Choice } from '../../ui/choice';
import { FieldRow } from '../../fields/field-row';
import { useLength } from '../../view/use-length';
import { CompareEdges } from './compare-edges';
import { edgesWith } from './edge-edits';

const finishes = [
  { value: 'lit', label: 'lit by strip' },
  { value: 'polished', label: 'polished' },
  { value: 'sawn', label: 'as sawn' },
  { value: 'sanded', label: 'sanded' },
  { value: 'white', label: 'white tape' },
  { value: 'black', label: 'black tape' },
] as const;

/** An edge: strip lies at it, or how it is finished. One is always lit. */
const EdgeField = ({ side }: { readonly side: SheetSide }) => {
  const at = useFields<EdgeLitAssembly>();
  const id = useId();
  const edges = useDesignValue(at.light.edges) ?? [];
  const finish = useDesignValue(at.sheet.unlit[side]) ?? 'polished';
  const isLit = edges.includes(side);
  const choose = (chosen: (typeof finishes)[number]['value']): void =>
    void changeDesign([
      set(at.light.edges, edgesWith(edges, side, chosen === 'lit')),
      ...(chosen === 'lit' ? [] : [set(at.sheet.unlit[side], chosen)]),
    ]);
  return (
    <FieldRow
      id={id}
      label={`The ${side} edge`}
      hint={
        isLit && edges.length === 1 ? 'one edge is always lit: light another before this is switched off' : undefined
      }
    >
      <Choice id={id} className="w-40" value={isLit ? 'lit' : finish} options={finishes} onChoose={choose} />
    </FieldRow>
  );
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
      <StripChanged />
      {sheetSides.map((side) => (
        <EdgeField key={side} side={side} />
      ))}
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
              <td className="font-sans">{on === 'back' ? 'underside' : on}</td>
              <td className="text-right">{show(lengthMm)}</td>
              <td className="text-right">{ledCount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
};
