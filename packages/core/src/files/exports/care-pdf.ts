import type { PaperFonts } from '../../making/paper/index.js';
import { newLetter, type Paper } from '../../making/templates/index.js';
import type { CareSheet } from './care-sheet.js';

/** The care sheet on paper, with a line for each piece of the order to write its number and the day on. */
export const carePdf = async (
  sheet: CareSheet,
  quantity: number,
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> => {
  const { write, row, rule, gap, save } = await newLetter(`Care: ${sheet.name}`, paper, fonts);
  const list = (title: string, lines: readonly string[]): void => {
    if (lines.length === 0) return;
    gap(2);
    write(title, 11, true);
    for (const line of lines) write(`• ${line}`);
  };
  write(`Care: ${sheet.name}`, 18, true);
  write(`${sheet.size}, ${sheet.kg.toFixed(1)} kg`);
  write(
    'Switch off and pull the plug before it is opened. What is wired to the mains is for licensed people.',
    10,
    true,
  );
  list('It was closed and hung so; it opens the other way round', sheet.closed);
  list('Cleaning', sheet.cleaning);
  gap(2);
  write('When', 11, true);
  for (const { everyMonths, what } of sheet.dates) write(`• Every ${everyMonths} months: ${what}`);
  list('Keep for it', sheet.spares);
  list('What lies where', sheet.wiring);
  gap(2);
  write('Pieces', 11, true);
  for (let piece = 1; piece <= Math.min(quantity, 40); piece += 1) {
    row(`Piece ${piece} of ${quantity}; number:`, 'handed over on: ____________________');
    rule();
  }
  return save();
};
