import type { Board, Catalogue } from '../../document/catalogue/index.js';

/** Wood of the shop that is nearest to a thickness, the cheaper of two: battens, feet and blocks are cut from it. */
export const woodNear = ({ boards }: Catalogue, thicknessMm: number): Board | null =>
  boards
    .filter(
      ({ stuff, form, uses }) =>
        stuff === 'wood' && form === 'sheet' && (uses.includes('return') || uses.includes('back')),
    )
    .reduce<Board | null>((best, board) => {
      if (best === null) return board;
      const off = Math.abs(board.thicknessMm - thicknessMm) - Math.abs(best.thicknessMm - thicknessMm);
      return off < 0 || (off === 0 && board.price < best.price) ? board : best;
    }, null);
