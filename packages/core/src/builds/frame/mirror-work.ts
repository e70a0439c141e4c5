import { sum } from '../../base/maths/index.js';
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

/** Hands-on time (min) of one try, by letters or one band; to order a mirror, and to look at it when it comes; typical. */
const tryMin = { mask: 40, each: 4 } as const;
const orderMin = 20;

/** Hands-on time for the mirror (min): every try here, or the order. */
export const mirrorMinutes = (work: MirrorWork, letterCount: number): number =>
  work.by === 'glass-shop'
    ? orderMin
    : Math.round(triesFor(work.failShare) * (tryMin.mask + tryMin.each * letterCount));

/** What a mirror so large takes of its sheet, waste counted. */
const glassPrice = ({ price, sheetWidthMm, sheetHeightMm }: Pane, areaMm2: number, wasteShare: number): number =>
  (price * areaMm2 * (1 + wasteShare)) / (sheetWidthMm * sheetHeightMm);

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
  if (work.by === 'glass-shop')
    return [bought('mirror-bought', 'Mirror as drawn, from a glass shop', 1, work.quote ?? 0)];
  const failed = triesFor(work.failShare) - 1;
  return failed <= 0
    ? []
    : [
        bought(
          'mirror-tries',
          `${pane.name} for tries that fail`,
          failed,
          glassPrice(pane, part.widthMm * part.heightMm, wasteShare),
        ),
      ];
};

/** One way to come by a mirror: what it costs with its hours. */
export interface MirrorWay {
  readonly by: MirrorWork['by'];
  readonly price: number;
  readonly hours: number;
  readonly tries: number;
}

/**
 * Both ways to come by a mirror so large, each with glass or quote and the shop’s hours at its rate; a glass shop’s is null
 * until it has said what it asks.
 */
export const mirrorWays = (
  work: MirrorWork,
  pane: Pane,
  size: Pick<CutPart, 'widthMm' | 'heightMm'>,
  letterCount: number,
  rates: { readonly labourPerHour: number; readonly wasteShare: number },
): { readonly here: MirrorWay; readonly bought: MirrorWay | null } => {
  const way = (by: MirrorWork['by'], glass: number, tries: number): MirrorWay => {
    const hours = mirrorMinutes({ ...work, by }, letterCount) / 60;
    return { by, price: sum([glass, hours * rates.labourPerHour]), hours, tries };
  };
  const tries = triesFor(work.failShare);
  return {
    here: way('here', tries * glassPrice(pane, size.widthMm * size.heightMm, rates.wasteShare), tries),
    bought: work.quote === null ? null : way('glass-shop', work.quote, 1),
  };
};
