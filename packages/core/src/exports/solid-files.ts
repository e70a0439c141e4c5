import type { Evaluation } from '../evaluate/index.js';
import { outlineBounds, moveOutline, simplify } from '../outlines/index.js';
import { letterShell, stlOf, wallClip } from '../solids/index.js';
import type { PackFile } from './file-name.js';

/** Curves of printed letters are followed this closely (mm): finer than any nozzle. */
const printedMm = 0.02;

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
  const shells = [...posts]
    .sort((a, b) => outlineBounds(a.outline)!.x - outlineBounds(b.outline)!.x)
    .map((part, index) => {
      const { x, y } = outlineBounds(part.outline)!;
      const own = part.posts.map((post) => ({ ...post, at: [post.at[0] - x, post.at[1] - y] as const }));
      const letter = moveOutline(simplify(part.outline, printedMm), -x, -y);
      return {
        path: `print/letter-${index + 1}.stl`,
        bytes: stlOf(letterShell(letter, own, sizes), `letter ${index + 1}`),
      };
    });
  return [clip, ...shells];
};
