import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { LaidSheets } from '../stock/laid-sheets';
import { Ways } from '../ui/ways';
import { SetUps } from './set-ups/set-ups';
import { SheetDrawing } from './sheet-drawing';

const drawnAtMost = 4;

/** Parts on their sheets, ripped along and cross-cut, kerf left between. */
const Sheets = () => {
  const packing = useEvaluation((state) => state.evaluation?.packing);
  if (packing === undefined) return null;
  if (packing.sheets.length === 0) return <p className="text-soft">Nothing of this sign is cut from sheet.</p>;
  return packing.sheets.flatMap((sheets) =>
    Array.from({ length: Math.min(drawnAtMost, sheets.sheets) }, (_, sheet) => (
      <SheetDrawing key={`${sheets.materialId}-${sheet}`} sheets={sheets} sheet={sheet} />
    )),
  );
};

const views = [
  { value: 'sheets', label: 'Sheets and bars' },
  { value: 'here', label: 'On what is here' },
  { value: 'set-ups', label: 'Set-ups' },
] as const;

/** What the step Cut shows under the picture: parts on their sheets, or the settings of saw and router table. */
export const SheetLayout = () => {
  const [view, setView] = useState<(typeof views)[number]['value']>('sheets');
  const sawn =
    useEvaluation(({ evaluation }) => evaluation?.parts.cut.some(({ member }) => member !== undefined)) ?? false;
  const shown = view === 'set-ups' && !sawn ? 'sheets' : view;
  const offered = views.filter(({ value }) => sawn || value !== 'set-ups');
  return (
    <div className="flex h-[330px] shrink-0 flex-col border-t border-line bg-sheet">
      <div className="flex flex-wrap items-center justify-between gap-x-4 px-3">
        <Ways label="What is shown of the cutting" value={shown} options={offered} onChoose={setView} />
        {shown === 'set-ups' && (
          <p className="flex items-center gap-1.5 text-[13px] text-caution">
            <TriangleAlert size={14} aria-hidden /> Push block, eye, ear and dust protection; by each machine’s manual.
          </p>
        )}
      </div>
      <section
        // Another list begins at its beginning.
        key={shown}
        aria-label={shown === 'set-ups' ? 'Set-ups' : 'Sheet layout'}
        tabIndex={0}
        className="flex min-h-0 flex-1 gap-6 overflow-x-auto px-4 py-2"
      >
        {shown === 'sheets' && <Sheets />}
        {shown === 'here' && <LaidSheets />}
        {shown === 'set-ups' && <SetUps />}
      </section>
    </div>
  );
};
