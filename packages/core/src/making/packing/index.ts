import {
  distinctItems,
  usableSize,
  type Board,
  type Catalogue,
  type FaceSheet,
  type Pane,
  type Strip,
} from '../../document/catalogue/index.js';
import { sawBladeOf } from '../../joinery/setups/index.js';
import type { CutPart } from '../parts/index.js';
import { cutReels, type ReelCuts } from './reels.js';
import { packSheets, sheetsByArea, type PlacedPiece, type SheetPacking } from './sheets.js';

export { fewestBins } from './fewest-bins.js';
export { cutReels, type Reel, type ReelPiece, type ReelCuts } from './reels.js';
export { packSheets, type PlacedPiece, type SheetPacking, type SheetPiece } from './sheets.js';

/** The sheets, or bars, of one material for the whole order. */
export interface MaterialPacking extends SheetPacking {
  readonly materialId: string;
  readonly materialName: string;
  readonly form: 'sheet' | 'bar';
  readonly sheetWidthMm: number;
  readonly sheetHeightMm: number;
  /** Cut off before anything else; what is placed is clear of it (mm). */
  readonly trimMm: number;
  readonly sheetPrice: number;
  /** What the saw takes between parts (mm), and whether they may lie across the sheet: wood runs with its grain. */
  readonly kerfMm: number;
  readonly mayTurn: boolean;
  /** Area of the parts of one sign (m²). */
  readonly usedM2: number;
}

/** Film off the roll, or metal ripped to the height of returns: one width, so many metres for the whole order. */
export interface RollLength {
  readonly materialId: string;
  readonly materialName: string;
  readonly stock: 'film' | 'return';
  readonly widthMm: number;
  readonly lengthMm: number;
}

/** What to have on the bench for the whole order. */
export interface Packing {
  readonly sheets: readonly MaterialPacking[];
  readonly rolls: readonly RollLength[];
  /** Strip by strip. */
  readonly reels: readonly StripReels[];
}

/** Reels of one strip. */
export interface StripReels extends ReelCuts {
  readonly stripId: string;
  readonly stripName: string;
  readonly reelMm: number;
}

/** A segment of strip to be cut from a reel. */
export interface SegmentToCut {
  readonly label: string;
  readonly lengthMm: number;
  /** Left on past the mark at both ends (mm): the cut in which that lies is lost. */
  readonly spareMm?: number;
  readonly strip: Strip;
}

/** Orders beyond this are packed as this many and scaled; the pattern repeats by then. */
const packedAtMost = 20;

/** Pieces where they lie on the whole sheet, past what is trimmed off. */
export const inPlace = (
  placed: readonly PlacedPiece[],
  [along, across]: readonly [number, number],
): readonly PlacedPiece[] =>
  along === 0 ? placed : placed.map((piece) => ({ ...piece, x: piece.x + along, y: piece.y + across }));

const packMaterial = (
  material: Board | FaceSheet | Pane,
  parts: readonly CutPart[],
  quantity: number,
  kerfMm: number,
): MaterialPacking => {
  const packed = Math.min(quantity, packedAtMost);
  const pieces = Array.from({ length: packed }, (_, piece) =>
    parts.flatMap(({ name, count, widthMm, heightMm }) =>
      Array.from({ length: count }, (_each, at) => ({
        label: [name, ...(count > 1 ? [at + 1] : []), ...(quantity > 1 ? [`of sign ${piece + 1}`] : [])].join(' '),
        widthMm,
        heightMm,
      })),
    ),
  ).flat();
  // Wood runs with its grain; sheets without one lie either way.
  const mayTurn = !('stuff' in material && material.stuff === 'wood');
  const { longMm, shortMm, atMm } = usableSize(material);
  const packing = packSheets(pieces, longMm, shortMm, kerfMm, mayTurn);
  return {
    ...packing,
    placed: inPlace(packing.placed, atMm),
    sheets: Math.ceil((packing.sheets * quantity) / packed),
    // Beyond what was packed, area alone is proof.
    atLeast:
      packed === quantity
        ? packing.atLeast
        : sheetsByArea(pieces, { sheetWidthMm: longMm, sheetHeightMm: shortMm }, kerfMm, quantity / packed),
    materialId: material.id,
    materialName: material.name,
    form: 'form' in material ? material.form : 'sheet',
    sheetWidthMm: material.sheetWidthMm,
    sheetHeightMm: material.sheetHeightMm,
    trimMm: material.trimMm ?? 0,
    sheetPrice: material.price,
    kerfMm,
    mayTurn,
    usedM2: parts.reduce((sum, { widthMm, heightMm, count }) => sum + widthMm * heightMm * count, 0) / 1e6,
  };
};

/** Film and return metal, each material and width once, its lengths end to end, those of metal with a saw cut between. */
const rollsOf = (cut: readonly CutPart[], quantity: number, kerfMm: number): readonly RollLength[] => {
  const rolls = new Map<string, RollLength>();
  for (const { stock, materialId, materialName, widthMm, heightMm, count } of cut) {
    if (stock !== 'film' && stock !== 'return') continue;
    const across = Math.round(10 * Math.min(widthMm, heightMm)) / 10;
    const along = (Math.max(widthMm, heightMm) + (stock === 'film' ? 0 : kerfMm)) * count * quantity;
    const key = `${stock} ${materialId} ${materialName} ${across}`;
    const before = rolls.get(key)?.lengthMm ?? 0;
    rolls.set(key, { materialId, materialName, stock, widthMm: across, lengthMm: before + along });
  }
  return [...rolls.values()];
};

/** What the saw takes: of its blade, as measured, or the shop’s usual figure where there is none on the shelf (mm). */
const sawKerf = ({ cutters, rates }: Catalogue): number => sawBladeOf(cutters)?.cutMm ?? rates.kerfMm;

/** The packing stage: parts on sheets with the saw's kerf, segments of each strip on reels. */
export const pack = (
  cut: readonly CutPart[],
  segments: readonly SegmentToCut[],
  strips: readonly Strip[],
  catalogue: Catalogue,
  quantity: number,
): Packing => {
  const stock: readonly (Board | FaceSheet | Pane)[] = [...catalogue.boards, ...catalogue.faces, ...catalogue.panes];
  const sheets = stock.flatMap((material) => {
    const own = cut.filter(
      (part) => (part.stock === 'board' || part.stock === 'face') && part.materialId === material.id,
    );
    return own.length === 0 ? [] : [packMaterial(material, own, quantity, sawKerf(catalogue))];
  });
  const signs = Array.from({ length: Math.min(quantity, packedAtMost) }, (_, sign) => sign);
  const reels = distinctItems(strips).map((strip): StripReels => {
    const own = segments.filter((segment) => segment.strip.id === strip.id);
    const pieces = signs.flatMap((sign) =>
      own.map(({ label, lengthMm, spareMm = 0 }) => ({
        label: quantity > 1 ? `sign ${sign + 1}, segment ${label}` : `segment ${label}`,
        lengthMm: lengthMm + Math.ceil((2 * spareMm) / strip.cutPitchMm - 1e-9) * strip.cutPitchMm,
      })),
    );
    return {
      stripId: strip.id,
      stripName: strip.name,
      reelMm: strip.reelMm,
      ...cutReels(pieces, strip.reelMm, strip.cutPitchMm),
    };
  });
  return { sheets, rolls: rollsOf(cut, quantity, sawKerf(catalogue)), reels };
};
