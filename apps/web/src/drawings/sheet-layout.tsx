import { useEvaluation } from '../evaluation/evaluation-store';
import { SheetDrawing } from './sheet-drawing';

const drawnAtMost = 4;

/** Parts on their sheets, ripped along and cross-cut, kerf left between. */
export const SheetLayout = () => {
  const packing = useEvaluation((state) => state.evaluation?.packing);
  if (packing === undefined) return <div className="h-[262px] shrink-0 bg-sheet" />;
  return (
    <section
      aria-label="Sheet layout"
      tabIndex={0}
      className="flex h-[262px] shrink-0 gap-6 overflow-x-auto border-t border-line bg-sheet px-4 py-3"
    >
      {packing.sheets.length === 0 && <p className="text-soft">Nothing of this sign is cut from sheet.</p>}
      {packing.sheets.flatMap((sheets) =>
        Array.from({ length: Math.min(drawnAtMost, sheets.sheets) }, (_, sheet) => (
          <SheetDrawing key={`${sheets.materialId}-${sheet}`} sheets={sheets} sheet={sheet} />
        )),
      )}
    </section>
  );
};
