import { set, type EdgeLitAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { LengthField, useDesignValue } from '../../fields/design-fields';
import { drawingTypes, useDrawingFile } from '../../intake/use-drawing-file';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { lazyPart } from '../../ui/lazy-part';
import { takeOutline } from './outline-edits';

const IntakeDialog = lazyPart(() => import('../../intake/intake-dialog'), 'IntakeDialog');

/** The outline of the sheet: a rectangle with round corners, or a drawing of one closed line. */
export const OutlineField = () => {
  const at = useFields<EdgeLitAssembly>().sheet;
  const outline = useDesignValue(at.outline) ?? null;
  const { file, problem, open, close } = useDrawingFile();
  return (
    <section aria-label="Outline">
      {outline === null && <LengthField label="Corner radius" field={at.cornerMm} />}
      <div className="flex flex-wrap items-center justify-between gap-2 py-1">
        <span className="min-w-0 truncate text-[13px] text-soft">
          {outline === null ? 'Or its outline from a drawing' : `Outline of ${outline.name}, as wide and high as above`}
        </span>
        <span className="flex gap-1.5">
          {outline !== null && <Button onClick={() => void changeDesign([set(at.outline, null)])}>A rectangle</Button>}
          <FileButton label={outline === null ? 'Outline …' : 'Another …'} accept={drawingTypes} onFile={open} />
        </span>
      </div>
      <Alert problem={problem} />
      {file !== null && (
        <IntakeDialog
          file={file}
          onClose={() => close()}
          onUse={(value) => {
            const [wrong] = changeDesign(takeOutline(at, value));
            close(wrong === undefined ? null : wrong.message);
          }}
        />
      )}
    </section>
  );
};
