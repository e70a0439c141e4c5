/** A point in space (mm). */
export type At = readonly [x: number, y: number, z: number];

/** What takes room in a sign: a screw, a strip, a sheet, by the box that it stands in (mm). */
export interface Body {
  /** In a few words, as a sentence takes it: “a screw of the back”. */
  readonly name: string;
  /** Bodies of one group are made to meet: a strip and the next. */
  readonly group: string;
  readonly from: At;
  readonly to: At;
}

/** Two bodies that want the same room. */
export interface Meeting {
  readonly one: Body;
  readonly other: Body;
  /** How far one must move at least to be clear of the other (mm). */
  readonly byMm: number;
}

/** A body round a straight line along an axis: as long as that, and `radiusMm` to every other side. */
export const rod = (name: string, group: string, [x0, y0, z0]: At, [x1, y1, z1]: At, radiusMm: number): Body => {
  const low: At = [Math.min(x0, x1), Math.min(y0, y1), Math.min(z0, z1)];
  const high: At = [Math.max(x0, x1), Math.max(y0, y1), Math.max(z0, z1)];
  const wide = (axis: 0 | 1 | 2): number => (high[axis] - low[axis] < 1e-9 ? radiusMm : 0);
  return {
    name,
    group,
    from: [low[0] - wide(0), low[1] - wide(1), low[2] - wide(2)],
    to: [high[0] + wide(0), high[1] + wide(1), high[2] + wide(2)],
  };
};

/**
 * How far two bodies reach into each other, counted along the axis on which the least of it parts them, with `apartMm` of
 * material wanted between; less than nothing where they are farther apart than that.
 */
export const reachInto = (a: Body, b: Body, apartMm: number): number =>
  Math.min(
    ...([0, 1, 2] as const).map((axis) => Math.min(a.to[axis], b.to[axis]) - Math.max(a.from[axis], b.from[axis])),
  ) + apartMm;

const least = 1e-6;

/** Every fastener that meets another of another group, or one of the things that are in its way. */
export const meetingsOf = (fasteners: readonly Body[], things: readonly Body[], apartMm: number): readonly Meeting[] =>
  fasteners.flatMap((one, at) =>
    [...fasteners.slice(at + 1).filter(({ group }) => group !== one.group), ...things].flatMap((other) => {
      const byMm = reachInto(one, other, apartMm);
      return byMm > least ? [{ one, other, byMm }] : [];
    }),
  );
