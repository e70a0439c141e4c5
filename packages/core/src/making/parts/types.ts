import type { Member } from '../../joinery/members/index.js';
import type { Outline, Point, Ring } from '../../base/outlines/index.js';
import type { Operation } from '../../document/catalogue/index.js';

export type { Operation } from '../../document/catalogue/index.js';

/** A shape on a part, mm from its lower left corner. */
export type PartShape =
  | { readonly kind: 'outline'; readonly outline: Outline }
  | { readonly kind: 'hole'; readonly x: number; readonly y: number; readonly diameterMm: number }
  | { readonly kind: 'line'; readonly from: readonly [number, number]; readonly to: readonly [number, number] }
  | { readonly kind: 'path'; readonly points: Ring; readonly closed: boolean };

export interface PartLayer {
  readonly operation: Operation;
  readonly shapes: readonly PartShape[];
  /** How deep it is worked (mm); left out where it goes through, or leaves a line alone. */
  readonly depthMm?: number;
}

/** A part cut from sheet, with all that is done to it. */
export interface CutPart {
  readonly id: string;
  readonly name: string;
  readonly materialId: string;
  readonly materialName: string;
  /**
   * What it is cut from; one that another shop makes by its drawing is cut from nothing here, and a panel from what was glued
   * up of other parts first.
   */
  readonly stock: 'board' | 'face' | 'film' | 'return' | 'print' | 'panel' | 'elsewhere';
  /** Along the drawing's x and y. */
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  readonly count: number;
  /** Each (kg). */
  readonly kg: number;
  readonly note: string;
  readonly layers: readonly PartLayer[];
  /** What the tool takes of its stuff where that is another than of the rest (mm). */
  readonly kerfMm?: number;
  /** As joinery sees it, where it is a member of a frame. */
  readonly member?: Member;
  /** Where it is screwed to what is behind it, in the axes of its assembly. */
  readonly fixedAt?: readonly Point[];
  /** Left on the wall or the bench: no part of what hangs. */
  readonly hangs?: false;
}

/** Something bought by the piece or the metre. */
export interface BoughtPart {
  readonly id: string;
  readonly name: string;
  readonly quantity: number;
  readonly unit: 'piece' | 'm' | 'm²' | 'kg' | 'L' | 'ml';
  readonly unitPrice: number;
  readonly kg: number;
  /** Hung on the wall with the sign (a supply and its lead stay apart). */
  readonly hangs: boolean;
}

/** All parts of one sign. */
export interface Parts {
  readonly cut: readonly CutPart[];
  readonly bought: readonly BoughtPart[];
  /** Weight of what hangs (kg). */
  readonly kg: number;
}
