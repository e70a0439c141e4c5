import { cornerWords, type Segment } from '@vitrum/core';
import { changeDesign, useDocument } from '../../../document/document-store';
import { useLetterEvaluation } from '../../../evaluation/evaluation-store';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../../fields/design-fields';
import { Button } from '../../../ui/button';
import { useLength } from '../../../view/use-length';
import { choicesOf, useCatalogue } from '../../catalogue-context';
import { layPiece, letLie, movedOf } from '../../halo-edits';
import { PhotometryField } from '../photometry-field';

const at = 'assemblies.0.light';

const useLeftOut = (): readonly number[] => (useDesignValue(`${at}.leftOut`) as readonly number[] | undefined) ?? [];

const PieceRow = ({ segment, chain }: { readonly segment: Segment; readonly chain: number | undefined }) => {
  const show = useLength();
  const leftOut = useLeftOut();
  const moved = useDocument(({ design }) => movedOf(design));
  const held = moved.filter(({ piece }) => piece === segment.number);
  return (
    <tr className="border-b border-line">
      <td>{segment.number}</td>
      <td className="text-right">{show(segment.lengthMm)}</td>
      <td className="text-right">{segment.ledCount}</td>
      <td className="text-right">{chain}</td>
      <td className="text-right font-sans whitespace-nowrap">
        {held.map(({ piece, module, alongMm }) => (
          <button
            key={module ?? 0}
            type="button"
            className="mr-2 underline"
            title={`pushed ${alongMm} mm; let it lie as solved`}
            onClick={() => void changeDesign(letLie(moved, { piece, module }))}
          >
            let {module === undefined ? '' : `module ${module} `}go
          </button>
        ))}
        <button
          type="button"
          className="underline"
          aria-label={`Leave out piece ${segment.number}`}
          onClick={() => void changeDesign(layPiece(leftOut, segment.number, false))}
        >
          leave out
        </button>
      </td>
    </tr>
  );
};

const Pieces = () => {
  const evaluation = useLetterEvaluation();
  const leftOut = useLeftOut();
  const show = useLength();
  if (evaluation === null) return null;
  const { runs, jumpers, circuit, packing } = evaluation;
  const open = jumpers.filter(({ openMm }) => openMm > 0).length;
  return (
    <>
      <h3 className="mt-3 font-bold">Pieces</h3>
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
            <PieceRow
              key={segment.number}
              segment={segment}
              chain={circuit.chains.find(({ segments }) => segments.includes(index))?.number}
            />
          ))}
        </tbody>
      </table>
      {leftOut.length > 0 && (
        <Button className="mt-1" onClick={() => void changeDesign([{ path: `${at}.leftOut`, value: [] }])}>
          Lay all again ({leftOut.length} left out)
        </Button>
      )}
      <p className="mt-1 text-[13px] text-soft">
        {jumpers.length} jumpers, {show(jumpers.reduce((sum, { lengthMm }) => sum + lengthMm, 0))} of wire;{' '}
        {open === 0 ? 'none in the open' : `${open} cross open wall`}. With the strip shown, drag{' '}
        {evaluation.materials.strip.form === 'modules'
          ? 'the start of a string or a single module'
          : 'the start of a piece'}{' '}
        along its path: it is held there.
      </p>
      {packing.reels.reels.map((reel, index) => (
        <p key={index} className="mt-1 text-[13px] text-soft">
          Reel {index + 1}: {reel.pieces.length} pieces, {show(reel.leftMm)} left on it
        </p>
      ))}
    </>
  );
};

/** Strip or modules in letters. */
export const LetterLightStep = () => {
  const { strips } = useCatalogue();
  const evaluation = useLetterEvaluation();
  const show = useLength();
  const layout = useDesignValue(`${at}.layout`);
  const behind = useDesignValue('assemblies.0.build') === 'halo';
  const lines = useDesignValue(`${at}.lineCount`) as number;
  const corners = evaluation?.runs.corners ?? [];
  return (
    <>
      <ChoiceField
        label="Strip or modules"
        path={`${at}.stripId`}
        choices={choicesOf(strips)}
        wide
        hint={
          evaluation === null
            ? undefined
            : `bends to ${show(evaluation.materials.strip.bendRadiusMm)}; ${corners.length === 0 ? 'goes round every corner' : cornerWords(corners)}`
        }
      />
      <ChoiceField
        label="Runs"
        path={`${at}.layout`}
        choices={[
          { value: 'outline', label: 'along the outline' },
          { value: 'centre', label: 'along the middle of strokes' },
          { value: 'rows', label: 'in rows that fill them' },
        ]}
      />
      {layout === 'outline' && behind && (
        <ChoiceField
          label="Lies"
          path={`${at}.standing`}
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: 'flat, facing the wall' },
            { value: 'true', label: 'on its side' },
          ]}
        />
      )}
      <LengthField
        label="Setback"
        path={`${at}.setbackMm`}
        hint={
          layout === 'centre'
            ? 'strokes narrower than twice this and the strip stay without'
            : behind
              ? 'edge to strip'
              : 'return to strip'
        }
      />
      {layout === 'outline' && <NumberField label="Lines" path={`${at}.lineCount`} />}
      {(layout === 'rows' || (layout === 'outline' && lines > 1)) && (
        <LengthField label={layout === 'rows' ? 'Row pitch' : 'Line pitch'} path={`${at}.linePitchMm`} />
      )}
      <PhotometryField />
      <Pieces />
    </>
  );
};
