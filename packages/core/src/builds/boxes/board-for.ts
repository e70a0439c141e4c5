import { fitsSheet, type Board, type Catalogue } from '../../document/catalogue/index.js';

/** The cheapest board for a use of which every part can be cut; the present one where it will do. */
export const boardFor = (
  catalogue: Catalogue,
  now: Board,
  use: Board['uses'][number],
  size: { readonly widthMm: number; readonly heightMm: number },
): Board => {
  const fits = (board: Board): boolean => fitsSheet(board, size);
  if (fits(now)) return now;
  const like = catalogue.boards.filter((board) => board.form === 'sheet' && board.uses.includes(use) && fits(board));
  return (
    like.filter(({ stuff }) => stuff === now.stuff).sort((a, b) => a.price - b.price)[0] ??
    like.sort((a, b) => a.price - b.price)[0] ??
    now
  );
};
