import { set } from '@vitrum/core';
import { useFields } from '../../document/selection';
import type { LetterAssembly } from '@vitrum/core';
import { cornerWords, type LetterResults, type Segment } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useEvaluation } from '../../evaluation/evaluation-store';
import { chainOf, useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';
import { useLength } from '../../view/use-length';
import { aboutStrip } from '../../fields/material-facts';
import { StripChanged } from '../../fields/strip-changed';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { leaveOut, letLie, useMoved } from './strip-edits';
import { CutsField } from '../../steps/cuts-field';
import { HoldFields } from '../../steps/hold-fields';
import { PhotometryField } from '../../steps/photometry-field';

const none: readonly number[] = [];

const useLeftOut = (): readonly number[] => useDesignValue(useFields<LetterAssembly>().light.leftOut) ?? none;

const SegmentRow = ({ segment, chain }: { readonly segment: Segment; readonly chain: number | undefined }) => {
  const at = useFields<LetterAssembly>();
  const show = useLength();
  const leftOut = useLeftOut();
  const moved = useMoved();
  const held = moved.filter((each) => each.segment === segment.number);
  return (
    <tr className="border-b border-line">
      <td>{segment.number}</td>
      <td className="text-right">{show(segment.lengthMm)}</td>
      <td className="text-right">{segment.ledCount}</td>
      <td className="text-right">{chain}</td>
      <td className="text-right font-sans whitespace-nowrap">
        {held.map(({ module, alongMm }) => (
          <button
            key={module ?? 0}
            type="button"
            className="mr-2 underline"
            title={`pushed ${alongMm} mm; let it lie as solved`}
            onClick={() => void changeDesign(letLie(at.light.moved, moved, { segment: segment.number, module }))}
          >
            let {module === undefined ? '' : `module ${module} `}go
          </button>
        ))}
        <button
          type="button"
          className="underline"
          aria-label={`Leave out segment ${segment.number}`}
          onClick={() => void changeDesign(leaveOut(at.light.leftOut, leftOut, segment.number))}
        >
          leave out
        </button>
      </td>
    </tr>
  );
};

const Segments = ({ build }: { readonly build: string }) => {
  const at = useFields<LetterAssembly>();
  const own = useOwnOf<LetterResults>(build);
  const packing = useEvaluation((state) => state.evaluation?.packing);
  const leftOut = useLeftOut();
  const show = useLength();
  if (own === null) return null;
  const { runs, jumpers } = own;
  const reels = packing?.reels.find(({ stripId }) => stripId === own.materials.strip.id)?.reels ?? [];
  const open = jumpers.filter(({ openMm }) => openMm > 0).length;
  return (
    <>
      <h3 className="mt-3 font-bold">Segments</h3>
      <table className="figure w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>no.</th>
            <th className="text-right">length</th>
            <th className="text-right">LEDs</th>
            <th className="text-right">chain</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {runs.segments.map((segment, index) => (
            <SegmentRow key={segment.number} segment={segment} chain={chainOf(own, index)} />
          ))}
        </tbody>
      </table>
      {leftOut.length > 0 && (
        <Button className="mt-1" onClick={() => void changeDesign([set(at.light.leftOut, [])])}>
          Lay all again ({leftOut.length} left out)
        </Button>
      )}
      <p className="mt-1 text-[13px] text-soft">
        {jumpers.length} jumpers, {show(jumpers.reduce((sum, { lengthMm }) => sum + lengthMm, 0))} of wire;{' '}
        {open === 0 ? 'none in the open' : `${open} cross open wall`}. With the strip shown, drag{' '}
        {own.materials.strip.form === 'modules' ? 'the start of a string or a single module' : 'the start of a segment'}{' '}
        along its path: it is held there.
      </p>
      {reels.map((reel, index) => (
        <p key={index} className="mt-1 text-[13px] text-soft">
          Reel {index + 1}: {reel.pieces.length} {reel.pieces.length === 1 ? 'segment' : 'segments'},{' '}
          {show(reel.leftMm)} left on it
        </p>
      ))}
    </>
  );
};

interface LetterLightProps {
  readonly build: string;
  /** The strip faces the wall behind; else the face in front. */
  readonly behind: boolean;
}

/** Strip or modules in letters. */
export const LetterLightStep = ({ build, behind }: LetterLightProps) => {
  const at = useFields<LetterAssembly>();
  const { strips } = useCatalogue();
  const evaluation = useOwnOf<LetterResults>(build);
  const show = useLength();
  const layout = useDesignValue(at.light.layout);
  const lines = useDesignValue(at.light.lineCount) ?? 1;
  const corners = evaluation?.runs.corners ?? [];
  return (
    <>
      <ChoiceField
        label="Strip or modules"
        field={at.light.stripId}
        choices={choicesOf(strips, aboutStrip)}
        wide
        hint={
          evaluation === null
            ? undefined
            : `bends to ${show(evaluation.materials.strip.bendRadiusMm)}; ${corners.length === 0 ? 'goes round every corner' : cornerWords(corners)}`
        }
      />
      <StripChanged />
      <ChoiceField
        label="Runs"
        field={at.light.layout}
        choices={[
          { value: 'outline', label: 'along the outline' },
          { value: 'centre', label: 'middle of strokes' },
          { value: 'rows', label: 'in rows that fill them' },
        ]}
      />
      {layout === 'outline' && behind && (
        <ChoiceField
          label="Lies"
          field={at.light.standing}
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: 'flat, facing the wall' },
            { value: 'true', label: 'on its side' },
          ]}
        />
      )}
      <LengthField
        label="Setback"
        field={at.light.setbackMm}
        hint={
          layout === 'centre'
            ? 'strokes narrower than twice this and the strip stay without'
            : behind
              ? 'edge to strip'
              : 'return to strip'
        }
      />
      {layout === 'outline' && <NumberField label="Lines" field={at.light.lineCount} />}
      {(layout === 'rows' || (layout === 'outline' && lines > 1)) && (
        <LengthField label={layout === 'rows' ? 'Row pitch' : 'Line pitch'} field={at.light.linePitchMm} />
      )}
      <HoldFields />
      <CutsField />
      <PhotometryField />
      <Segments build={build} />
    </>
  );
};
