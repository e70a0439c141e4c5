import type { LaidSheet, Short } from '@vitrum/core';
import { SheetFigure } from '../drawings/sheet-figure';
import { useLength } from '../view/use-length';
import { amountWords } from './amount-words';
import { useJobStock } from './job-stock-query';

const whence = ({ lotId, offcut, bar }: LaidSheet): string => {
  if (lotId === null) return `${bar ? 'bar' : 'sheet'} to be bought`;
  return offcut ? 'offcut that is here' : `${bar ? 'bar' : 'sheet'} that is here`;
};

/** How many of a material are to be bought beside what lies there, and whether that is proven to be the least. */
const ToBuy = ({ short }: { readonly short: Short }) => (
  <li>
    {short.name}: buy {amountWords(short.amount, short.unit)},{' '}
    {short.atLeast === short.amount ? 'no fewer will do' : `${short.atLeast} at least`}
  </li>
);

/** A sheet or bar with the parts of the job on it. */
const Laid = ({ sheet }: { readonly sheet: LaidSheet }) => {
  const show = useLength();
  const size = (piece: readonly [number, number]): string => `${show(piece[0])} × ${show(piece[1])}`;
  return (
    <SheetFigure
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
};

/** The parts of a job on what lies in the shop, offcuts first, and on what is to be bought: as the job was saved. */
export const LaidSheets = () => {
  const { data, error } = useJobStock();
  if (error !== null) return <p role="alert">{error.message}</p>;
  if (data === undefined || data.needs.length === 0) return <p className="text-soft">Looking through stock …</p>;
  if (data.laid.length === 0) return <p className="text-soft">Nothing of this sign is cut from sheet.</p>;
  const short = data.shorts.filter(({ atLeast }) => atLeast !== undefined);
  return (
    <>
      {short.length > 0 && (
        <ul aria-label="Beside what is here" className="w-52 shrink-0 space-y-1 pt-1 text-[13px]">
          <li className="font-bold">Beside what is here</li>
          {short.map((each) => (
            <ToBuy key={`${each.kind} ${each.lineId}`} short={each} />
          ))}
        </ul>
      )}
      {data.laid.map((sheet, at) => (
        <Laid key={`${sheet.lotId ?? 'buy'} ${sheet.lineId} ${at}`} sheet={sheet} />
      ))}
    </>
  );
};
