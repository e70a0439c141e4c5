import type { PhotometricFile } from '@vitrum/core';

type Table = PhotometricFile['table'];

/** Points of a polar drawing: angle from straight ahead (°, negative on the left) and intensity (cd for a kilolumen). */
export type PolarCurve = readonly (readonly [number, number])[];

const perKilolumen = 1000;

const rowNear = ({ azimuthDeg, candela }: Table, azimuth: number): readonly number[] => {
  const best = azimuthDeg.reduce(
    (found, angle, index) => (Math.abs(angle - azimuth) < Math.abs(azimuthDeg[found]! - azimuth) ? index : found),
    0,
  );
  return candela[best] ?? [];
};

/** The section of the light through one plane: what goes to the azimuth on the right, what goes opposite on the left. */
export const polarCurve = (table: Table, azimuth: number): PolarCurve => {
  const [right, left] = [rowNear(table, azimuth), rowNear(table, (azimuth + 180) % 360)];
  return [
    ...table.polarDeg.map((polar, place) => [-polar, (left[place] ?? 0) * perKilolumen] as const).reverse(),
    ...table.polarDeg.map((polar, place) => [polar, (right[place] ?? 0) * perKilolumen] as const),
  ];
};
