import { inOutline, moveOutline, outlineBounds, simplify, type Outline } from '../../base/outlines/index.js';
import type { Post } from '../../light/wall/index.js';
import { letterShell, wallClip, type ShellSizes, type Solid, type Triangles } from '../../making/solids/index.js';
import { fromLeft } from '../letters/parts.js';
import { partSuffix, splitLetter } from '../letters/splits.js';
import type { HaloResults } from './results.js';

/** Curves of printed letters are followed this closely (mm): finer than any nozzle. */
const printedMm = 0.02;

/** A shell to print with its corner at the origin. A part of a split letter is closed along its cuts: there it is glued. */
const shellOf = (part: Outline, posts: readonly Post[], sizes: ShellSizes): Triangles => {
  const { x, y } = outlineBounds(part)!;
  const own = posts
    .filter(({ at }) => inOutline(at, part))
    .map((post) => ({ ...post, at: [post.at[0] - x, post.at[1] - y] as const }));
  return letterShell(moveOutline(part, -x, -y), own, sizes);
};

/** What can be printed of halo letters: wall clips for their posts, and hollow letters as shells. */
export const haloSolids = ({ assembly, geometry, posts }: HaloResults): readonly Solid[] => {
  const { diameterMm } = assembly.posts;
  const clip: Solid = {
    name: 'wall-clip',
    title: `wall clip for a ${diameterMm} mm post`,
    triangles: wallClip(diameterMm, geometry.standoffMm),
  };
  if (assembly.letters.form !== 'hollow') return [clip];
  const sizes = {
    depthMm: geometry.frontZMm - geometry.rearZMm,
    frontMm: geometry.frontMm,
    wallMm: geometry.wallMm,
  };
  const shells = fromLeft(posts).flatMap((part, index) => {
    const letter = simplify(part.outline, printedMm);
    const { parts } = splitLetter(part.outline, letter, assembly.artwork);
    return parts.map((own, at): Solid => {
      const name = `letter-${index + 1}${partSuffix(at, parts.length)}`;
      return { name, title: name, triangles: shellOf(own, part.posts, sizes) };
    });
  });
  return [clip, ...shells];
};
