import type { WireKind } from '../circuit/index.js';
import type { Point } from '../../base/outlines/index.js';

/** What stands in a wiring diagram. */
export type DiagramKind = 'socket' | 'supply' | 'controller' | 'lead' | 'segment';

/** A box of a diagram; places in units of its own, y down. */
export interface DiagramBox {
  readonly id: string;
  readonly kind: DiagramKind;
  readonly title: string;
  /** Further lines, each short enough for the box. */
  readonly lines: readonly string[];
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A wire of a diagram, with what it is and where that is written. */
export interface DiagramLink {
  readonly id: string;
  readonly path: readonly Point[];
  /** Written over the wire’s end, and under it. */
  readonly label: string;
  readonly below: string;
  readonly labelAt: Point;
  readonly kind: 'mains' | WireKind;
}

/** A circuit in order from the socket: left to right, a row for each chain. */
export interface Diagram {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly DiagramBox[];
  readonly links: readonly DiagramLink[];
}
