import { fromLeft, pieceSuffix, splitLetter } from '../../builds/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import type { Post } from '../../light/wall/index.js';
import { inOutline, moveOutline, outlineBounds, simplify, type Outline } from '../../base/outlines/index.js';
import { letterShell, stlOf, wallClip, type ShellSizes, type Triangles } from '../../making/solids/index.js';
import type { PackFile } from './file-name.js';

/** Curves of printed letters are followed this closely (mm): finer than any nozzle. */
const printedMm = 0.02;

/** A shell to print with its corner at the origin. A piece of a split letter is closed along its cuts: there it is glued. */
const shellOf = (piece: Outline, posts: readonly Post[], sizes: ShellSizes): Triangles => {
  const { x, y } = outlineBounds(piece)!;
  const own = posts
    .filter(({ at }) => inOutline(at, piece))
    .map((post) => ({ ...post, at: [post.at[0] - x, post.at[1] - y] as const }));
  return letterShell(moveOutline(piece, -x, -y), own, sizes);
};

/** What can be printed of a piece: wall clips for its posts, and hollow letters as shells. */
export const solidFiles = (evaluation: Evaluation): readonly PackFile[] => {
  if (evaluation.build !== 'halo') return [];
  const { assembly, geometry, posts } = evaluation;
  const { diameterMm } = assembly.posts;
  const clip = {
    path: 'print/wall-clip.stl',
    bytes: stlOf(wallClip(diameterMm, geometry.standoffMm), `wall clip for a ${diameterMm} mm post`),
  };
  if (assembly.letters.form !== 'hollow') return [clip];
  const sizes = {
    depthMm: geometry.frontZMm - geometry.rearZMm,
    frontMm: geometry.frontMm,
    wallMm: geometry.wallMm,
  };
  const shells = fromLeft(posts).flatMap((part, index) => {
    const letter = simplify(part.outline, printedMm);
    const { pieces } = splitLetter(part.outline, letter, assembly.artwork);
    return pieces.map((piece, at) => {
      const name = `letter-${index + 1}${pieceSuffix(at, pieces.length)}`;
      return { path: `print/${name}.stl`, bytes: stlOf(shellOf(piece, part.posts, sizes), name) };
    });
  });
  return [clip, ...shells];
};
