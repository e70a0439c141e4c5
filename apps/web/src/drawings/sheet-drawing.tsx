import type { Packing } from '@vitrum/core';
import { useLength } from '../view/use-length';
import { SheetFigure } from './sheet-figure';

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
  const { sheetWidthMm, sheetHeightMm } = sheets;
  return (
    <SheetFigure
      label={`${sheets.materialName}, sheet ${sheet + 1}`}
      sheetMm={[sheetWidthMm, sheetHeightMm]}
      placed={sheets.placed.filter((piece) => piece.sheet === sheet)}
      isFull={(label) => outstanding === null || outstanding(label)}
    >
      {sheets.materialName}, {sheets.form} {sheet + 1} of {sheets.sheets}
      {sheets.sheets > 1 &&
        (sheets.atLeast === sheets.sheets ? ' (no fewer will do)' : ` (${sheets.atLeast} at least)`)}
      , {show(Math.max(sheetWidthMm, sheetHeightMm))} × {show(Math.min(sheetWidthMm, sheetHeightMm))}
    </SheetFigure>
  );
};
