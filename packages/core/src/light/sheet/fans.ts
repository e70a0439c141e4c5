import type { EdgeEntry } from './entry.js';

/** Places across one pitch at which fans are summed. */
const places = 120;

/**
 * How uneven single LEDs make what worked spots take out along a line at a distance from the lit edge: the standard deviation
 * over one pitch by the mean, for points of light. Each share of azimuths counts by how often its rays meet a face for each
 * millimetre away from the edge.
 */
export const fanRipple = ({ fan }: Pick<EdgeEntry, 'fan'>, pitchMm: number, distanceMm: number): number => {
  const { limits, tangents } = fan;
  const sums = new Float64Array(places);
  tangents.forEach((slopes, share) => {
    const [low, high] = [limits[share]!, limits[share + 1]!];
    if (high <= low) return;
    const middle = (low + high) / 2;
    const hits = slopes.reduce((sum, slope) => sum + slope, 0) / slopes.length / Math.cos(middle);
    const [from, to] = [Math.tan(low) * distanceMm, Math.tan(high) * distanceMm];
    const density = hits / (to - from);
    const spread = (start: number, end: number): void => {
      // In places, of which a pitch is a ring.
      const [a, b] = [(start / pitchMm) * places, (end / pitchMm) * places];
      for (let at = Math.floor(a); at < b; at += 1) {
        const covered = Math.min(b, at + 1) - Math.max(a, at);
        sums[((at % places) + places) % places]! += density * covered;
      }
    };
    spread(from, to);
    spread(-to, -from);
  });
  const mean = sums.reduce((sum, value) => sum + value, 0) / places;
  const square = sums.reduce((sum, value) => sum + (value - mean) ** 2, 0) / places;
  return Math.sqrt(square) / mean;
};

/** Where the fans of neighbouring LEDs first touch (mm): pitch / (2 tan θ), θ the widest azimuth in the sheet. */
export const fansTouchMm = ({ fan }: Pick<EdgeEntry, 'fan'>, pitchMm: number): number =>
  pitchMm / (2 * Math.tan(fan.limits.at(-1)!));

const farthestPitches = 4;
const stepPitches = 0.01;

/** From which distance on fans are never more uneven than `limit` (mm). */
export const fansEvenFromMm = (entry: Pick<EdgeEntry, 'fan'>, pitchMm: number, limit: number): number => {
  for (let at = farthestPitches; at > stepPitches; at -= stepPitches)
    if (fanRipple(entry, 1, at) >= limit) return (at + stepPitches) * pitchMm;
  return 0;
};
