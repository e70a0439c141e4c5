import { formatLength, type AnyAssembly } from '@vitrum/core';
import { drawingTypes, useDrawingFile } from '../intake/use-drawing-file';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { lazyPart } from '../ui/lazy-part';
import { useView } from '../view/view-store';

const IntakeDialog = lazyPart(() => import('../intake/intake-dialog'), 'IntakeDialog');

export type OwnDrawing = NonNullable<AnyAssembly['artwork']['drawing']>;

/** How wide a drawing is, by all its points (mm). */
const widthOf = ({ rings, scale }: OwnDrawing): number => {
  // Rings are x and y in turn.
  const xs = rings.flatMap((ring) => ring.filter((_, index) => index % 2 === 0));
  return xs.reduce((most, x) => Math.max(most, x), 0) * scale - xs.reduce((least, x) => Math.min(least, x), 0) * scale;
};

interface DrawingChoiceProps {
  readonly drawing: OwnDrawing | null;
  readonly onChange: (drawing: OwnDrawing | null) => void;
}

/** A drawing, a scan or a photograph of one in the place of lettering. */
export const DrawingChoice = ({ drawing, onChange }: DrawingChoiceProps) => {
  const unit = useView((view) => view.unit);
  const { file, problem, open, close } = useDrawingFile();
  return (
    <div className="mt-2">
      {drawing === null ? (
        <p className="flex flex-wrap items-center gap-2 text-[13px]">
          <FileButton label="Drawing or photograph of one …" accept={drawingTypes} onFile={open} />
          <span className="text-soft">in place of lettering: SVG, DXF, PNG or JPEG</span>
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-2">
          <span>
            <b>{drawing.name}</b>, <span className="figure">{formatLength(widthOf(drawing), unit)}</span> wide
          </span>
          <Button onClick={() => onChange(null)}>Take it out</Button>
        </p>
      )}
      {problem !== null && (
        <p role="alert" className="mt-1 text-xs font-semibold text-signal">
          {problem}
        </p>
      )}
      {file !== null && (
        <IntakeDialog
          file={file}
          onClose={() => close()}
          onUse={(value) => {
            onChange(value);
            close();
          }}
        />
      )}
    </div>
  );
};
