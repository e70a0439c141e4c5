import type { Packing } from '@vitrum/core';
import { useLength } from '../view/use-length';

type MaterialSheets = Packing['sheets'][number];

interface SheetDrawingProps {
  readonly sheets: MaterialSheets;
  readonly sheet: number;
  /** Pieces that stand out; all of them alike when null. */
  readonly outstanding?: ((label: string) => boolean) | null;
}

/** One sheet with its pieces. */
export const SheetDrawing = ({ sheets, sheet, outstanding = null }: SheetDrawingProps) => {
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
                fill={outstanding === null || outstanding(piece.label) ? '#e5cf9d' : 'none'}
                stroke="#4a4438"
                strokeWidth={long / 500}
              />
              <text
                x={piece.x + piece.widthMm / 2}
                y={short - piece.y - piece.heightMm / 2 + label / 3}
                textAnchor="middle"
                fontSize={Math.min(label, piece.heightMm * 0.7, piece.widthMm / (piece.label.length * 0.55))}
                fill={outstanding === null || outstanding(piece.label) ? '#1a1c21' : 'currentColor'}
              >
                {piece.label}
              </text>
            </g>
          ))}
      </svg>
      <figcaption className="text-xs text-soft">
        {sheets.materialName}, {sheets.form} {sheet + 1} of {sheets.sheets}
        {sheets.sheets > 1 &&
          (sheets.atLeast === sheets.sheets ? ' (no fewer will do)' : ` (${sheets.atLeast} at least)`)}
        , {show(long)} × {show(short)}
      </figcaption>
    </figure>
  );
};
