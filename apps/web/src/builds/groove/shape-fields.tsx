import { drawnSize, set, type GrooveAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { drawingTypes, useDrawingFile } from '../../intake/use-drawing-file';
import { Alert } from '../../steps/artwork-source';
import { FileButton } from '../../ui/file-button';
import { lazyPart } from '../../ui/lazy-part';

const IntakeDialog = lazyPart(() => import('../../intake/intake-dialog'), 'IntakeDialog');

/** A carrier is at least so large, and at most (mm). */
const [leastMm, mostMm] = [20, 6000];

/** The outline of the carrier: by a margin round the lines, a rectangle, a band, or a drawing. */
export const ShapeFields = () => {
  const at = useFields<GrooveAssembly>().carrier;
  const shape = useDesignValue(at.shape);
  const outline = useDesignValue(at.outline) ?? null;
  const { file, problem, open, close } = useDrawingFile();
  return (
    <section aria-label="Outline of the carrier">
      <ChoiceField
        label="Outline"
        field={at.shape}
        choices={[
          { value: 'margin', label: 'a rectangle round the lines' },
          { value: 'rectangle', label: 'a rectangle of its own' },
          { value: 'contour', label: 'a band that follows the lines' },
          ...(outline === null ? [] : [{ value: 'drawing' as const, label: `as ${outline.name}` }]),
        ]}
      />
      {(shape === 'margin' || shape === 'contour') && <LengthField label="Margin" field={at.marginMm} />}
      {(shape === 'rectangle' || shape === 'drawing') && (
        <>
          <LengthField label="Carrier width" field={at.widthMm} otherwise={600} />
          {shape === 'rectangle' && <LengthField label="Carrier height" field={at.heightMm} otherwise={400} />}
          <LengthField label="Lines, right" field={at.offsetXMm} otherwise={0} hint="of the carrier’s middle" />
          <LengthField label="Lines, up" field={at.offsetYMm} otherwise={0} hint="of the carrier’s middle" />
        </>
      )}
      {(shape === 'margin' || shape === 'rectangle') && (
        <LengthField label="Corner radius" field={at.cornerMm} otherwise={0} />
      )}
      <div className="flex flex-wrap items-center justify-between gap-2 py-1">
        <span className="min-w-0 truncate text-[13px] text-soft">Or its outline from a drawing</span>
        <FileButton label="Outline …" accept={drawingTypes} onFile={open} />
      </div>
      <Alert problem={problem} />
      {file !== null && (
        <IntakeDialog
          file={file}
          onClose={() => close()}
          onUse={(value) => {
            const { widthMm } = drawnSize(value);
            const [wrong] = changeDesign([
              set(at.outline, value),
              set(at.shape, 'drawing'),
              set(at.widthMm, Math.min(mostMm, Math.max(leastMm, Math.round(widthMm)))),
            ]);
            close(wrong === undefined ? null : wrong.message);
          }}
        />
      )}
    </section>
  );
};
