import { seededRandom } from '../base/maths/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { stackOf, viewThrough, type Layer } from '../light/optics/index.js';
import { shownWidthDeg } from './face-cases.js';
import type { ValidationCase } from './types.js';

/** Refractive index of acrylic. */
const n = 1.49;

type Way = readonly [number, number, number];

/** Snell’s law at a facet whose normal looks along the light; the same way where it is totally reflected. */
const refracted = ([x, y, z]: Way, [fx, fy, fz]: Way, ratio: number): Way => {
  const cos = x * fx + y * fy + z * fz;
  const root = 1 - ratio * ratio * (1 - cos * cos);
  if (root < 0) return [x, y, z];
  const along = Math.sqrt(root) - ratio * cos;
  return [ratio * x + along * fx, ratio * y + along * fy, ratio * z + along * fz];
};

/** The spread about the straight way that rays have, in one plane, after so many sheets with one face ground (rad). */
const tracedSpread = (slope: number, straightShare: number, sheets: number, photons: number): number => {
  const random = seededRandom(77);
  const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [sum, count] = [0, 0];
  for (let photon = 0; photon < photons; photon += 1) {
    let way: Way = [0, 0, 1];
    for (let sheet = 0; sheet < sheets; sheet += 1) {
      // In through the smooth side, out through a facet of the ground one.
      way = refracted(way, [0, 0, 1], 1 / n);
      const isSmooth = random() < straightShare;
      const [sx, sy] = isSmooth ? [0, 0] : [slope * gauss(), slope * gauss()];
      const length = Math.hypot(sx, sy, 1);
      way = refracted(way, [sx / length, sy / length, 1 / length], n);
    }
    const angle = Math.atan2(way[0], way[2]);
    sum += angle * angle;
    count += 1;
  }
  return Math.sqrt(sum / count);
};

/** A ground sheet as the model has it: its lobe, and the slope of its facets that gives that by Snell’s law for small angles. */
const groundSheet = (grit: number) => {
  const { scatter } = shippedCatalogue.coatings.find(({ id }) => id === `sanded-${grit}`)!;
  if (scatter.kind !== 'lobe') throw new Error('a ground face scatters in a lobe');
  const sigma = (scatter.sigmaDeg * Math.PI) / 180;
  const layer: Layer = {
    name: 'ground',
    behindMm: 0,
    transmittance: 1,
    reflectance: 0,
    scatter,
    tint: [1, 1, 1],
  };
  return { layer, slope: sigma / (n - 1), straight: 1 - scatter.hazeShare };
};

const roughCase = (grit: number): ValidationCase => ({
  group: 'faces',
  name: `a second sheet of acrylic sanded with ${grit} grit: how much wider it spreads what passes`,
  against: 'rays traced through the facets of one and of two ground faces, Gaussian slopes, by Snell’s law',
  tolerance: 0.03,
  run: () => {
    const { layer, slope } = groundSheet(grit);
    // Where all of it is ground: what is left smooth is another case.
    const ground: Layer = { ...layer, scatter: { ...layer.scatter, hazeShare: 1 } as Layer['scatter'] };
    const traced = (sheets: number): number => tracedSpread(slope, 0, sheets, 60_000);
    return {
      computed: shownWidthDeg([ground, ground], 60) / shownWidthDeg([ground], 60),
      expected: traced(2) / traced(1),
    };
  },
});

const straightCase = (grit: number): ValidationCase => ({
  group: 'faces',
  name: `two sheets sanded with ${grit} grit: share that goes straight through both`,
  against: 'the product of both shares',
  tolerance: 1e-9,
  run: () => {
    const { layer, straight } = groundSheet(grit);
    return {
      computed: viewThrough(stackOf([layer, layer], 0), 60).imageShare,
      expected: straight * straight,
    };
  },
});

/** Ground faces against rays through rough surfaces. */
export const roughFaceCases: readonly ValidationCase[] = [roughCase(320), straightCase(240)];
