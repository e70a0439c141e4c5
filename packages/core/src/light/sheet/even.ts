/** A share of the full working for each cell, and how even it makes what they give off. */
export interface EvenWorking {
  /** Of the chance that full working gives, by cell; 0 where nothing is worked. */
  readonly share: Float32Array;
  /** The dimmest worked place by the brightest, over patches of cells. */
  readonly evenness: number;
  /** Light of the dimmest patch, as a multiple of what full working everywhere gave it. */
  readonly dimmestTimes: number;
}

export interface EvenAsked {
  readonly columns: number;
  readonly rows: number;
  /** Which cells are worked. */
  readonly mask: Uint8Array;
  /** Side of a patch, in cells: light is evened over patches, so that single rays leave no pattern. */
  readonly patch: number;
  /** The least share that the tool can make. */
  readonly least: number;
  readonly rounds: number;
}

const patchOf = (cell: number, { columns, patch }: EvenAsked): number =>
  Math.floor(Math.floor(cell / columns) / patch) * Math.ceil(columns / patch) + Math.floor((cell % columns) / patch);

/** Mean light of the worked cells of each patch. */
const patchMeans = (light: Float64Array, asked: EvenAsked): ReadonlyMap<number, number> => {
  const sums = new Map<number, readonly [sum: number, count: number]>();
  asked.mask.forEach((worked, cell) => {
    if (worked === 0) return;
    const patch = patchOf(cell, asked);
    const [sum, count] = sums.get(patch) ?? [0, 0];
    sums.set(patch, [sum + light[cell]!, count + 1]);
  });
  return new Map([...sums].map(([patch, [sum, count]]) => [patch, sum / count]));
};

const evennessOf = (means: ReadonlyMap<number, number>): number => {
  const values = [...means.values()];
  return values.length === 0 ? 1 : Math.min(...values) / Math.max(...values);
};

/**
 * How densely each place is to be worked so that all give off alike: by fixed-point rounds, in which the density of a patch is
 * divided by what it gave. The densest patch is always worked in full, so that no light is left in the sheet for nothing.
 * `lightOf` tells what each cell gives off for given shares.
 */
export const evenWorking = (lightOf: (share: Float32Array) => Float64Array, asked: EvenAsked): EvenWorking => {
  const { mask, least, rounds } = asked;
  let share = Float32Array.from(mask);
  let means = patchMeans(lightOf(share), asked);
  const dimmest = (of: ReadonlyMap<number, number>): number => Math.min(...of.values());
  const before = dimmest(means);
  let best: EvenWorking = { share, evenness: evennessOf(means), dimmestTimes: 1 };
  for (let round = 0; round < rounds && means.size > 0; round += 1) {
    const wanted = new Map<number, number>();
    let densest = 0;
    mask.forEach((worked, cell) => {
      if (worked === 0) return;
      const patch = patchOf(cell, asked);
      const density = share[cell]! / Math.max(1e-12, means.get(patch)!);
      wanted.set(patch, density);
      densest = Math.max(densest, density);
    });
    share = share.map((old, cell) =>
      mask[cell] === 0 ? old : Math.max(least, wanted.get(patchOf(cell, asked))! / densest),
    );
    means = patchMeans(lightOf(share), asked);
    const evenness = evennessOf(means);
    if (evenness > best.evenness) best = { share, evenness, dimmestTimes: dimmest(means) / before };
  }
  return best;
};
