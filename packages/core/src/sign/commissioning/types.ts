import type { Reading, SegmentRef } from '../../document/design/index.js';

/** How the bench’s controller is set. */
export interface BenchSetting {
  /** The segments that are connected; null for all. */
  readonly segments: readonly SegmentRef[] | null;
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
  readonly unit: 'V' | 'A' | 'cd/m²' | '°C';
}

/** One thing to measure while a new sign is put to work. */
export interface CommissionStep {
  /** No two steps have the same. */
  readonly key: string;
  /** What readings are kept under: what is measured, and where; nowhere of the sign as a whole. */
  readonly id: string;
  readonly at: Reading['at'] | null;
  readonly stage: 'supply' | 'segments' | 'colours' | 'full' | 'soak';
  readonly title: string;
  readonly how: string;
  readonly setting: BenchSetting;
  readonly expected: Expected;
  /** How warm it was taken to be round the sign, of a temperature (°C); null where that does not matter. */
  readonly roomC: number | null;
}

/** What was read, and how warm it was round the sign where that was told (°C). */
export type TakenReading = Pick<Reading, 'value' | 'roomC'>;

/** A typed reading beside what was computed. */
export type ReadingVerdict = 'low' | 'fine' | 'high';
