import type { Problem } from '../../base/result.js';
import { seededRandom } from '../../base/maths/index.js';
import { otherArtworkOf, type OtherArtwork } from '../../builds/index.js';
import { keptByIdentity } from './kept-by-identity.js';
import type { Design } from '../design/index.js';

/** More letters than any one sign says; two hundred halo letters take some seconds. */
const mostLetters = 400;

/** The most points of all drawings of a sign. */
const mostPoints = 100_000;

/** Outlines of a drawing that cross one another so often are a tangle, and each crossing becomes a corner. */
const mostCrossings = 500_000;

const samples = 20_000;

type Rings = readonly (readonly number[])[];

const orientation = (ax: number, ay: number, bx: number, by: number, cx: number, cy: number): number =>
  Math.sign((bx - ax) * (cy - ay) - (by - ay) * (cx - ax));

/**
 * About how often the edges of rings (x, y, x, y …) cross, from pairs drawn by lot: in time that does not grow with the
 * number of crossings, which may be the square of that of the edges.
 */
export const crossingsAbout = (rings: Rings): number => {
  const edges: (readonly [ax: number, ay: number, bx: number, by: number])[] = [];
  for (const ring of rings)
    for (let at = 0; at + 1 < ring.length; at += 2) {
      const next = (at + 2) % ring.length;
      edges.push([ring[at]!, ring[at + 1]!, ring[next]!, ring[next + 1]!]);
    }
  if (edges.length < 2) return 0;
  // The same at every call: a drawing is judged alike everywhere.
  const next = seededRandom(1);
  let crossing = 0;
  for (let draw = 0; draw < samples; draw += 1) {
    const [ax, ay, bx, by] = edges[Math.floor(next() * edges.length)]!;
    const [cx, cy, dx, dy] = edges[Math.floor(next() * edges.length)]!;
    const first = orientation(ax, ay, bx, by, cx, cy) * orientation(ax, ay, bx, by, dx, dy);
    const second = orientation(cx, cy, dx, dy, ax, ay) * orientation(cx, cy, dx, dy, bx, by);
    if (first < 0 && second < 0) crossing += 1;
  }
  return ((crossing / samples) * (edges.length * (edges.length - 1))) / 2;
};

const keptCrossings = keptByIdentity(crossingsAbout);

const lettersOf = (text: string): number => text.replace(/\s/g, '').length;

/**
 * Why a design would take too long, or too much room, to be worked out: a problem with its place, or null. Judged from the
 * design alone, in a time that is small beside that of the work.
 */
export const tooMuchWork = ({ brief, assemblies }: Design): Problem | null => {
  let [letters, points] = [0, 0];
  for (const [index, assembly] of assemblies.entries()) {
    const { artwork } = assembly;
    const own: OtherArtwork = { path: 'artwork', text: artwork.text ?? brief.text, drawing: artwork.drawing };
    for (const { path: way, text = '', drawing } of [own, ...otherArtworkOf(assembly)]) {
      const path = `assemblies.${index}.${way}`;
      if (drawing === undefined || drawing === null) {
        letters += lettersOf(text);
        if (letters > mostLetters)
          return {
            path: `${path}.text`,
            message: `makes more than ${mostLetters} letters of this sign; divide it into several jobs`,
          };
        continue;
      }
      const drawn = way.endsWith('outline') ? path : `${path}.drawing`;
      points += drawing.rings.reduce((sum, ring) => sum + ring.length / 2, 0);
      if (points > mostPoints)
        return { path: drawn, message: `makes more than ${mostPoints} points of all drawings; simplify them` };
      const crossings = keptCrossings(drawing.rings);
      if (crossings > mostCrossings)
        return {
          path: drawn,
          message: `crosses itself some ${Number(crossings.toPrecision(1)).toLocaleString('en')} times; unite its shapes in the program that drew it, or draw it without the overlaps`,
        };
    }
  }
  return null;
};
