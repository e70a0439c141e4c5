import type { PlacedPiece, SheetPiece } from './sheets.js';

/** A rectangle left of a sheet. */
interface Free {
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Which piece comes first, which offcut it is cut from, and which way that is cut apart. */
export interface Way {
  readonly order: (a: SheetPiece, b: SheetPiece) => number;
  /** The less, the better the piece sits in the offcut. */
  readonly fit: (free: Free, widthMm: number, heightMm: number) => number;
  /** Whether the first cut beside a piece runs along the sheet. */
  readonly along: (freeWidthMm: number, freeHeightMm: number) => boolean;
}

const area = ({ widthMm, heightMm }: SheetPiece): number => widthMm * heightMm;
const long = ({ widthMm, heightMm }: SheetPiece): number => Math.max(widthMm, heightMm);
const short = ({ widthMm, heightMm }: SheetPiece): number => Math.min(widthMm, heightMm);

const orders: readonly Way['order'][] = [
  (a, b) => area(b) - area(a),
  (a, b) => short(b) - short(a) || long(b) - long(a),
  (a, b) => long(b) - long(a) || short(b) - short(a),
  (a, b) => long(b) + short(b) - long(a) - short(a),
];
const fits: readonly Way['fit'][] = [
  ({ widthMm, heightMm }, w, h) => widthMm * heightMm - w * h,
  ({ widthMm, heightMm }, w, h) => Math.min(widthMm - w, heightMm - h),
  ({ sheet, x, y }) => sheet * 1e9 + y * 1e4 + x,
];
const alongs: readonly Way['along'][] = [() => true, () => false, (w, h) => w < h];

/** Every way that is tried. */
export const ways: readonly Way[] = orders.flatMap((order) =>
  fits.flatMap((fit) => alongs.map((along) => ({ order, fit, along }))),
);

const almost = 1e-6;

interface Spot {
  readonly at: number;
  readonly turned: boolean;
  readonly worth: number;
}

/**
 * Pieces cut from sheets one way, every cut from edge to edge of what is left, a kerf between neighbours. All pieces fit a
 * whole sheet; `mayTurn` says whether they may lie across it.
 */
export const cutApart = (
  pieces: readonly SheetPiece[],
  sheet: { readonly widthMm: number; readonly heightMm: number },
  kerfMm: number,
  mayTurn: boolean,
  way: Way,
): readonly PlacedPiece[] => {
  const free: Free[] = [];
  const placed: PlacedPiece[] = [];
  let sheets = 0;
  const spotFor = (piece: SheetPiece): Spot | null => {
    let best: Spot | null = null;
    const look = (widthMm: number, heightMm: number, turned: boolean): void =>
      free.forEach((each, at) => {
        if (each.widthMm < widthMm - almost || each.heightMm < heightMm - almost) return;
        const worth = way.fit(each, widthMm, heightMm);
        if (best === null || worth < best.worth) best = { at, turned, worth };
      });
    look(piece.widthMm, piece.heightMm, false);
    if (mayTurn) look(piece.heightMm, piece.widthMm, true);
    return best;
  };
  for (const piece of [...pieces].sort(way.order)) {
    let spot = spotFor(piece);
    if (spot === null) {
      free.push({ sheet: sheets, x: 0, y: 0, ...sheet });
      sheets += 1;
      spot = spotFor(piece)!;
    }
    const [from] = free.splice(spot.at, 1);
    const [widthMm, heightMm] = spot.turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
    placed.push({
      label: piece.label,
      widthMm,
      heightMm,
      turned: spot.turned,
      sheet: from!.sheet,
      x: from!.x,
      y: from!.y,
    });
    const [right, up] = [from!.widthMm - widthMm - kerfMm, from!.heightMm - heightMm - kerfMm];
    const along = way.along(right, up);
    if (right > 0)
      free.push({
        ...from!,
        x: from!.x + widthMm + kerfMm,
        widthMm: right,
        heightMm: along ? heightMm : from!.heightMm,
      });
    if (up > 0)
      free.push({ ...from!, y: from!.y + heightMm + kerfMm, heightMm: up, widthMm: along ? from!.widthMm : widthMm });
  }
  return placed;
};
