import type { Outline, Rect } from '../../base/outlines/index.js';
import type { LinearRgb } from '../../light/colour/index.js';

/** Reflectances of a plain wall, linear. */
export const wallRgb: LinearRgb = [0.62, 0.59, 0.54];
/** Lets nothing through. */
export const opaque: LinearRgb = [0, 0, 0];

/** How a surface looks: what it gives back of the light of the place, and what of the light behind it it lets through. */
export interface Paint {
  readonly reflects: LinearRgb;
  readonly passes?: LinearRgb;
}

/** A shape that is drawn over the lit ground, with sharp edges. */
export interface FrontShape {
  readonly id: string;
  /** In the axes of the assembly; filled by the even-odd rule, or by the winding of its rings. */
  readonly outline: Outline;
  readonly rule: 'evenodd' | 'nonzero';
  readonly paint: Paint;
  /** Beside the lit part, where the eye adapts to the place; else seen as the lit part is. */
  readonly beside: boolean;
  /** Drawn as a line of this width (mm) along the outline, on both its sides; filled when left out. */
  readonly lineMm?: number;
}

/** What stands round a lit ground, to the outside of the assembly. */
export interface FrontRim {
  readonly outside: Rect;
  readonly inside: Rect;
}

/** What is seen of an assembly from the front, beside its map of light: plain data. */
export interface Front {
  /** The light lies on the wall, or on what the assembly stands on; else on the assembly itself. */
  readonly lights: 'itself' | 'ground';
  /** Hue of the light as the eye has it once it is used to it, at luminance 1. */
  readonly seenHue: LinearRgb;
  /** What covers part of the lit ground: where letters are, or all round them. */
  readonly cover: { readonly reflects: LinearRgb; readonly passes: LinearRgb };
  readonly covered: 'letters' | 'round-letters';
  /** The map is shown inside this alone; everywhere it reaches when null. What covers it outside is what stands behind. */
  readonly clip: Outline | null;
  /** What it is clipped to is a sheet that is seen round the letters as well. */
  readonly sheet?: true;
  readonly rim: FrontRim | null;
  readonly shapes: readonly FrontShape[];
  /** What is fitted into view. */
  readonly fitted: Rect;
  /** The assembly itself: what hides what stands behind it, and its outline seen from behind. */
  readonly body: Outline;
  /** Where the luminance along the slice is drawn: everywhere, where no letter hides it, or on letters alone. */
  readonly profile: 'everywhere' | 'round-letters' | 'letters';
}
