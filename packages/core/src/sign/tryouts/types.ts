import type { DesignChange } from '../../document/design/index.js';
import type { Picture } from '../picture/index.js';

/** A face to try: its sheet, and what lies on or behind it. */
export interface FaceOption {
  readonly name: string;
  readonly change: DesignChange;
}

/** What a sweep goes through: every combination. */
export interface SweepAxes {
  /** Index of the assembly that is tried. */
  readonly assembly: number;
  readonly depthsMm: readonly number[];
  /** Rows on the back, or turns round the rim or block, as the design has it. */
  readonly rowCounts: readonly number[];
  readonly faces: readonly FaceOption[];
  readonly liningIds: readonly string[];
}

/** What a sign must reach. */
export type Demand = 'no dots or bands' | 'bright enough' | 'even corners' | 'room inside';

/** One combination, tried. */
export interface TryPoint {
  readonly id: number;
  readonly change: DesignChange;
  readonly depthMm: number;
  readonly rows: number;
  readonly face: string;
  readonly lining: string;
  readonly ledCount: number;
  readonly costPerSign: number;
  readonly minOverMean: number;
  readonly meanCdM2: number;
  /** The worse ripple’s contrast over the least the eye sees from the reading distance or farther; below 1 is hidden. */
  readonly visibility: number;
  readonly litOverUnlit: number;
  /** What it fails; empty when it will do. */
  readonly fails: readonly Demand[];
  /** How it looks lit, small. */
  readonly picture: Picture;
}

/** What to look for among all that will do. */
export type Goal = 'shallowest' | 'fewest LEDs' | 'cheapest';

/** The best found, and what keeps it from being better still. */
export interface Solution {
  readonly goal: Goal;
  readonly point: TryPoint | null;
  /** What the next step further would fail. */
  readonly binding: readonly Demand[];
  readonly tried: number;
  readonly sentence: string;
}
