import type { Post } from '../../light/wall/index.js';
import { intersect, offset, subtract, type Outline, type Point, type Ring } from '../../base/outlines/index.js';
import { stacked } from './stacked.js';
import { joined, parted } from './tidy.js';
import type { Triangles } from './types.js';

/** Play of a post in its socket, all round (mm). */
const playMm = 0.15;
/** Material round a socket (mm). */
const socketWallMm = 2.4;
/** Foot of a wall clip: how far it reaches round the socket, how thick, and its screw (mm). */
const footMm = 6;
const footThickMm = 3;
const screwMm = 4;
/** Corners of a round. */
const roundCorners = 48;

const disc = ([x, y]: Point, radius: number): Ring =>
  Array.from({ length: roundCorners }, (_, at): Point => [
    x + radius * Math.cos((2 * Math.PI * at) / roundCorners),
    y + radius * Math.sin((2 * Math.PI * at) / roundCorners),
  ]);

/** Sizes of a printed shell (mm). */
export interface ShellSizes {
  readonly depthMm: number;
  readonly frontMm: number;
  readonly wallMm: number;
}

/** A bore keeps this much material to the outside (mm). */
const leastSkinMm = 0.6;

/**
 * A hollow letter to print, front down: a block as deep as the letter with pockets behind its front, all that is farther
 * than the wall’s thickness from the outline and in no post’s socket, and the bores of the sockets.
 */
export const letterShell = (given: Outline, posts: readonly Post[], sizes: ShellSizes): Triangles => {
  const letter = joined(given);
  const sockets = posts.map(({ at, diameterMm }) => disc(at, diameterMm / 2 + playMm + socketWallMm));
  const bores = posts.map(({ at, diameterMm }) => disc(at, diameterMm / 2 + playMm));
  const hollow = subtract(offset(letter, -sizes.wallMm), sockets);
  const pockets = parted([...hollow, ...intersect(bores, offset(letter, -leastSkinMm))]);
  return stacked([
    { outline: letter, fromMm: 0, toMm: sizes.frontMm },
    {
      outline: [...letter, ...pockets.map((ring) => [...ring].reverse())],
      fromMm: sizes.frontMm,
      toMm: sizes.depthMm,
    },
  ]);
};

/** A clip for the wall: a foot with a screw hole, and a socket for the post. Foot down. */
export const wallClip = (diameterMm: number, standoffMm: number): Triangles => {
  const bore = diameterMm / 2 + playMm;
  const outer = bore + socketWallMm;
  const socketMm = Math.max(4, Math.min(12, standoffMm * 0.6) - footThickMm);
  const screw = Math.min(screwMm / 2, bore - 0.4);
  return stacked([
    { outline: [disc([0, 0], outer + footMm), [...disc([0, 0], screw)].reverse()], fromMm: 0, toMm: footThickMm },
    {
      outline: [disc([0, 0], outer), [...disc([0, 0], bore)].reverse()],
      fromMm: footThickMm,
      toMm: footThickMm + socketMm,
    },
  ]);
};
