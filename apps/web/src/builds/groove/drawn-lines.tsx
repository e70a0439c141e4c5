import { asDrawnLines, set, usualIntake, type GrooveAssembly, type GrooveResults, type TakenLines } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { useDesignValue } from '../../fields/design-fields';
import { useTakenFile } from '../../intake/use-taken-file';
import { Alert } from '../../steps/artwork-source';
import { Button } from '../../ui/button';
import { FileButton } from '../../ui/file-button';
import { useLength } from '../../view/use-length';
import { chooseLine, useChosenLine } from './chosen-line';
import { LineFields } from './line-fields';
import { takeDrawn, toDrawOn, withNewLine } from './line-edits';

/** Strokes come out of drawings alone. */
const lineTypes = '.svg,.svgz,.dxf,.pdf,.png,.jpg,.jpeg';

/** Lines of a file that are being read, and what came of it. */
const useLinesFile = (take: (lines: TakenLines, name: string) => string | null) =>
  useTakenFile(
    (file) => ({ kind: 'take-lines', file, options: usualIntake }),
    (reply, name) =>
      reply.kind === 'lines-taken'
        ? { problem: take(reply.taken, name), told: [...reply.taken.changes, ...reply.taken.notes] }
        : null,
  );

/** Lines from a file, or drawn on by hand. */
export const DrawnLines = () => {
  const at = useFields<GrooveAssembly>().lines;
  const own = useOwnOf<GrooveResults>('groove');
  const from = useDesignValue(at.from);
  const drawn = useDesignValue(at.drawn) ?? null;
  const chosen = useChosenLine(({ line }) => line);
  const show = useLength();
  const { open, problem, busy, told } = useLinesFile((taken, name) => {
    const [wrong] = changeDesign(takeDrawn(at, asDrawnLines(taken, name)));
    chooseLine(0);
    return wrong?.message ?? null;
  });
  const drawOn = (): void => {
    if (own === null) return;
    changeDesign(takeDrawn(at, toDrawOn(own.geometry.lines, own.geometry.linesAt, 'lines drawn on')));
    chooseLine(0);
  };
  return (
    <section aria-label="Lines drawn" className="mt-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="min-w-0 truncate font-bold">
          {from === 'drawn' && drawn !== null ? drawn.name : 'Or lines of your own'}
        </h3>
        <span className="flex flex-wrap gap-1.5">
          <FileButton label="Strokes of SVG, DXF, PDF …" accept={lineTypes} onFile={open} />
          {from !== 'drawn' && own !== null && <Button onClick={drawOn}>Draw on by hand</Button>}
        </span>
      </div>
      {busy && <p role="status">Reading the drawing …</p>}
      <Alert problem={problem} />
      {from === 'drawn' &&
        told.map((each) => (
          <p key={each} className="text-[13px] text-soft">
            {each}
          </p>
        ))}
      {from === 'drawn' && drawn !== null && (
        <>
          <div role="group" aria-label="Line" className="my-1 flex flex-wrap items-center gap-1">
            {drawn.lines.slice(0, 40).map((_, line) => (
              <Button
                key={line}
                className="aria-pressed:bg-ink aria-pressed:text-paper"
                aria-pressed={line === chosen}
                aria-label={`Line ${line + 1}`}
                onClick={() => chooseLine(line)}
              >
                {line + 1}
              </Button>
            ))}
            <Button
              onClick={() => {
                changeDesign([set(at.drawn, withNewLine(drawn, 200))]);
                chooseLine(drawn.lines.length);
              }}
            >
              Another line
            </Button>
          </div>
          <LineFields drawn={drawn} chosen={chosen} />
          <p className="mt-1 text-[13px] text-soft">
            Drag its points over the sign, or move them by arrow keys; the small circles between make new ones, Delete
            takes one away. Ends come to whole cuts of the strip
            {own === null ? '' : ` (every ${show(own.materials.strip.cutPitchMm)})`}.
          </p>
        </>
      )}
    </section>
  );
};
