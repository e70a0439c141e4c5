/** What a number of ratios, measured over computed, says. */
export interface Learned {
  /** What to multiply computed figures by. */
  readonly factor: number;
  /** Between these it lies, four times in five. */
  readonly low: number;
  readonly high: number;
  /** The plain geometric mean of the ratios. */
  readonly seen: number;
  readonly count: number;
}

/** How much one knows before anything was measured. */
export interface Prior {
  /** Spread of the factor among shops, or items, as a share (log). */
  readonly spread: number;
  /** One measurement is off by this at the least, as a share (log). */
  readonly leastOff: number;
}

/** Four times in five, in standard deviations of the normal curve. */
const fourInFive = 1.2816;

/**
 * A factor learned from ratios: the posterior of a normal mean under a normal prior round “as computed”, in logarithms
 * (Gelman et al., Bayesian Data Analysis, 2.5). One odd job moves it a little, many that agree move it all the way. Null
 * without a ratio; ratios are above 0.
 */
export const learnedFactor = (ratios: readonly number[], { spread, leastOff }: Prior): Learned | null => {
  const logs = ratios.filter((ratio) => ratio > 0).map(Math.log);
  const count = logs.length;
  if (count === 0) return null;
  const mean = logs.reduce((sum, each) => sum + each, 0) / count;
  const between = count < 2 ? 0 : Math.sqrt(logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (count - 1));
  const off = Math.max(leastOff, between);
  const weight = count * spread ** 2 + off ** 2;
  const centre = (count * spread ** 2 * mean) / weight;
  const unsure = fourInFive * Math.sqrt((spread ** 2 * off ** 2) / weight);
  return {
    factor: Math.exp(centre),
    low: Math.exp(centre - unsure),
    high: Math.exp(centre + unsure),
    seen: Math.exp(mean),
    count,
  };
};
