import { outlineBounds, ringArea, ringLength, type Ring } from '../../base/outlines/index.js';

/** Rings that stand for the same cut, whichever way they run and wherever they begin, once each. */
export const withoutDoubles = (
  rings: readonly Ring[],
  toleranceMm: number,
): { readonly rings: readonly Ring[]; readonly removed: number } => {
  const seen = new Map<string, readonly Ring[]>();
  const size = (value: number): number => Math.round(value / (4 * toleranceMm));
  const alike = (a: Ring, b: Ring): boolean => {
    const [p, q] = [outlineBounds([a])!, outlineBounds([b])!];
    return (
      [p.x - q.x, p.y - q.y, p.width - q.width, p.height - q.height].every((off) => Math.abs(off) <= toleranceMm) &&
      Math.abs(Math.abs(ringArea(a)) - Math.abs(ringArea(b))) <= toleranceMm * ringLength(a) &&
      Math.abs(ringLength(a) - ringLength(b)) <= 4 * toleranceMm
    );
  };
  const kept = rings.filter((ring) => {
    const { x, y } = outlineBounds([ring])!;
    const [column, row] = [size(x), size(y)];
    const keys = [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => `${column + dx}:${row + dy}`));
    if (keys.some((key) => seen.get(key)?.some((other) => alike(ring, other)) === true)) return false;
    const own = `${column}:${row}`;
    seen.set(own, [...(seen.get(own) ?? []), ring]);
    return true;
  });
  return { rings: kept, removed: rings.length - kept.length };
};
