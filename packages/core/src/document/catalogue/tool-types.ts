import type { ShelfItem as Item } from './shelf-item.js';
import type { Stuff } from './stuff.js';

/** How a tool works the face of a clear sheet, so that light comes out there. */
export interface Engraving {
  readonly method: 'beam' | 'bit' | 'hand' | 'blasted' | 'sanded';
  /** Width of one line of it (mm): hatch and dots are made of such. */
  readonly lineMm: number;
  /** Chance that a ray which meets a place worked all over and deep enough is taken out of the sheet. */
  readonly takes: number;
  /** Of what is taken out, the share that leaves through the worked face; the rest goes through the other. */
  readonly ownSide: number;
  /** Depth at which it takes 63 % of what it can (mm), and what one pass works. */
  readonly fullMm: number;
  readonly passMm: number;
  /** It goes over the face in rows of a picture, so fine; left out where it follows lines. */
  readonly dotsPerInch?: number;
  /** For a square metre worked all over by one pass (min). */
  readonly minPerM2: number;
}

/** What cuts outlines, or works faces. Price each; not part of a sign’s cost. */
export interface Tool extends Item {
  readonly kind: 'knife' | 'beam' | 'bit' | 'nozzle';
  /** Width of its cut: of a bit its diameter, of a beam its kerf; nothing for a knife (mm). */
  readonly cutMm: number;
  /** The same as measured in one material: a beam cuts wood wider than acrylic. */
  readonly kerfs?: { readonly [Each in Stuff]?: number };
  /** The thinnest stroke that stands after it (mm). */
  readonly leastStrokeMm: number;
  /** What it cuts, and how thick at most. */
  readonly cuts: readonly { readonly stuff: Stuff; readonly mostMm: number }[];
  readonly bedWidthMm: number;
  readonly bedHeightMm: number;
  /** Of what works the faces of clear sheets: `cuts` is then how deep it goes. */
  readonly engraves?: Engraving;
  /** How its way into and round a cut is drawn; usual figures of its kind where it says nothing. */
  readonly way?: CutWay;
}

/** How the way of a tool is drawn for a machine that follows lines as they are. */
export interface CutWay {
  /** Radius of the quarter turn by which it comes into a cut from the waste; 0 begins on the line (mm). */
  readonly leadMm?: number;
  /** Bridges that hold a part in its sheet until it is broken out: how wide, 0 for none, how high, how far apart at most (mm). */
  readonly tabMm?: number;
  readonly tabHighMm?: number;
  readonly tabEveryMm?: number;
}

/** A saw blade or router bit for lengths, grooves, rabbets and chamfers. Price each; not part of a sign’s cost. */
export interface Cutter extends Item {
  /** A V bit has two edges at 45° that meet in a point. */
  readonly kind: 'blade' | 'bit' | 'v-bit';
  /** Width of its cut, best measured in an offcut; of a V bit its widest (mm). */
  readonly cutMm: number;
  /** How deep it cuts at most (mm). */
  readonly mostDeepMm: number;
}
