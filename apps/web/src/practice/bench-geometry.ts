import type { TestBoardDrawing } from '@vitrum/core';

/** A place on the bench (mm). */
export type Place = readonly [number, number];

/** Bench shown round the circuit (mm). */
const marginMm = 90;

/** The box round a circuit, with a margin. */
export const boundsOf = ({ segments, wires }: TestBoardDrawing) => {
  const places = [...segments.flatMap(({ path }) => path), ...wires.flatMap(({ path }) => path)];
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs) - marginMm, Math.min(...ys) - marginMm];
  return { left, low, width: Math.max(...xs) + marginMm - left, height: Math.max(...ys) + marginMm - low };
};

/** A path measured by its length. */
const measured = (path: readonly (readonly number[])[]) => {
  const upTo = [0];
  for (let at = 1; at < path.length; at += 1)
    upTo.push(upTo[at - 1]! + Math.hypot(path[at]![0]! - path[at - 1]![0]!, path[at]![1]! - path[at - 1]![1]!));
  const total = upTo[upTo.length - 1]!;
  const placeAt = (mm: number): Place => {
    const after = Math.max(
      1,
      upTo.findIndex((sum) => sum >= mm),
    );
    const [a, b] = [path[after - 1]!, path[after]!];
    const span = upTo[after]! - upTo[after - 1]!;
    const share = span > 0 ? (mm - upTo[after - 1]!) / span : 0;
    return [a[0]! + (b[0]! - a[0]!) * share, a[1]! + (b[1]! - a[1]!) * share];
  };
  return { upTo, total, placeAt };
};

/** A path in `count` stretches of the same length. */
export const stretches = (path: readonly (readonly number[])[], count: number): readonly (readonly Place[])[] => {
  const { upTo, total, placeAt } = measured(path);
  return Array.from({ length: count }, (_, index) => {
    const [from, to] = [(index * total) / count, ((index + 1) * total) / count];
    const between = path.filter((_point, at) => upTo[at]! > from && upTo[at]! < to).map(([x, y]): Place => [x!, y!]);
    return [placeAt(from), ...between, placeAt(to)];
  });
};

/** Where each point is drawn: ends of segments a little way in, since strip that goes all round ends where it starts. */
export const placesOf = ({ segments, points }: TestBoardDrawing, insetMm: number): ReadonlyMap<string, Place> => {
  const places = new Map<string, Place>();
  for (const { id, at } of points) if (at !== null) places.set(id, [at[0], at[1]]);
  for (const { label, path } of segments) {
    const { total, placeAt } = measured(path);
    const inset = Math.min(insetMm, total / 4);
    places.set(`start-${label}`, placeAt(inset));
    places.set(`end-${label}`, placeAt(total - inset));
  }
  return places;
};
