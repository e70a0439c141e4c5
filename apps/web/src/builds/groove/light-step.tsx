import {
  bareOf,
  isEven,
  runsIn,
  usualBareMm,
  type Finding,
  type GrooveAssembly,
  type GrooveResults,
} from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { useReadFindings } from '../../evaluation/read-findings';
import { ChoiceField, LengthField } from '../../fields/design-fields';
import { aboutStrip } from '../../fields/material-facts';
import { StripChanged } from '../../fields/strip-changed';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CutsField } from '../../steps/cuts-field';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';
import { Button } from '../../ui/button';
import { LayerFields } from './layer-fields';
import { useLength } from '../../view/use-length';

const aboutUneven = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter(({ rule }) => rule === 'runs-uneven');

/** Every run made whole cuts, at a click: the ways that were tried. */
const EvenWays = ({ own }: { readonly own: GrooveResults }) => {
  const ways = useReadFindings(aboutUneven)
    .filter(({ finding }) => finding.assembly === own.index)
    .flatMap(({ finding }) => finding.fixes.filter(({ id }) => id.startsWith('even-')));
  return ways.map(({ id, label, change, before, after }) => (
    <Button key={id} className="my-0.5 block text-left !whitespace-normal" onClick={() => void changeDesign(change)}>
      {label} ({before} uneven → {after})
    </Button>
  ));
};

/** Run by run: its room, the strip in it, what stays bare. */
const Runs = ({ own }: { readonly own: GrooveResults }) => {
  const show = useLength();
  const most = bareOf(own);
  const stretches = runsIn(own);
  const uneven = stretches.filter((run) => !isEven(run, most)).length;
  return (
    <>
      <h3 className="mt-3 font-bold">Runs</h3>
      <p className="text-[13px]">
        {uneven === 0
          ? `All ${stretches.length} are whole cuts.`
          : `${uneven} of ${stretches.length} are not whole cuts.`}
      </p>
      <EvenWays own={own} />
      <table className="figure mt-1 w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>line</th>
            <th>no.</th>
            <th className="text-right">room</th>
            <th className="text-right">strip</th>
            <th className="text-right">cuts</th>
            <th className="text-right">bare</th>
          </tr>
        </thead>
        <tbody>
          {stretches.map((run, index) => (
            <tr key={index} className={`border-b border-line ${isEven(run, most) ? '' : 'font-bold text-signal'}`}>
              <td>{run.line}</td>
              <td>{run.segment ?? '–'}</td>
              <td className="text-right">{show(run.roomMm)}</td>
              <td className="text-right">{show(run.lengthMm)}</td>
              <td className="text-right">{Math.round(run.lengthMm / run.cutPitchMm)}</td>
              <td className="text-right">{show(run.bareMm)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
};

/** Which strip lies in the groove, and how its runs come out. */
export const LightStep = () => {
  const at = useFields<GrooveAssembly>();
  const { strips } = useCatalogue();
  const own = useOwnOf<GrooveResults>('groove');
  const show = useLength();
  const corners = own?.runs.corners.length ?? 0;
  return (
    <>
      <ChoiceField
        label="Strip"
        field={at.light.stripId}
        choices={choicesOf(
          strips.filter(({ form }) => form !== 'modules'),
          aboutStrip,
        )}
        wide
        hint={
          own === null
            ? undefined
            : `bends to ${show(own.geometry.groove.bendRadiusMm)} with what is over it; ${corners === 0 ? 'goes round every corner' : `${corners} corners are sharper`}`
        }
      />
      <StripChanged />
      <LengthField
        label="May stay bare"
        field={at.light.bareMm}
        otherwise={usualBareMm}
        hint="of each run, both ends together"
      />
      <LengthField
        label="Past the mark"
        field={at.light.spareMm}
        hint="of strip left on at both ends of a run, to solder on; it stays dark"
      />
      {own !== null && <LayerFields own={own} />}
      {own !== null && <Runs own={own} />}
      <HoldFields />
      <CutsField />
      <PhotometryField />
    </>
  );
};
