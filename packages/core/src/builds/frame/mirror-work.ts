import type { Pane } from '../../document/catalogue/index.js';
import type { BoughtPart, CutPart } from '../../making/parts/index.js';
import type { ShowsDesign } from './schema.js';

/** How a mirror is come by. */
export interface MirrorWork {
  readonly by: 'here' | 'glass-shop';
  /** Of tries here so many fail: from 0 to 0.9. */
  readonly failShare: number;
  /** What a glass shop asks for one; null until it has been asked. */
  readonly quote: number | null;
}

/** The same where a design does not say. */
export const usualMirrorWork: MirrorWork = { by: 'here', failShare: 0.2, quote: null };

export const mirrorWorkOf = ({ mirrorWork }: Pick<ShowsDesign, 'mirrorWork'>): MirrorWork => ({
  by: mirrorWork?.by ?? usualMirrorWork.by,
  failShare: mirrorWork?.failShare ?? usualMirrorWork.failShare,
  quote: mirrorWork?.quote ?? usualMirrorWork.quote,
});

/** Tries until one is good, where a share of them fails: 1 / (1 − share). */
export const triesFor = (failShare: number): number => 1 / (1 - failShare);

/** Hands-on time (min) of one try: to cut and polish it, to mask it, for each letter or band; to order one, to look it over; typical. */
const cutMin = 20;
const maskMin = 40;
const eachMin = 4;
const orderMin = 20;
const lookOverMin = 10;

/** Hands-on time for the mirror (min), all tries of it: to have it cut or ordered, and to work it or look it over. */
export const mirrorMinutes = (
  { by, failShare }: MirrorWork,
  letterCount: number,
): { readonly cut: number; readonly worked: number } => {
  const tries = triesFor(failShare);
  return by === 'glass-shop'
    ? { cut: orderMin, worked: lookOverMin }
    : { cut: Math.round(tries * cutMin), worked: Math.round(tries * (maskMin + eachMin * letterCount)) };
};

/** What a mirror so large takes of its sheet, waste counted. */
const glassPrice = ({ price, sheetWidthMm, sheetHeightMm }: Pane, areaMm2: number, wasteShare: number): number =>
  (price * areaMm2 * (1 + wasteShare)) / (sheetWidthMm * sheetHeightMm);

/** What a glass shop asks for work on a mirror until it has been asked: so much at least, and so many times the glass; typical. */
const leastAsked = 60;
const timesGlass = 3;

/** What a glass shop asks for a mirror so large: as it said, or the typical price. */
const askedFor = ({ quote }: MirrorWork, pane: Pane, areaMm2: number): number =>
  quote ?? Math.round(leastAsked + timesGlass * glassPrice(pane, areaMm2, 0));

/** What is bought for a mirror besides its own glass: glass of tries that fail, or the mirror as drawn. */
export const mirrorBought = (
  work: MirrorWork,
  pane: Pane,
  part: CutPart,
  wasteShare: number,
): readonly BoughtPart[] => {
  // What it weighs is told by the part that is drawn.
  const bought = (id: string, name: string, quantity: number, unitPrice: number): BoughtPart => ({
    id,
    name,
    quantity,
    unit: 'piece',
    unitPrice,
    kg: 0,
    hangs: false,
  });
  const areaMm2 = part.widthMm * part.heightMm;
  if (work.by === 'glass-shop')
    return [
      bought(
        'mirror-bought',
        `Mirror as drawn, from a glass shop${work.quote === null ? ', typical price' : ''}`,
        1,
        askedFor(work, pane, areaMm2),
      ),
    ];
  const failed = triesFor(work.failShare) - 1;
  return failed <= 0
    ? []
    : [bought('mirror-tries', `${pane.name} for tries that fail`, failed, glassPrice(pane, areaMm2, wasteShare))];
};

/** One way to come by a mirror: what it costs with its hours. */
export interface MirrorWay {
  readonly price: number;
  readonly hours: number;
  readonly tries: number;
  /** The price is a typical one: nobody has been asked. */
  readonly guessed: boolean;
}

/** Both ways to come by a mirror so large, each with glass or quote and the shop’s hours at its rate. */
export const mirrorWays = (
  work: MirrorWork,
  pane: Pane,
  { widthMm, heightMm }: Pick<CutPart, 'widthMm' | 'heightMm'>,
  letterCount: number,
  rates: { readonly labourPerHour: number; readonly wasteShare: number },
): { readonly here: MirrorWay; readonly bought: MirrorWay } => {
  const way = (by: MirrorWork['by'], glass: number, tries: number): MirrorWay => {
    const { cut, worked } = mirrorMinutes({ ...work, by }, letterCount);
    const hours = (cut + worked) / 60;
    return {
      price: glass + hours * rates.labourPerHour,
      hours,
      tries,
      guessed: by === 'glass-shop' && work.quote === null,
    };
  };
  const tries = triesFor(work.failShare);
  const areaMm2 = widthMm * heightMm;
  return {
    here: way('here', tries * glassPrice(pane, areaMm2, rates.wasteShare), tries),
    bought: way('glass-shop', askedFor(work, pane, areaMm2), 1),
  };
};
