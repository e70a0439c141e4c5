type Place = readonly [number, number];

const between = ([ax, ay]: Place, [bx, by]: Place): number => Math.hypot(bx - ax, by - ay);

/** Length of a path of straight stretches. */
export const lengthOf = (path: readonly Place[]): number =>
  path.slice(1).reduce((sum, place, index) => sum + between(path[index]!, place), 0);

/** The place so far along a path, as a share of its length. */
export const alongPath = (path: readonly Place[], share: number): Place => {
  let left = share * lengthOf(path);
  for (let index = 1; index < path.length; index += 1) {
    const [a, b] = [path[index - 1]!, path[index]!];
    const length = between(a, b);
    if (left <= length && length > 0)
      return [a[0] + ((b[0] - a[0]) * left) / length, a[1] + ((b[1] - a[1]) * left) / length];
    left -= length;
  }
  return path[path.length - 1]!;
};
