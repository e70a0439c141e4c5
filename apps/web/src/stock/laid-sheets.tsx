import type { LaidSheet } from '@vitrum/core';
import { SheetFigure } from '../drawings/sheet-figure';
import { useLength } from '../view/use-length';
import { useJobStock } from './job-stock-query';

const whence = ({ lotId, offcut, bar }: LaidSheet): string => {
  if (lotId === null) return `${bar ? 'bar' : 'sheet'} to be bought`;
  return offcut ? 'offcut that is here' : `${bar ? 'bar' : 'sheet'} that is here`;
};

/** The parts of a job on what lies in the shop, offcuts first, and on what is to be bought: as the job was saved. */
export const LaidSheets = () => {
  const show = useLength();
  const { data, error } = useJobStock();
  if (error !== null) return <p role="alert">{error.message}</p>;
  if (data === undefined || data.needs.length === 0) return <p className="text-soft">Looking through stock …</p>;
  if (data.laid.length === 0) return <p className="text-soft">Nothing of this sign is cut from sheet.</p>;
  return data.laid.map((sheet, at) => {
    const size = (piece: readonly [number, number]): string => `${show(piece[0])} × ${show(piece[1])}`;
    return (
      <SheetFigure
        key={`${sheet.lotId ?? 'buy'} ${sheet.lineId} ${at}`}
        label={`${sheet.name}, ${whence(sheet)}`}
        sheetMm={sheet.sheetMm}
        placed={sheet.placed}
        isFull={(label) => label !== '–'}
      >
        {sheet.name}, <strong className="text-ink">{whence(sheet)}</strong>, {size(sheet.sheetMm)}
        {sheet.leftMm.length > 0 && `; leaves ${sheet.leftMm.map(size).join(' and ')}`}
        {sheet.placed.some(({ label }) => label === '–') && '; – is kept for a job before this'}
      </SheetFigure>
    );
  });
};
