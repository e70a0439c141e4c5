import type { CaseDesign } from './schema.js';

/** What holds the back of a case with a lit face, and what that asks of its seat. */
export interface BackHold {
  readonly name: string;
  /** Holes through the back for it (mm); null where it goes over the edge. */
  readonly holeMm: number | null;
  /** From the middle of its hole in the returns to an edge of back or ledge; nearer, wood splits (mm). */
  readonly leastEdgeMm: number;
  /** Its bore in the returns is so wide, and at least so deep (mm). */
  readonly boreMm: number;
  readonly leastDeepMm: number;
  /** How long the screw is that goes through the back or the button (mm). */
  readonly screwMm: number;
  /** No farther apart than this (mm). */
  readonly everyMm: number;
  /** What is bought, one of each a place. */
  readonly bought: readonly string[];
  /** Stands out behind the rear edges (mm). */
  readonly proudMm: number;
  /** How it is made ready and closed, in a sentence each. */
  readonly prepared: string;
  readonly closed: string;
}

export const backHolds: Readonly<Record<NonNullable<CaseDesign['backHold']>, BackHold>> = {
  screws: {
    name: 'screwed',
    holeMm: 3,
    leastEdgeMm: 2.5,
    boreMm: 3,
    leastDeepMm: 0,
    screwMm: 16,
    everyMm: 150,
    bought: ['screw'],
    proudMm: 0,
    prepared: 'Pilot holes through the back into its rabbet.',
    closed: 'Screws, no glue: strip fails before wood does, and must be reached.',
  },
  inserts: {
    name: 'on threaded inserts',
    holeMm: 4.5,
    leastEdgeMm: 5,
    boreMm: 6,
    leastDeepMm: 11,
    screwMm: 16,
    everyMm: 200,
    bought: ['insert', 'machine-screw'],
    proudMm: 0,
    prepared:
      'Mark through the back, bore for the inserts into its rabbet with a stop on the drill, and drive them square and flush.',
    closed: 'Machine screws by hand, crosswise; they go in and out as often as it must be opened.',
  },
  'turn-buttons': {
    name: 'under turn buttons',
    holeMm: null,
    leastEdgeMm: 0,
    boreMm: 2.5,
    leastDeepMm: 13,
    screwMm: 16,
    everyMm: 400,
    bought: ['turn-button'],
    proudMm: 4,
    prepared:
      'Screw the buttons to the rear edges of the returns so that they turn over the back and hold it without play.',
    closed: 'Turn the buttons over it; nothing is unscrewed to open it.',
  },
};

/** Free below the point of a machine screw, so that it draws the back down before it ends in its bore (mm). */
const belowPointMm = 1;

/** How deep the bore for what holds a back so thick is in the returns (mm): its screw must not end in it. */
export const boreDeepMm = ({ screwMm, leastDeepMm, holeMm }: BackHold, backMm: number): number => {
  if (holeMm === null) return leastDeepMm;
  const below = leastDeepMm > 0 ? belowPointMm : 0;
  return Math.max(leastDeepMm, screwMm - backMm + below);
};

export const backHoldOf = ({ backHold }: CaseDesign): BackHold => backHolds[backHold ?? 'screws'];

/** Play on each side of the back (mm). */
export const backPlayOf = ({ backPlayMm, playMm }: CaseDesign): number => backPlayMm ?? playMm;

/** From the middle of what holds the back to the nearer of its edge and the ledge’s (mm). */
export const holdEdgeMm = (design: CaseDesign): number => (design.seatMm - backPlayOf(design)) / 2;

/** So far from the corners at most (mm). */
const fromCornerMm = 40;

/** From one to the next at least (mm). */
const leastApartMm = 20;

/** Evenly spaced places along a side, kept `inset` from both ends. */
const spread = (lengthMm: number, inset: number, everyMm: number): readonly number[] => {
  const count = Math.max(2, Math.ceil((lengthMm - 2 * inset) / everyMm) + 1);
  return Array.from({ length: count }, (_, index) => inset + ((lengthMm - 2 * inset) * index) / (count - 1));
};

/**
 * Where a back is held, from its lower left corner (mm): all round, half-way across its ledge, past what holds the corners
 * and reaches `cornerMm` along top and bottom, where they are long enough.
 */
export const holdPlaces = (
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  design: CaseDesign,
  cornerMm: number,
): readonly (readonly [x: number, y: number])[] => {
  const edgeMm = holdEdgeMm(design);
  const { everyMm } = backHoldOf(design);
  const usual = Math.min(fromCornerMm, widthMm / 4, heightMm / 4);
  const across = cornerMm <= widthMm / 2 - leastApartMm / 2 ? Math.max(usual, cornerMm) : usual;
  return [
    ...spread(widthMm, across, everyMm).flatMap((x) => [[x, edgeMm] as const, [x, heightMm - edgeMm] as const]),
    ...spread(heightMm, usual, everyMm)
      .slice(1, -1)
      .flatMap((y) => [[edgeMm, y] as const, [widthMm - edgeMm, y] as const]),
  ];
};
