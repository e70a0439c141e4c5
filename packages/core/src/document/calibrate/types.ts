/** A figure found from readings, and how well the readings agree on it. */
export interface Fit {
  readonly value: number;
  /** Standard error of the value; 0 with a single reading, which tells nothing about itself. */
  readonly error: number;
  readonly readings: number;
  /** What each reading is off by, as a share of what the fit says. */
  readonly offShares: readonly number[];
}

/** Illuminance without and with the sample between lamp and meter. */
export interface LuxPair {
  readonly bareLux: number;
  readonly throughLux: number;
}

/** Luminance as predicted for a place, and as read there. */
export interface BrightnessPair {
  readonly predictedCdM2: number;
  readonly measuredCdM2: number;
}
