import { fontPacking, formatLength, openFontFile, parseLength, set } from '@vitrum/core';
import { fromByteArray } from 'base64-js';
import { useState } from 'react';
import { unpackFont } from '../api/fonts';
import { changeDesign } from '../document/document-store';
import { useDesignValue } from '../fields/design-fields';
import { TypedField } from '../fields/typed-field';
import { drawingTypes, useDrawingFile } from '../intake/use-drawing-file';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { lazyPart } from '../ui/lazy-part';
import { useView } from '../view/view-store';
import { useArtworkPlace } from './artwork-at';

const IntakeDialog = lazyPart(() => import('../intake/intake-dialog'), 'IntakeDialog');

/** What was wrong with a file that was to be taken in. */
export const Alert = ({ problem }: { readonly problem: string | null }) =>
  problem === null ? null : (
    <p role="alert" className="mt-1 text-xs font-semibold text-signal">
      {problem}. The design is as it was.
    </p>
  );

/** Width of the drawing; typing it scales the drawing. */
const DrawingWidth = ({ scale }: { readonly scale: number }) => {
  const { fields: at, size } = useArtworkPlace();
  const unit = useView((view) => view.unit);
  if (size === null || size.width <= 0) return null;
  const save = (text: string): string | null => {
    const parsed = parseLength(text, unit);
    if (!parsed.ok) return parsed.problems[0]?.message ?? 'not a length';
    const [problem] = changeDesign([set(at.drawing.scale, (scale * parsed.value) / size.width)]);
    return problem?.message ?? null;
  };
  return (
    <TypedField
      label="Drawing’s width"
      stored={formatLength(size.width, unit)}
      save={save}
      hint={`${formatLength(size.height, unit)} high`}
    />
  );
};

/** A drawing in the place of text: loaded, sized, or put away again. */
export const DrawingField = () => {
  const { fields: at } = useArtworkPlace();
  const drawing = useDesignValue(at.drawing);
  const { file, problem, open, close } = useDrawingFile();
  return (
    <section aria-label="Drawing" className="mt-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="min-w-0 truncate font-bold">{drawing ? drawing.name : 'Or a drawing of your own'}</h3>
        <span className="flex gap-1.5">
          {drawing && <Button onClick={() => void changeDesign([set(at.drawing, null)])}>Back to text</Button>}
          <FileButton label={drawing ? 'Another …' : 'SVG, DXF, PDF, scan …'} accept={drawingTypes} onFile={open} />
        </span>
      </div>
      <Alert problem={problem} />
      {drawing && <DrawingWidth scale={drawing.scale} />}
      {file !== null && (
        <IntakeDialog
          file={file}
          onClose={() => close()}
          onUse={(value) => {
            const [wrong] = changeDesign([set(at.drawing, value)]);
            close(wrong === undefined ? null : wrong.message);
          }}
        />
      )}
    </section>
  );
};

/** A font file of the shop’s own, in the place of one that ships with the program. */
export const OwnFontField = () => {
  const { fields: at } = useArtworkPlace();
  const own = useDesignValue(at.ownFont);
  const [problem, setProblem] = useState<string | null>(null);
  const keepFont = async (file: File): Promise<readonly { readonly message: string }[]> => {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const keep = (base64: string) => changeDesign([set(at.ownFont, { name: file.name.slice(0, 160), base64 })]);
    if (fontPacking(bytes) === 'woff2') return keep(await unpackFont(bytes));
    const font = await openFontFile(file.name, bytes);
    return font.ok ? keep(fromByteArray(font.value)) : font.problems;
  };
  const onFile = async (file: File): Promise<void> => {
    const [wrong] = await keepFont(file).catch((error: unknown) => [{ message: String((error as Error).message) }]);
    setProblem(wrong === undefined ? null : `${file.name}: ${wrong.message}`);
  };
  return (
    <div className="py-1">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <span className="min-w-0 truncate text-[13px] text-soft">
          {own ? `Set in ${own.name}` : 'Own font: TTF, OTF, WOFF or WOFF2'}
        </span>
        {own ? (
          <Button onClick={() => void changeDesign([set(at.ownFont, null)])}>Use a shipped font</Button>
        ) : (
          <FileButton label="Font file …" accept=".ttf,.otf,.woff,.woff2" onFile={onFile} />
        )}
      </div>
      <Alert problem={problem} />
    </div>
  );
};
