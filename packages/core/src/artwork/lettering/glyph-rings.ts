import type { Path, PathCommand } from 'opentype.js';
import { cubicChords, letterFlatnessMm, quadraticChords } from '../../base/curves/index.js';
import type { Point, Ring } from '../../base/outlines/index.js';

const chordsOf = (from: Point, command: PathCommand): readonly Point[] => {
  const to: Point = [command.x, -command.y];
  switch (command.type) {
    case 'Q':
      return quadraticChords(from, [command.x1, -command.y1], to, letterFlatnessMm);
    case 'C':
      return cubicChords(from, [command.x1, -command.y1], [command.x2, -command.y2], to, letterFlatnessMm);
    default:
      return [to];
  }
};

/** A glyph path (y down, mm) as closed rings of chords (y up, mm). */
export const glyphRings = (path: Path): readonly Ring[] => {
  const rings: Point[][] = [];
  for (const command of path.commands) {
    const ring = rings[rings.length - 1];
    const last = ring?.[ring.length - 1];
    if (command.type === 'M') rings.push([[command.x, -command.y]]);
    else if (command.type !== 'Z' && ring !== undefined && last !== undefined) ring.push(...chordsOf(last, command));
  }
  return rings.filter((ring) => ring.length > 2);
};
