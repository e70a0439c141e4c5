import type { Member } from '../../joinery/members/index.js';
import type { Block } from '../radiosity/index.js';

/** A flat sheet part, in mm. */
export interface SheetSize {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** What every sign has: its size over all, its front centred on the origin of drawings (mm). */
export interface SignGeometry {
  readonly outside: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number };
}

/**
 * A case in mm. Drawings and light use x right, y up, from the middle of the face; z from the inner side of the back
 * toward the face.
 */
export interface CaseGeometry extends SignGeometry {
  readonly inside: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number };
  readonly face: SheetSize;
  readonly back: SheetSize;
  readonly members: readonly Member[];
  /** How far the back stands in from the rear edges of the returns. */
  readonly recessMm: number;
  /** Front of the face, from the inner side of the back. */
  readonly faceFrontZMm: number;
  /** From the inner side of the back to what the LEDs see first: the face, or a second sheet behind it. */
  readonly lightDepthMm: number;
  /** What stands on the back inside the case. */
  readonly block: Block | null;
}

/**
 * Letters held off a wall, in mm: x right, y up from their middle, z from the wall toward the viewer. The depth outside
 * counts from the wall.
 */
export interface LettersGeometry extends SignGeometry {
  /** From the wall to the rear edge of the letters. */
  readonly standoffMm: number;
  /** Rear edge and front of the letters. */
  readonly rearZMm: number;
  readonly frontZMm: number;
  /** Thickness of their front, and of a closed back; no back: 0. */
  readonly frontMm: number;
  readonly backMm: number;
  /** Returns behind the front, through which strip inside must shine; none for a plate or closed letters: 0. */
  readonly returnMm: number;
  /** Thickness of the returns; none for a plate: 0. */
  readonly wallMm: number;
  /** What of returns and fronts is solid: less than their thickness where they are printed. */
  readonly solid: { readonly returnMm: number; readonly frontMm: number };
  /** The plane that carries the strip, and where its LEDs are. */
  readonly bedZMm: number;
  readonly ledZMm: number;
}

/** Letter-shaped cases, in mm: x right, y up from their middle, z from the inner side of the backs toward the faces. */
export interface CansGeometry extends SignGeometry {
  readonly depthInsideMm: number;
  readonly backMm: number;
  readonly faceMm: number;
  readonly wallMm: number;
  readonly ledZMm: number;
  /** Front of the faces. */
  readonly frontZMm: number;
  /** Width of the returns: rear edge to front edge. */
  readonly returnWidthMm: number;
}
