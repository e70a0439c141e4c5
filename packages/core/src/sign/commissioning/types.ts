/** How the bench’s controller is set. */
export interface BenchSetting {
  /** Numbers of the pieces that are connected; null for all. */
  readonly pieces: readonly number[] | null;
  /** One channel alone, by its place among the strip’s; null for the brief’s light; `all` for every channel full. */
  readonly channel: number | 'all' | null;
  /** From 0 to 1. */
  readonly level: number;
  /** Pixels the controller is told of; null for as many as there are. */
  readonly pixels: number | null;
}

/** A range that a reading should lie in. */
export interface Expected {
  readonly low: number;
  readonly high: number;
  readonly unit: 'V' | 'A' | '°C';
}

/** One thing to measure while a new piece is put to work. */
export interface CommissionStep {
  /** Stays the same while the circuit does; readings are kept under it. */
  readonly id: string;
  readonly stage: 'supply' | 'pieces' | 'colours' | 'full' | 'soak';
  readonly title: string;
  readonly how: string;
  readonly setting: BenchSetting;
  readonly expected: Expected;
}

/** A typed reading beside what was computed. */
export type ReadingVerdict = 'low' | 'fine' | 'high';
