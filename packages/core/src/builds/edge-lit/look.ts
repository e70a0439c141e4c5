import type { Engraving, Pane } from '../../document/catalogue/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { wallRgb } from '../common/front.js';
import type { SheetDesign } from './schema.js';

/** What stands behind a clear sheet, as it looks by day. */
export type Behind = NonNullable<SheetDesign['behind']> | 'mirror';

export const behindOf = ({ behind }: Pick<SheetDesign, 'behind'>, { silver }: Pick<Pane, 'silver'>): Behind =>
  silver === undefined ? (behind ?? 'open') : 'mirror';

/** Reflectances; of a mirror what it shows of a room, as a soft grey. */
const rgbOf: Readonly<Record<Behind, LinearRgb>> = {
  open: wallRgb,
  black: [0.035, 0.035, 0.038],
  white: [0.78, 0.78, 0.76],
  painted: [0.03, 0.035, 0.045],
  mirror: [0.34, 0.35, 0.36],
};

/** Of light that leaves through the back, the share that comes back through the sheet toward the viewer; typical. */
const givesBack: Readonly<Record<Behind, number>> = { open: 0, black: 0.03, white: 0.65, painted: 0.04, mirror: 0.85 };

/** What a clear sheet passes of what is behind it, both ways, and what its faces mirror of a bright room; typical. */
const passesBothWays = 0.85;
const mirrors = 0.025;
/** What a worked place scatters back of the light of the room; the rest of what it shows is what is behind, dimmer. */
const frosts = 0.16;
const frostPasses = 0.6;
/** What passes the sheet from its back to its front. */
const passesOnce = 0.92;

/** What is seen through the clear sheet by day, as a reflectance. */
export const clearRgb = (behind: Behind): LinearRgb => {
  const [red, green, blue] = rgbOf[behind];
  // Paint and silver lie on the sheet: no second way through it.
  const seen = (share: number): number => (behind === 'mirror' ? share : share * passesBothWays + mirrors);
  return [seen(red), seen(green), seen(blue)];
};

/** What a worked place shows by day, unlit. */
export const workedRgb = (behind: Behind): LinearRgb => {
  const [red, green, blue] = rgbOf[behind === 'mirror' ? 'black' : behind];
  const seen = (share: number): number => frosts + share * passesBothWays * frostPasses;
  return [seen(red), seen(green), seen(blue)];
};

/** Of what a worked place gives off, the share that goes toward the viewer. */
export const towardViewer = ({ ownSide }: Engraving, mirrored: boolean, behind: Behind): number =>
  mirrored
    ? (1 - ownSide) * passesOnce + ownSide * givesBack[behind === 'mirror' ? 'open' : behind]
    : ownSide + (1 - ownSide) * givesBack[behind];
