import { outlineArea, outlineBounds, solidParts, type Outline } from '../../base/outlines/index.js';
import { kerfOf, type Tool } from '../../document/catalogue/index.js';
import { fitLadder, pieceFor, usualFit, type Fit } from '../../making/fits/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { sheetPart } from './sheet-part.js';
import type { SheetStock } from './sheet-stock.js';

/** Letters let into a sheet: their pockets, the stuff, how they fit, and what stands loose within them. */
export interface Inlay {
  readonly stock: SheetStock;
  readonly pockets: Outline;
  readonly fit: Fit;
  /** As designed, or as is usual (mm, both sides together). */
  readonly overMm: number;
  /** Middles of letters that fall out of the sheet, and are set into the inlaid letter. */
  readonly counters: readonly Outline[];
}

/** Smaller than this is no counter but what two cuts leave (mm²). */
const leastCounterMm2 = 1;

/** What is let into a sheet; null where nothing is. */
export const inlayOf = (
  wantedOverMm: number | null | undefined,
  stock: SheetStock,
  own: SheetStock | null,
  pockets: Outline,
  parts: readonly Outline[],
): Inlay | null => {
  if (own === null || pockets.length === 0) return null;
  const fit = usualFit(own.stuff, stock.stuff);
  const [largest] = [...parts].sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)));
  return {
    stock: own,
    pockets,
    fit,
    overMm: wantedOverMm ?? fit.overMm,
    counters: parts.filter((part) => part !== largest && Math.abs(outlineArea(part)) > leastCounterMm2),
  };
};

const hundredths = (mm: number): string => (Math.round(100 * mm) / 100).toFixed(2);

/** How a fit is told: “0.10 mm wider than its pocket”. */
export const fitWords = (overMm: number): string =>
  Math.abs(overMm) < 0.005
    ? 'as wide as its pocket'
    : `${hundredths(Math.abs(overMm))} mm ${overMm > 0 ? 'wider' : 'narrower'} than its pocket`;

/** The letters that are let in, as one drawing in their place; drawn at the size that they are to have. */
export const inlayPart = (
  inlay: Inlay,
  tool: Tool,
  { id, name }: { readonly id: string; readonly name: string },
): readonly CutPart[] => {
  const { stock, pockets, overMm, counters } = inlay;
  const pieces = pieceFor(pockets, overMm);
  const letters = solidParts(pieces);
  if (outlineBounds(pieces) === null) return [];
  return [
    sheetPart(
      {
        id,
        name,
        shape: pieces,
        stock,
        note: [
          `${letters.length} ${letters.length === 1 ? 'piece' : 'pieces'}, each ${fitWords(overMm)}`,
          ...(counters.length === 0
            ? []
            : [
                `${counters.length} ${counters.length === 1 ? 'counter' : 'counters'} of the sheet set into them: number them as they fall out`,
              ]),
          'film on until the end',
        ].join('; '),
      },
      tool,
    ),
  ];
};

/** A ladder to try the fit on, for every two stuffs that are let into each other. */
export const ladders = (
  pairs: readonly { readonly stock: SheetStock; readonly inlay: Inlay }[],
  tool: Tool,
): readonly CutPart[] => {
  const seen = new Set<string>();
  return pairs.flatMap(({ stock, inlay }) => {
    const key = `${stock.id}-${inlay.stock.id}`;
    if (seen.has(key)) return [];
    seen.add(key);
    const named = ({ name, stuff }: SheetStock) => ({ name, kerfMm: kerfOf(tool, stuff) });
    return fitLadder(inlay.overMm, named(inlay.stock), named(stock)).map((part) => ({
      ...part,
      id: seen.size > 1 ? `${part.id}-${seen.size}` : part.id,
    }));
  });
};
