import type { Triangles } from './types.js';

/** Something to be printed in three dimensions: the name of its file, what it is, and its surface. */
export interface Solid {
  readonly name: string;
  readonly title: string;
  readonly triangles: Triangles;
}
