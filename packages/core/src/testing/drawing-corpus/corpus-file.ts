/** A drawing file of our own making, and the area that it should come to. */
export interface CorpusFile {
  readonly name: string;
  readonly text: string;
  readonly areaMm2: number;
  /** Share by which the area may be off: none but rounding where there are no curves. */
  readonly tolerance: number;
}

export const exact = 1e-6;
/** Chords stand off a curve by 5 µm: this much of a small circle’s area. */
export const curved = 1.5e-3;

/** A file of the corpus. */
export const of = (name: string, text: string, areaMm2: number, tolerance = exact): CorpusFile => ({
  name,
  text,
  areaMm2,
  tolerance,
});
