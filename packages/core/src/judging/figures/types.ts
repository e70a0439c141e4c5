/** Where a figure comes from. */
export type FigureKind = 'computed' | 'typical' | 'measured';

/** Something a figure was computed from. */
export interface FigureInput {
  readonly label: string;
  readonly value: string;
  readonly kind: FigureKind;
}

/** One of the handful of figures that decide, able to explain itself. */
export interface Figure {
  readonly id: string;
  /** As short as it can be read on the tape. */
  readonly text: string;
  readonly label: string;
  readonly kind: FigureKind;
  readonly value: number;
  readonly unit: string;
  /** How it was computed, in a sentence or two. */
  readonly how: string;
  readonly inputs: readonly FigureInput[];
  /** Rules whose findings say that this figure will not do. */
  readonly rules?: readonly string[];
}
