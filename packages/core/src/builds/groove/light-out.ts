import { luminanceOf, linearOf } from '../../light/glow/index.js';
import { grooveLight, pitchLeft } from '../../light/line/index.js';
import { emitterMmOf, type Strip } from '../../document/catalogue/index.js';
import type { GrooveGeometry } from './geometry.js';
import type { GrooveMaterials } from './materials.js';
import type { GrooveAssembly } from './schema.js';

/** What white paint, bare board and the strip’s own board give back; typical. */
const whitePaint = 0.85;
const bareBoard = 0.4;
const stripBoard = 0.6;
/** An opal cover takes about a tenth for itself; what it does not pass it gives back; typical. */
const coverTakes = 0.1;
/** Two faces of a clear sheet throw back about a twelfth. */
const clearPasses = 0.92;

/** Where the light of strip in a groove goes, and how single LEDs show. */
export interface LightOut {
  /** Share of the LEDs’ light that leaves toward the viewer’s side. */
  readonly out: number;
  /** Of that, what comes straight from the LEDs, which are seen as they are; the rest is spread by cover, floor and walls. */
  readonly straight: number;
  /** Contrast of the LED pitch along the line. */
  readonly dotContrast: number;
  /** Share of daylight that the unlit line gives back. */
  readonly unlitReflects: number;
}

/** The contrast of emitters so wide at this pitch, seen as they are: what is left of the first harmonic of bars. */
const bars = (emitterMm: number, pitchMm: number): number => {
  const turn = (Math.PI * Math.min(emitterMm, pitchMm)) / pitchMm;
  return Math.min(1, (2 * Math.sin(turn)) / turn);
};

/** What of the light of strip comes out of its groove, through its cover, and how much of the pitch is left in it. */
export const lightOut = (
  { groove }: Pick<GrooveGeometry, 'groove'>,
  { carrier, groove: design }: Pick<GrooveAssembly, 'carrier' | 'groove'>,
  { cover, sheet }: Pick<GrooveMaterials, 'cover' | 'sheet'>,
  strip: Strip,
): LightOut => {
  const pitchMm = 1000 / strip.ledsPerM;
  const { overStripMm } = groove;
  const emitters = bars(emitterMmOf(strip), pitchMm);
  if (cover?.form === 'tube')
    return {
      out: cover.transmittance,
      straight: 0,
      dotContrast: Math.min(emitters, pitchLeft(pitchMm, overStripMm)),
      unlitReflects: 1 - cover.transmittance - coverTakes,
    };
  const walls =
    carrier.whiteGroove === true ? whitePaint : Math.min(bareBoard, luminanceOf(linearOf(carrier.colour)) + 0.1);
  const section = { widthMm: groove.widthMm, depthMm: overStripMm, floorReflects: stripBoard, wallsReflect: walls };
  if (sheet.clear)
    // Pressed in with its LEDs at the clear floor of the groove: nothing is between but sheet.
    return { out: clearPasses, straight: 1, dotContrast: emitters, unlitReflects: stripBoard * clearPasses ** 2 };
  const { out, straight } = grooveLight(section, design.lies === 'edge' ? 'wall' : 'floor');
  if (cover === null)
    return {
      out,
      straight: out > 0 ? straight / out : 0,
      dotContrast: Math.min(
        1,
        (straight * emitters + (out - straight) * Math.min(1, pitchLeft(pitchMm, overStripMm))) / Math.max(out, 1e-9),
      ),
      unlitReflects: stripBoard * 0.7,
    };
  // Light that the cover throws back comes again, less what floor and walls take of it.
  const thrownBack = 1 - cover.transmittance - coverTakes;
  const again = (stripBoard + walls) / 2;
  return {
    out: (out * cover.transmittance) / (1 - thrownBack * again),
    straight: 0,
    dotContrast: Math.min(emitters, pitchLeft(pitchMm, overStripMm)),
    unlitReflects: thrownBack + (cover.transmittance ** 2 * again) / (1 - thrownBack * again),
  };
};
