import { failure, success, type Result } from '../../base/result.js';

/** A photograph of a lit coupon in linear light, grey, row by row. */
export interface CouponPhoto {
  readonly width: number;
  readonly height: number;
  readonly linear: ArrayLike<number>;
  /** Width of what the picture shows, on the coupon (mm). */
  readonly widthMm: number;
  /** From the LED to the coupon (mm). */
  readonly distanceMm: number;
}

/** How a coupon scatters, read off its photograph. */
export interface CouponFit {
  readonly sigmaDeg: number;
  readonly hazeShare: number;
  /** Root mean square difference of the fit from the rings, as a share of the middle. */
  readonly offShare: number;
  /** Ring by ring: angle (°), as photographed, as fitted. */
  readonly rings: readonly (readonly [number, number, number])[];
}

const ringCount = 48;
/** Rings nearer than this to the middle hold the LED’s own image (mm). */
const imageMm = 3;
/** Rings dimmer than this share of the middle are noise. */
const faint = 0.1;
const clippedShare = 0.985;

const ringMeans = (photo: CouponPhoto, x: number, y: number, reach: number): Float64Array => {
  const sums = new Float64Array(ringCount);
  const counts = new Float64Array(ringCount);
  for (let row = 0; row < photo.height; row += 1)
    for (let column = 0; column < photo.width; column += 1) {
      const ring = Math.floor((Math.hypot(column + 0.5 - x, row + 0.5 - y) / reach) * ringCount);
      if (ring >= ringCount) continue;
      sums[ring]! += photo.linear[row * photo.width + column]!;
      counts[ring]! += 1;
    }
  return sums.map((sum, ring) => (counts[ring]! > 0 ? sum / counts[ring]! : 0));
};

/** Middle of the light: the mean place of the brightest pixels. */
const middleOf = ({ width, linear }: CouponPhoto, top: number): readonly [number, number] => {
  let [x, y, weight] = [0, 0, 0];
  for (let pixel = 0; pixel < linear.length; pixel += 1) {
    const value = linear[pixel]!;
    if (value < 0.7 * top) continue;
    x += value * ((pixel % width) + 0.5);
    y += value * (Math.floor(pixel / width) + 0.5);
    weight += value;
  }
  return [x / weight, y / weight];
};

/**
 * Width of the lobe and haze of a sanded coupon, from a photograph of it with a single LED behind: ring by ring, what the
 * eye sees is cos³θ·cosθ (LED and distance) times the lobe exp(−θ²/2σ²); the logarithm is a straight line in θ². What the middle
 * has above that line passed unscattered.
 */
export const fitCoupon = (photo: CouponPhoto): Result<CouponFit> => {
  const { width, height, linear, widthMm, distanceMm } = photo;
  if (!(widthMm > 0 && distanceMm > 0) || width * height !== linear.length || linear.length === 0)
    return failure({
      path: 'widthMm',
      message: 'say how wide the picture is on the coupon, and how far off the LED is',
    });
  let top = 0;
  let clipped = 0;
  for (let pixel = 0; pixel < linear.length; pixel += 1) top = Math.max(top, linear[pixel]!);
  if (!(top > 0)) return failure({ path: 'photo', message: 'the picture is black' });
  for (let pixel = 0; pixel < linear.length; pixel += 1) if (linear[pixel]! >= clippedShare) clipped += 1;
  if (clipped > linear.length * 0.002)
    return failure({
      path: 'photo',
      message: 'the middle of the picture is clipped to white; take it again with a shorter exposure',
    });
  const [x, y] = middleOf(photo, top);
  const reach = Math.min(x, y, width - x, height - y);
  const mmPerPx = widthMm / width;
  if (reach * mmPerPx < 4 * imageMm)
    return failure({
      path: 'photo',
      message: 'the light is too near to the edge of the picture; put it in the middle',
    });
  const rings = ringMeans(photo, x, y, reach);
  const angleOf = (ring: number): number => Math.atan((((ring + 0.5) / ringCount) * reach * mmPerPx) / distanceMm);
  const places = Array.from(rings, (value, ring) => {
    const angle = angleOf(ring);
    return { ring, angle, value, straight: value / Math.cos(angle) ** 4, mm: Math.tan(angle) * distanceMm };
  });
  const first = places.find(({ mm }) => mm > imageMm);
  const used = places.filter(({ mm, value }) => mm > imageMm && value > faint * (first?.value ?? 1));
  if (used.length < 6) return failure({ path: 'photo', message: 'too little of the glow is in the picture' });
  const [n, sx, sy] = used.reduce(
    ([count, a, b], { angle, straight }) => [count + 1, a + angle * angle, b + Math.log(straight)],
    [0, 0, 0],
  );
  const [mx, my] = [sx / n, sy / n];
  const [xy, xx] = used.reduce(
    ([a, b], { angle, straight }) => {
      const dx = angle * angle - mx;
      return [a + dx * (Math.log(straight) - my), b + dx * dx];
    },
    [0, 0],
  );
  const slope = xy / xx;
  if (!(slope < 0)) return failure({ path: 'photo', message: 'the light does not fall off from its middle' });
  const sigma = Math.sqrt(-1 / (2 * slope));
  const peak = Math.exp(my - slope * mx);
  const fitted = (angle: number): number => peak * Math.exp(slope * angle * angle) * Math.cos(angle) ** 4;
  // Energy over the picture: of the lobe, and of what stands above it in the middle.
  const ringArea = (ring: number): number => 2 * ring + 1;
  const [lobe, image] = places.reduce(
    ([a, b], { ring, angle, value, mm }) => [
      a + ringArea(ring) * fitted(angle),
      b + (mm <= imageMm ? ringArea(ring) * Math.max(0, value - fitted(angle)) : 0),
    ],
    [0, 0],
  );
  const off = used.reduce((sum, { angle, value }) => sum + (value - fitted(angle)) ** 2, 0) / used.length;
  return success({
    sigmaDeg: (sigma * 180) / Math.PI,
    hazeShare: lobe / (lobe + image),
    offShare: Math.sqrt(off) / fitted(0),
    rings: places.map(({ angle, value }) => [(angle * 180) / Math.PI, value, fitted(angle)] as const),
  });
};
