import type { Catalogue, Sundry } from '../../document/catalogue/index.js';
import type { Carrier, Cleat, HangingWay, Held, Rail } from './types.js';

/** A plate or bracket is so thick, and is held by so many screws (mm). */
const plateMm = 2;
const screwsEach = 2;
/** Wood that a screw must at least bite into: of a plate, and of a batten whose glue carries with it (mm). */
const plateBiteMm = 7;
const battenBiteMm = 4;
/** Wood left before its point (mm). */
const leftMm = 1;
/** Nut and washer of a bolt (mm). */
const nutMm = 4;
/** Glue blocks behind a back (mm). */
const blockMm = 18;

/** The shop’s screws and bolts for it, by id. */
const plateScrews = ['plate-screw', 'screw'] as const;
const battenScrews = ['cleat-screw-16', 'cleat-screw-20', 'cleat-screw'] as const;
const bolts = ['plate-bolt', 'plate-bolt-20', 'plate-bolt-30'] as const;

type Long = Sundry & { readonly lengthMm: number };

/** Those of them that are on the shelf with their length, the shortest first. */
const onShelf = ({ sundries }: Catalogue, ids: readonly string[]): readonly Long[] =>
  sundries
    .filter((item): item is Long => ids.includes(item.id) && item.lengthMm !== undefined)
    .sort((a, b) => a.lengthMm - b.lengthMm);

const screwed = (item: Long, intoMm: number, rest: Pick<Held, 'from' | 'count' | 'to'>): Held => ({
  item,
  by: 'screw',
  intoMm,
  insideMm: 0,
  comesOutMm: 0,
  ...rest,
});

/** What goes through wood of `woodMm` behind `beforeMm` of something else: the longest that stays in and bites enough. */
const screwFor = (
  items: readonly Long[],
  beforeMm: number,
  woodMm: number,
  biteMm: number,
  rest: Pick<Held, 'from' | 'count' | 'to'>,
): Held | null => {
  const fit = items.filter(({ lengthMm }) => lengthMm <= beforeMm + woodMm - leftMm && lengthMm >= beforeMm + biteMm);
  const longest = fit.at(-1);
  return longest === undefined ? null : screwed(longest, longest.lengthMm - beforeMm, rest);
};

/** The shortest bolt that takes its nut past `throughMm`; null where the shelf has none. */
const boltFor = (catalogue: Catalogue, throughMm: number, rest: Pick<Held, 'from' | 'count' | 'to'>): Held | null => {
  const item = onShelf(catalogue, bolts).find(({ lengthMm }) => lengthMm >= throughMm + nutMm);
  return item === undefined
    ? null
    : { item, by: 'bolt', intoMm: throughMm, insideMm: item.lengthMm - throughMm, comesOutMm: 0, ...rest };
};

/** Where nothing stays in: the shortest screw, which comes out where the sheet is seen. */
const comesOut = (
  items: readonly Long[],
  beforeMm: number,
  woodMm: number,
  rest: Pick<Held, 'from' | 'count' | 'to'>,
): Held | null => {
  const [item] = items;
  return item === undefined
    ? null
    : { ...screwed(item, item.lengthMm - beforeMm, rest), comesOutMm: item.lengthMm - beforeMm - woodMm + leftMm };
};

/** Plates screwed to a sheet from behind; bolted through where it is thin, or no wood, and nobody sees its front. */
const platesOn = (carrier: Carrier, pieces: number, blocks: boolean, catalogue: Catalogue): Held | null => {
  const rest = { from: 'behind', count: screwsEach * pieces, to: carrier.name } as const;
  const items = onShelf(catalogue, plateScrews);
  const woodMm = (carrier.stuff === 'wood' ? carrier.thicknessMm : 0) + (blocks ? blockMm : 0);
  const beforeMm = plateMm + (carrier.stuff === 'wood' ? 0 : carrier.thicknessMm);
  const screw = woodMm > 0 ? screwFor(items, beforeMm, woodMm, plateBiteMm, rest) : null;
  if (screw !== null) return screw;
  return carrier.seen
    ? comesOut(items, plateMm, carrier.thicknessMm, rest)
    : boltFor(catalogue, plateMm + carrier.thicknessMm, rest);
};

/** The batten of a cleat: from inside through the sheet into the batten, or from behind where the front is seen. */
const battenOn = (
  carrier: Carrier,
  { thicknessMm }: Pick<Cleat, 'thicknessMm'>,
  count: number,
  catalogue: Catalogue,
): Held | null => {
  const items = onShelf(catalogue, battenScrews);
  if (carrier.seen) {
    const rest = { from: 'behind', count, to: carrier.name } as const;
    const wood = carrier.stuff === 'wood';
    const screw = wood ? screwFor(items, thicknessMm, carrier.thicknessMm, battenBiteMm, rest) : null;
    return screw ?? comesOut(items, thicknessMm, carrier.thicknessMm, rest);
  }
  const rest = { from: 'inside', count, to: carrier.name } as const;
  return (
    screwFor(items, carrier.thicknessMm, thicknessMm, battenBiteMm, rest) ??
    boltFor(catalogue, carrier.thicknessMm + thicknessMm, rest)
  );
};

/** Brackets on the members of a frame, on what stands over the wall. */
const bracketsOn = (rail: Rail, pieces: number, catalogue: Catalogue): Held | null => {
  const rest = { from: 'behind', count: screwsEach * pieces, to: 'members' } as const;
  return (
    screwFor(onShelf(catalogue, plateScrews), plateMm, rail.thicknessMm, plateBiteMm, rest) ??
    boltFor(catalogue, plateMm + rail.thicknessMm, rest)
  );
};

/** What is asked of the way by which something hangs. */
export interface HeldAsked {
  readonly way: HangingWay | null;
  readonly carrier: Carrier | null;
  readonly rail: Rail | null;
  readonly cleat: Cleat | null;
  readonly onReturns: boolean;
  readonly blocks: boolean;
  /** Plates or brackets, and screws of a batten. */
  readonly pieces: number;
  readonly mateScrews: number;
}

/**
 * What holds plates, brackets or the batten of a cleat to the sign itself: screws that stay in the wood, bolts through what is
 * too thin for them. Null where nothing of the kind is there: screws and spacers of the wall go through the back themselves.
 */
export const heldBy = (asked: HeldAsked, catalogue: Catalogue): Held | null => {
  const { way, carrier, rail, cleat, onReturns, blocks, pieces, mateScrews } = asked;
  if (pieces === 0) return null;
  if (way === 'keyholes') return carrier === null ? null : platesOn(carrier, pieces, blocks, catalogue);
  if (way === 'brackets') {
    if (rail !== null) return bracketsOn(rail, pieces, catalogue);
    return carrier === null ? null : platesOn(carrier, pieces, false, catalogue);
  }
  if (way !== 'cleat' || cleat === null) return null;
  if (onReturns) {
    const long = onShelf(catalogue, battenScrews).at(-1);
    return long === undefined
      ? null
      : screwed(long, long.lengthMm - cleat.thicknessMm, { from: 'behind', count: mateScrews, to: 'returns' });
  }
  return carrier === null ? null : battenOn(carrier, cleat, mateScrews, catalogue);
};
