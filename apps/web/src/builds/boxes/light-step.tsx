import { set, usualInsetMm, type BoxAssembly, type Finding } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useId, type ReactNode } from 'react';
import { FieldRow } from '../../fields/field-row';
import { Choice, type ChoiceOption } from '../../ui/choice';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { changeDesign } from '../../document/document-store';
import { chainOf } from '../../evaluation/own';
import { useReadFindings } from '../../evaluation/read-findings';
import { useOwnBox } from './own-box';
import { Button } from '../../ui/button';
import { useLength } from '../../view/use-length';
import { aboutStrip } from '../../fields/material-facts';
import { StripChanged } from '../../fields/strip-changed';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CutsField } from '../../steps/cuts-field';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';
import { SidesField } from './sides-field';

const facings = {
  rows: [
    { value: 'front', label: 'to the face' },
    { value: 'side', label: 'up and down, strip on edge' },
  ],
  rim: [
    { value: 'in', label: 'in' },
    { value: 'front', label: 'to the face' },
    { value: 'out', label: 'out, from a ledge' },
  ],
  block: [
    { value: 'out', label: 'out' },
    { value: 'front', label: 'to the face' },
  ],
} as const;
type Layout = keyof typeof facings;

const layouts: readonly ChoiceOption<Layout>[] = [
  { value: 'rows', label: 'in rows on the back' },
  { value: 'rim', label: 'round the rim' },
  { value: 'block', label: 'round the block' },
];

/** A new layout takes the facing that is usual for it. */
const LayoutField = ({ layout }: { readonly layout: Layout }) => {
  const at = useFields<BoxAssembly>();
  const id = useId();
  const block = useDesignValue(at.case.block) ?? null;
  const standing = (useOwnBox()?.geometry.block ?? null) !== null;
  return (
    <FieldRow
      id={id}
      label="Runs"
      hint={
        block !== null
          ? undefined
          : standing
            ? 'an inner frame that follows the band'
            : 'a block inside the case is set where its depth is'
      }
    >
      <Choice
        id={id}
        className="w-40"
        value={layout}
        options={layouts.filter(({ value }) => value !== 'block' || block !== null || layout === 'block')}
        onChoose={(chosen) =>
          void changeDesign([set(at.light.layout, chosen), set(at.light.facing, facings[chosen][0].value)])
        }
      />
    </FieldRow>
  );
};

/** Where strip runs in a case, which way it looks, and how it gets round corners. */
export const CaseRuns = () => {
  const at = useFields<BoxAssembly>();
  const own = useOwnBox();
  const show = useLength();
  const layout = useDesignValue(at.light.layout) as Layout;
  const facing = useDesignValue(at.light.facing);
  const placed = (useDesignValue(at.light.fromBackMm) ?? null) !== null;
  const runs = own?.runs;
  const leftover = runs?.segments.reduce((most, segment) => Math.max(most, segment.leftoverMm), 0) ?? 0;
  return (
    <>
      <LayoutField layout={layout} />
      <ChoiceField
        label="LEDs face"
        field={at.light.facing}
        choices={facings[layout]}
        otherwise={facings[layout][0].value}
      />
      {layout === 'rows' ? (
        <NumberField
          label="Rows"
          field={at.light.rowCount}
          hint={
            runs === undefined
              ? undefined
              : runs.rowPitchMm === null
                ? 'one row in the middle'
                : `row pitch ${show(runs.rowPitchMm)}, half of it at the edges`
          }
        />
      ) : (
        <NumberField
          label="Turns"
          field={at.light.turnCount}
          hint={
            layout === 'block' ? 'evenly over the block' : placed ? 'one beside the other' : 'evenly over the depth'
          }
        />
      )}
      {layout === 'rim' && (
        <NumberField
          label="From the back"
          field={at.light.fromBackMm}
          unit="mm"
          optional
          hint={placed ? 'to the middle of the strip' : 'empty: evenly over the depth'}
        />
      )}
      {layout === 'rim' && facing === 'out' && (
        <NumberField
          label="Ledge stands in"
          field={at.light.insetMm}
          otherwise={usualInsetMm}
          unit="mm"
          hint="from the returns, which send the light on to the face"
        />
      )}
      {layout !== 'rows' && (
        <ChoiceField
          label="At corners"
          field={at.light.corners}
          otherwise="cut"
          choices={[
            { value: 'cut', label: 'cut and wired' },
            { value: 'bent', label: 'bent round' },
          ]}
        />
      )}
      {layout === 'rim' && <SidesField />}
      <LengthField
        label="End margin"
        field={at.light.endMarginMm}
        hint={leftover > 0 ? `${show(leftover)} of each row is left over between cut marks` : 'rows end on a cut mark'}
      />
    </>
  );
};

const aboutBands = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter(({ rule }) => rule === 'dots-show');

/** The strip of a case; `children` stand for the fields of where it runs, where that is told in another way. */
export const LightStep = ({ children = <CaseRuns /> }: { readonly children?: ReactNode }) => {
  const at = useFields<BoxAssembly>();
  const { strips } = useCatalogue();
  const own = useOwnBox();
  const bands = useReadFindings(aboutBands);
  const show = useLength();
  const runs = own?.runs;
  const solved = bands
    .find(({ finding }) => finding.assembly === own?.index)
    ?.finding.fixes.find(({ id, settles }) => id === 'add-rows' && settles);
  const reels = own?.packing.reels.find(({ stripId }) => stripId === own.materials.strip.id)?.reels ?? [];
  return (
    <>
      <ChoiceField label="Strip" field={at.light.stripId} choices={choicesOf(strips, aboutStrip)} wide />
      <StripChanged />
      {children}
      {solved !== undefined && (
        <Button className="my-1 text-left !whitespace-normal" onClick={() => void changeDesign(solved.change)}>
          Hide the bands: {`${solved.label[0]?.toLowerCase() ?? ''}${solved.label.slice(1)}`}
        </Button>
      )}
      <HoldFields />
      <CutsField />
      <PhotometryField />
      <h3 className="mt-3 font-bold">Segments</h3>
      <table className="figure w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>no.</th>
            <th>on</th>
            <th className="text-right">length</th>
            <th className="text-right">LEDs</th>
            <th className="text-right">chain</th>
          </tr>
        </thead>
        <tbody>
          {(runs?.segments ?? []).map((segment, index) => (
            <tr key={segment.number} className="border-b border-line">
              <td>{segment.number}</td>
              <td className="font-sans">{segment.on}</td>
              <td className="text-right">{show(segment.lengthMm)}</td>
              <td className="text-right">{segment.ledCount}</td>
              <td className="text-right">{own === null ? null : chainOf(own, index)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {reels.map((reel, index) => (
        <p key={index} className="mt-1 text-[13px] text-soft">
          Reel {index + 1}: {reel.pieces.length} {reel.pieces.length === 1 ? 'segment' : 'segments'},{' '}
          {show(reel.leftMm)} left on it
        </p>
      ))}
    </>
  );
};
