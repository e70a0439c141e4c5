import type { PlacedPiece } from '@vitrum/core';
import type { ReactNode } from 'react';

interface SheetFigureProps {
  readonly label: string;
  readonly sheetMm: readonly [widthMm: number, heightMm: number];
  readonly placed: readonly PlacedPiece[];
  /** Pieces that stand out; the others are drawn as lines. */
  readonly isFull: (label: string) => boolean;
  readonly children: ReactNode;
}

/** A sheet, long side along, with the pieces that lie on it; what is said of it below. */
export const SheetFigure = ({ label, sheetMm, placed, isFull, children }: SheetFigureProps) => {
  const [long, short] = [Math.max(...sheetMm), Math.min(...sheetMm)];
  const letters = long / 22;
  return (
    <figure className="flex h-full min-w-[240px] flex-1 basis-0 flex-col">
      <svg
        viewBox={`-10 -10 ${long + 20} ${short + 20}`}
        className="min-h-0 w-full flex-1"
        role="img"
        aria-label={label}
      >
        <rect width={long} height={short} className="fill-paper stroke-soft" strokeWidth={long / 400} />
        {placed.map((piece, at) => (
          <g key={`${piece.label} ${at}`}>
            <rect
              x={piece.x}
              y={short - piece.y - piece.heightMm}
              width={piece.widthMm}
              height={piece.heightMm}
              fill={isFull(piece.label) ? '#e5cf9d' : 'none'}
              stroke="#4a4438"
              strokeWidth={long / 500}
            />
            <text
              x={piece.x + piece.widthMm / 2}
              y={short - piece.y - piece.heightMm / 2 + letters / 3}
              textAnchor="middle"
              fontSize={Math.min(letters, piece.heightMm * 0.7, piece.widthMm / (piece.label.length * 0.55))}
              fill={isFull(piece.label) ? '#1a1c21' : 'currentColor'}
            >
              {piece.label}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-xs text-soft">{children}</figcaption>
    </figure>
  );
};
