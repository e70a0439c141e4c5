import type { Packing } from '@vitrum/core';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useLength } from '../view/use-length';

type MaterialSheets = Packing['sheets'][number];

const SheetDrawing = ({ sheets, sheet }: { readonly sheets: MaterialSheets; readonly sheet: number }) => {
  const show = useLength();
  const long = Math.max(sheets.sheetWidthMm, sheets.sheetHeightMm);
  const short = Math.min(sheets.sheetWidthMm, sheets.sheetHeightMm);
  const label = long / 40;
  return (
    <figure className="flex h-full min-w-[150px] flex-1 basis-0 flex-col">
      <svg
        viewBox={`-10 -10 ${long + 20} ${short + 20}`}
        className="min-h-0 w-full flex-1"
        role="img"
        aria-label={`${sheets.materialName}, sheet ${sheet + 1}`}
      >
        <rect width={long} height={short} className="fill-paper stroke-soft" strokeWidth={long / 400} />
        {sheets.placed
          .filter((piece) => piece.sheet === sheet)
          .map((piece) => (
            <g key={piece.label}>
              <rect
                x={piece.x}
                y={short - piece.y - piece.heightMm}
                width={piece.widthMm}
                height={piece.heightMm}
                fill="#e5cf9d"
                stroke="#4a4438"
                strokeWidth={long / 500}
              />
              <text
                x={piece.x + piece.widthMm / 2}
                y={short - piece.y - piece.heightMm / 2 + label / 3}
                textAnchor="middle"
                fontSize={Math.min(label, piece.heightMm * 0.7, piece.widthMm / (piece.label.length * 0.55))}
                fill="#1a1c21"
              >
                {piece.label}
              </text>
            </g>
          ))}
      </svg>
      <figcaption className="text-xs text-soft">
        {sheets.materialName}, {sheets.form} {sheet + 1} of {sheets.sheets}, {show(long)} × {show(short)}
      </figcaption>
    </figure>
  );
};

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
