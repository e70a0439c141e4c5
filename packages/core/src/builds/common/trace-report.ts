/** Light of a design traced photon by photon, beside what the quick way gave. */
export interface TraceReport {
  readonly photons: number;
  readonly done: boolean;
  /** Standard errors, as shares: of all the light that leaves, and of one cell of 1/24 of the face’s width. */
  readonly outErrorShare: number;
  readonly cellErrorShare: number;
  readonly outLm: number;
  readonly quickOutLm: number;
  /** Shares of the light both ways, with what they are of. */
  readonly shares: readonly { readonly what: string; readonly traced: number; readonly quick: number }[];
  /** Darkest cell over the mean of the light on the face. */
  readonly minOverMean: number;
  /** Emitted less everything accounted for, over emitted: what chance has made of the balance so far. */
  readonly imbalanceShare: number;
  /** How far both are apart, in standard errors of the tracing and as a share. */
  readonly apartShare: number;
}
