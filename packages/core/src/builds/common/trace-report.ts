/** Light of a design traced photon by photon, beside what patches gave. */
export interface TraceReport {
  readonly photons: number;
  readonly done: boolean;
  /** Standard errors, as shares: of all the light that leaves, and of one cell of 1/24 of the face’s width. */
  readonly outErrorShare: number;
  readonly cellErrorShare: number;
  readonly outLm: number;
  readonly patchesOutLm: number;
  /** Share of the light on the face that has been reflected at least once. */
  readonly reflectedShare: number;
  readonly patchesReflectedShare: number;
  /** Darkest cell over the mean of the light on the face. */
  readonly minOverMean: number;
  /** Emitted less everything accounted for, over emitted: what chance has made of the balance so far. */
  readonly imbalanceShare: number;
  /** How far both are apart, in standard errors of the tracing and as a share. */
  readonly apartShare: number;
}
