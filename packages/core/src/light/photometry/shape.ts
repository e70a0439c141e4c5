import { clamp, degPerRad, millionth, roundOff } from '../../base/maths/index.js';
import type { Distribution, MeasuredTable } from './types.js';

/** As measured: `candela[horizontal][vertical]`. */
interface Measured {
  readonly photometry: 'B' | 'C';
  readonly vertical: readonly number[];
  readonly horizontal: readonly number[];
  readonly candela: readonly (readonly number[])[];
}

/** Index of the grid line at or below `value`, and the share of the way to the next. */
const between = (lines: readonly number[], value: number): readonly [number, number] => {
  const last = lines.length - 1;
  if (last === 0 || value <= lines[0]!) return [0, 0];
  if (value >= lines[last]!) return [last - 1, 1];
  let [low, high] = [0, last];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (lines[middle]! <= value) low = middle;
    else high = middle;
  }
  return [low, (value - lines[low]!) / (lines[high]! - lines[low]!)];
};

const bilinear = (
  rows: readonly number[],
  columns: readonly number[],
  values: readonly (readonly number[])[],
  row: number,
  column: number,
): number => {
  const [r, dr] = between(rows, row);
  const [c, dc] = between(columns, column);
  const at = (i: number, j: number): number => values[Math.min(i, rows.length - 1)]?.[j] ?? 0;
  const along = (i: number): number => at(i, c) * (1 - dc) + at(i, c + 1) * dc;
  return dr === 0 ? along(r) : along(r) * (1 - dr) + along(r + 1) * dr;
};

/** A horizontal angle of type C folded into the part that was measured. */
const foldC = (horizontal: readonly number[], azimuth: number): number => {
  const [first, last] = [horizontal[0] ?? 0, horizontal.at(-1) ?? 0];
  if (horizontal.length === 1) return first;
  const round = ((azimuth % 360) + 360) % 360;
  if (last > 350) return round;
  if (first > 80) {
    // Measured from 90 to 270: the same on both sides of the plane through 90 and 270.
    return round < 90 ? 180 - round : round > 270 ? 540 - round : round;
  }
  const half = round > 180 ? 360 - round : round;
  return last < 100 && half > 90 ? 180 - half : half;
};

const polarStepDeg = 2.5;
const azimuthStepDeg = 10;

/**
 * A type B file on angles about its axis: H turns in the plane through the horizontal axis, V tilts that plane, so that
 * a direction is (sin H, cos H sin V, cos H cos V). Only the half space ahead is measured.
 */
const fromTypeB = ({ vertical, horizontal, candela }: Measured): MeasuredTable => {
  const polarDeg = Array.from({ length: 90 / polarStepDeg + 1 }, (_, index) => index * polarStepDeg);
  const azimuthDeg = Array.from({ length: 360 / azimuthStepDeg + 1 }, (_, index) => index * azimuthStepDeg);
  const value = (polar: number, azimuth: number): number => {
    const [t, a] = [polar / degPerRad, azimuth / degPerRad];
    const [x, y, z] = [Math.sin(t) * Math.cos(a), Math.sin(t) * Math.sin(a), Math.cos(t)];
    const h = Math.asin(clamp(x, -1, 1)) * degPerRad;
    const v = Math.atan2(y, z) * degPerRad;
    return bilinear(
      horizontal,
      vertical,
      candela,
      horizontal[0] === 0 ? Math.abs(h) : h,
      vertical[0] === 0 ? Math.abs(v) : v,
    );
  };
  return {
    kind: 'table',
    polarDeg,
    azimuthDeg,
    candela: azimuthDeg.map((azimuth) => polarDeg.map((polar) => value(polar, azimuth))),
  };
};

/** The measured values as a table about the way the LED faces, all round. */
export const aboutAxis = (measured: Measured): MeasuredTable => {
  if (measured.photometry === 'B') return fromTypeB(measured);
  const { vertical, horizontal, candela } = measured;
  if (horizontal.length === 1) return { kind: 'table', polarDeg: vertical, azimuthDeg: [0], candela };
  // Every measured plane, mirrored as its symmetry says, and both ends of the turn.
  const azimuths = new Set([0, 360]);
  for (let azimuth = 0; azimuth <= 360; azimuth += azimuthStepDeg) azimuths.add(azimuth);
  for (const angle of horizontal)
    for (const image of [angle, 180 - angle, 180 + angle, 360 - angle])
      if (image >= 0 && image <= 360) azimuths.add(image);
  const azimuthDeg = [...azimuths].sort((a, b) => a - b);
  return {
    kind: 'table',
    polarDeg: vertical,
    azimuthDeg,
    candela: azimuthDeg.map((azimuth) =>
      vertical.map((polar) => bilinear(horizontal, vertical, candela, foldC(horizontal, azimuth), polar)),
    ),
  };
};

/** Intensity (cd) for one lumen at `polarRad` from the axis and `azimuthRad` round it. */
export const intensityAt = (distribution: Distribution, polarRad: number, azimuthRad = 0): number => {
  if (distribution.kind === 'cosine') {
    const ahead = Math.cos(polarRad);
    return ahead > 0 ? ((distribution.exponent + 1) / (2 * Math.PI)) * Math.pow(ahead, distribution.exponent) : 0;
  }
  const polar = polarRad * degPerRad;
  const { polarDeg, azimuthDeg, candela } = distribution;
  if (polar > (polarDeg.at(-1) ?? 90) + millionth) return 0;
  const azimuth = (((azimuthRad * degPerRad) % 360) + 360) % 360;
  return bilinear(azimuthDeg, polarDeg, candela, azimuthDeg.length === 1 ? 0 : azimuth, polar);
};

/** A table with every intensity multiplied. */
export const scaled = (table: MeasuredTable, factor: number): MeasuredTable => ({
  ...table,
  candela: table.candela.map((row) => row.map((value) => value * factor)),
});

const fluxSteps = 6;

/** Flux of a table (lm): its intensities, linear between the angles, over the sphere. */
export const fluxOf = (table: MeasuredTable): number => {
  const { polarDeg, azimuthDeg, candela } = table;
  const turns =
    azimuthDeg.length === 1
      ? [1]
      : azimuthDeg.map((azimuth, index) => {
          const [before, after] = [azimuthDeg[index - 1] ?? azimuth, azimuthDeg[index + 1] ?? azimuth];
          return (after - before) / 2 / 360;
        });
  const mean = polarDeg.map((_, place) =>
    candela.reduce((sum, row, index) => sum + (row[place] ?? 0) * (turns[index] ?? 0), 0),
  );
  let flux = 0;
  for (let ring = 0; ring + 1 < polarDeg.length; ring += 1) {
    const [from, to] = [polarDeg[ring]! / degPerRad, polarDeg[ring + 1]! / degPerRad];
    for (let step = 0; step < fluxSteps; step += 1) {
      const share = (step + 0.5) / fluxSteps;
      const intensity = mean[ring]! * (1 - share) + mean[ring + 1]! * share;
      const [a, b] = [from + ((to - from) * step) / fluxSteps, from + ((to - from) * (step + 1)) / fluxSteps];
      flux += 2 * Math.PI * intensity * (Math.cos(a) - Math.cos(b));
    }
  }
  return flux;
};

/** Angle from the axis at which intensity, mean over the azimuths, first falls to half its value on the axis (°). */
export const halfAngleDeg = (table: MeasuredTable): number => {
  const mean = table.polarDeg.map((_, place) => table.candela.reduce((sum, row) => sum + (row[place] ?? 0), 0));
  const half = (mean[0] ?? 0) / 2;
  for (let ring = 0; ring + 1 < mean.length; ring += 1) {
    const [now, next] = [mean[ring]!, mean[ring + 1]!];
    if (now < half || next >= half) continue;
    const share = now === next ? 0 : (now - half) / (now - next);
    return table.polarDeg[ring]! + share * (table.polarDeg[ring + 1]! - table.polarDeg[ring]!);
  }
  return table.polarDeg.at(-1) ?? 90;
};

/** m of the cosine law from the full beam angle at half intensity: m = ln ½ / ln cos θ½ (120° gives 1). */
export const cosineExponent = (beamAngleDeg: number): number => {
  const exponent = Math.log(0.5) / Math.log(Math.cos(beamAngleDeg / 2 / degPerRad));
  // Exactly 1 for the usual 120°, so that the fast exact law applies.
  return Math.abs(exponent - 1) < roundOff ? 1 : exponent;
};

/** Whether the light is the same all round the axis. */
export const isRound = (distribution: Distribution): boolean =>
  distribution.kind === 'cosine' || distribution.azimuthDeg.length === 1;

const samplerRings = 512;

/**
 * Draws directions with the density of the light: from two even numbers in [0, 1) to the cosine of the angle from the
 * axis and the azimuth. Exact for the cosine law; by a table of the summed flux for measured ones.
 */
export const directionSampler = (
  distribution: Distribution,
): ((a: number, b: number) => { readonly ahead: number; readonly azimuthRad: number }) => {
  if (distribution.kind === 'cosine') {
    const lift = 1 / (distribution.exponent + 1);
    return (a, b) => ({ ahead: Math.pow(1 - a, lift), azimuthRad: 2 * Math.PI * b });
  }
  const sectors = distribution.azimuthDeg.length === 1 ? 1 : 72;
  const last = Math.cos((distribution.polarDeg.at(-1) ?? 90) / degPerRad);
  // Rings of equal solid angle, so that a cell's flux is its intensity times a constant.
  const sums = new Float64Array(samplerRings * sectors + 1);
  for (let cell = 0; cell < samplerRings * sectors; cell += 1) {
    const ahead = 1 - ((Math.floor(cell / sectors) + 0.5) / samplerRings) * (1 - last);
    const azimuth = (((cell % sectors) + 0.5) / sectors) * 2 * Math.PI;
    sums[cell + 1] = sums[cell]! + intensityAt(distribution, Math.acos(ahead), azimuth);
  }
  const total = sums[samplerRings * sectors]!;
  return (a, b) => {
    const wanted = a * total;
    let [low, high] = [0, samplerRings * sectors];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (sums[middle]! <= wanted) low = middle;
      else high = middle;
    }
    const share = (wanted - sums[low]!) / (sums[low + 1]! - sums[low]! || 1);
    const ring = Math.floor(low / sectors);
    return {
      ahead: clamp(1 - ((ring + share) / samplerRings) * (1 - last), -1, 1),
      azimuthRad: sectors === 1 ? 2 * Math.PI * b : (((low % sectors) + b) / sectors) * 2 * Math.PI,
    };
  };
};
