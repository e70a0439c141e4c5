/** The largest drawing file that is read (characters), and the most it may hold; far above any sign. */
export const limits = {
  characters: 12_000_000,
  elements: 100_000,
  depth: 120,
  points: 600_000,
  /** Coordinates beyond this (mm) are a slip or an attack, no sign. */
  farMm: 1e6,
  /** Shapes that copies of others may make in all. */
  copies: 20_000,
  /** Dashes of wide strokes that are cut one by one. */
  dashes: 2_000,
  /** Steps of reading in all, some seconds of them: an element seen is many, a character read again is one. */
  work: 30_000_000,
  perElement: 40,
  /** The longest style sheet, and the longest transform (characters). */
  sheet: 1_000_000,
  transform: 20_000,
} as const;

/** Strokes at least this wide are bands to be cut; thinner ones show where a line runs (mm). */
export const leastBandMm = 2;
