import type { AnyAssembly } from '@vitrum/core';
import type { ReactNode } from 'react';
import { drawingTypes, useDrawingFile } from '../intake/use-drawing-file';
import { FileButton } from '../ui/file-button';
import { lazyPart } from '../ui/lazy-part';
import { Alert } from './artwork-source';

const IntakeDialog = lazyPart(() => import('../intake/intake-dialog'), 'IntakeDialog');

interface DrawingPickProps {
  /** What stands there, or what a drawing would be for. */
  readonly label: ReactNode;
  readonly button: string;
  /** What else may be done with what is there. */
  readonly besides?: ReactNode;
  /** Takes the drawing into the design, and says what is wrong with it, or null. */
  readonly onUse: (drawing: NonNullable<AnyAssembly['artwork']['drawing']>) => string | null;
}

/** A drawing for one field: its file picked, laid open, and taken. */
export const DrawingPick = ({ label, button, besides, onUse }: DrawingPickProps) => {
  const { file, problem, open, close } = useDrawingFile();
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-2 py-1">
        <span className="min-w-0 truncate text-[13px] text-soft">{label}</span>
        <span className="flex gap-1.5">
          {besides}
          <FileButton label={button} accept={drawingTypes} onFile={open} />
        </span>
      </div>
      <Alert problem={problem} />
      {file !== null && <IntakeDialog file={file} onClose={() => close()} onUse={(drawing) => close(onUse(drawing))} />}
    </>
  );
};
