const sumOf = (coefficients: readonly number[], t: number): number =>
  coefficients.reduceRight((sum, coefficient) => sum * t + coefficient, 0);

const i1Small = [0.5, 0.87890594, 0.51498869, 0.15084934, 0.02658733, 0.00301532, 0.00032411];
const k1Small = [1, 0.15443144, -0.67278579, -0.18156897, -0.01919402, -0.00110404, -0.00004686];
const k1Large = [1.25331414, 0.23498619, -0.0365562, 0.01504268, -0.00780353, 0.00325614, -0.00068245];

/** x K₁(x), the modified Bessel function of the second kind; 1 at 0 (Abramowitz & Stegun 9.8.3, 9.8.7, 9.8.8; to 2e-7). */
export const xK1 = (x: number): number => {
  if (x <= 0) return 1;
  if (x <= 2) {
    const i1 = x * sumOf(i1Small, (x / 3.75) ** 2);
    return x * Math.log(x / 2) * i1 + sumOf(k1Small, (x / 2) ** 2);
  }
  return Math.sqrt(x) * Math.exp(-x) * sumOf(k1Large, 2 / x);
};
