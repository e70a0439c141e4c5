import type { Ground } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { Wall } from './types.js';

/** From stud to stud, where nobody says otherwise (mm). */
export const usualStudPitchMm = 600;
/** A stud is so wide, and a screw wants so much wood beside it (mm), typical. */
export const studMm = 45;
const besideScrewMm = 12;

/** What the brief says of the wall. A ceiling’s joists, a counter’s top and a window’s frame are timber. */
export const wallOf = ({ wall }: Pick<Brief, 'wall'>): Wall => ({
  kind: wall?.kind ?? 'masonry',
  studPitchMm: wall?.studPitchMm ?? usualStudPitchMm,
  studAtMm: wall?.kind === 'studs' ? (wall.studAtMm ?? null) : null,
});

/** The middles of studs between two places (mm); none where the wall has none, or nobody knows where. */
export const studsBetween = ({ kind, studPitchMm, studAtMm }: Wall, from: number, to: number): readonly number[] => {
  if (kind !== 'studs' || studAtMm === null) return [];
  const first = Math.ceil((from - studAtMm) / studPitchMm);
  const last = Math.floor((to - studAtMm) / studPitchMm);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => studAtMm + (first + index) * studPitchMm);
};

/** What a screw at x goes into. Studs that nobody has found are not counted on. */
export const groundAt = (wall: Wall, x: number): Ground => {
  if (wall.kind !== 'studs') return wall.kind;
  const reach = studMm / 2 - besideScrewMm;
  return studsBetween(wall, x - reach, x + reach).length > 0 ? 'timber' : 'board';
};
