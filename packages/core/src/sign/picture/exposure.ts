import type { Ambient } from '../../document/design/index.js';
import type { Front } from '../../builds/index.js';
import { ambientLux, type Glow } from '../../light/glow/index.js';
import { millionth, roundOff } from '../../base/maths/index.js';
import { greyShare, whiteShown } from './adaptation.js';

/** What a picture needs to know of an assembly: its map of light, and what is seen of it. */
export interface Lit {
  readonly glow: Glow;
  readonly front: Front;
}

/** Who looks: an eye used to the place, or a camera exposed for the glow. */
export type Viewer = 'eye' | 'camera';

/** How luminances are shown on a screen. */
export interface Exposure {
  readonly viewer: Viewer;
  /** The light of the place (lx). */
  readonly lux: number;
  /** Linear light of the screen (1 is its white) for 1 cd/m², where nothing is rolled off. */
  readonly perCdM2: number;
  /** How soon light above the knee is rolled off: as the logarithm of 1 + what is above over this; null where it never is. */
  readonly softness: number | null;
}

/** A screen shows white paper a little under its own white, so that light can be brighter than paper. */
const paperRoom = 0.9;
/** From here on brighter light is rolled off, up to what is brightest; what is left above is for hot spots on it. */
const knee = 0.45;
const top = 0.82;
const clipKnee = 0.9;
/** A camera puts what is brightest here. */
const cameraTop = 0.92;

/** What a sign adds to what the eye is used to, looking about: its share of the field and the veil round it; typical. */
const signShare = 0.02;

/** The lit ground's own luminance in its strongest channel (cd/m²), as the screen has to show it. */
const strongest = ({ front }: Lit, cdM2: number): number => cdM2 * Math.max(...front.seenHue);

/** The softness by which light up to `peak` just comes to the top, and none jumps at the knee: s ln(1 + over/s) = room. */
const softnessFor = (peak: number): number | null => {
  const [over, room] = [peak - knee, top - knee];
  if (over <= room) return null;
  let [low, high] = [over * roundOff, over];
  for (let step = 0; step < 60; step += 1) {
    const middle = Math.sqrt(low * high);
    if (middle * Math.log1p(over / middle) < room) low = middle;
    else high = middle;
  }
  return high;
};

/**
 * Exposure under one ambient light. The eye is used to the light of the place and to the veil that the sign lays over it;
 * the camera is exposed for what is brightest.
 */
export const exposureFor = (parts: readonly Lit[], ambient: Ambient, lit = true, viewer: Viewer = 'eye'): Exposure => {
  const lux = ambientLux[ambient];
  const paper = lux / Math.PI;
  const brightest = Math.max(
    paper,
    ...parts.map(
      (part) => (lit ? strongest(part, part.glow.evenness.highCdM2) : 0) + paper * part.glow.faceReflectance,
    ),
  );
  if (viewer === 'camera') return { viewer, lux, perCdM2: cameraTop / brightest, softness: null };
  const brightness = Math.max(0, ...parts.map(({ glow }) => glow.evenness.meanCdM2));
  const adapting = greyShare * paper + (lit ? signShare * brightness : 0);
  const perCdM2 = (paperRoom * whiteShown(adapting) * greyShare) / adapting;
  return { viewer, lux, perCdM2, softness: softnessFor(brightest * perCdM2) };
};

/** Linear light of the screen for a luminance in its surroundings (cd/m²): above the knee by Fechner’s logarithm. */
export const shownLight = ({ perCdM2, softness }: Exposure, cdM2: number): number => {
  const over = cdM2 * perCdM2 - knee;
  return softness === null || over <= 0 ? cdM2 * perCdM2 : knee + softness * Math.log1p(over / softness);
};

/**
 * Linear light for each cd/m² of detail on a ground of this luminance. The eye settles on what it looks at: the ground as a
 * whole is rolled off, what varies on it keeps its contrast.
 */
export const gainOn = (exposure: Exposure, groundCdM2: number): number =>
  groundCdM2 > millionth ? shownLight(exposure, groundCdM2) / groundCdM2 : exposure.perCdM2;

const encode = (linear: number): number =>
  linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;

const gammaTable = Uint8ClampedArray.from({ length: 4097 }, (_, index) => Math.round(encode(index / 4096) * 255));

/** Linear light as an sRGB byte; the last tenth below white is shared among all that would be above it. */
export const byteOf = (linear: number): number => {
  const over = (linear - clipKnee) / (1 - clipKnee);
  const held = over <= 0 ? Math.max(0, linear) : clipKnee + ((1 - clipKnee) * over) / (1 + over);
  return gammaTable[(held * 4096 + 0.5) | 0]!;
};
