/**
 * What of unpolarised light is thrown back at a smooth boundary (Fresnel), from the cosine of its angle to the normal on its
 * own side; `ratio` is the index of its own side over that of the other. 1 beyond the critical angle.
 */
export const thrownBackAt = (cosine: number, ratio: number): number => {
  const sine2 = ratio * ratio * (1 - cosine * cosine);
  if (sine2 >= 1) return 1;
  const other = Math.sqrt(1 - sine2);
  const across = (ratio * cosine - other) / (ratio * cosine + other);
  const along = (cosine - ratio * other) / (cosine + ratio * other);
  return (across * across + along * along) / 2;
};
