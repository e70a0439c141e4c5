import { cubicChords, letterFlatnessMm, quadraticChords } from '../../base/curves/index.js';
import type { Point, Ring } from '../../base/outlines/index.js';
import type { GlyphStep } from './letter-font.js';

/** The outline of a glyph set at a place (mm) at a scale (mm to a unit), as closed rings of chords, y up. */
export const glyphRings = (steps: readonly GlyphStep[], scale: number, [right, up]: Point): readonly Ring[] => {
  const rings: Point[][] = [];
  for (const { type, points } of steps) {
    const [a, b, c] = points.map(([x, y]): Point => [right + x * scale, up + y * scale]);
    const ring = rings.at(-1);
    const last = ring?.at(-1);
    if (type === 'M') rings.push([a!]);
    else if (ring === undefined || last === undefined || type === 'Z') continue;
    else if (type === 'L') ring.push(a!);
    else if (type === 'Q') ring.push(...quadraticChords(last, a!, b!, letterFlatnessMm));
    else ring.push(...cubicChords(last, a!, b!, c!, letterFlatnessMm));
  }
  return rings.filter((ring) => ring.length > 2);
};
