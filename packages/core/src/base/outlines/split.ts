import { levelStretches } from './level-stretches.js';
import { outlineBounds } from './measure.js';
import { solidParts } from './solid-parts.js';
import { intersect, offset, subtract, unite } from './unite.js';
import type { Outline, Point, Ring } from './types.js';

/** A straight line to cut along: through a place, at an angle from level (degrees, anticlockwise). */
export interface CutLine {
  readonly at: Point;
  readonly angleDeg: number;
}

/** How the two sides find each other again: tabs that one has and the other takes, or marks to drill pins by. */
export type Registration = 'tabs' | 'pins';

/** What a cut leaves: the parts, and where pins go in, from part to part (two places on the line each). */
export interface Split {
  readonly parts: readonly Outline[];
  readonly pins: readonly Point[];
}

/** Less of a joint than this takes no tab and no pins (mm). */
const leastJointMm = 20;
/** A tab is this share of the joint wide, within bounds (mm), and half as deep as wide; its tip is wider than its foot. */
const tabShare = 0.35;
const [leastTabMm, widestTabMm] = [8, 40];
const tipOver = 1.25;
/** Play of a tab in its place (mm). */
const tabPlayMm = 0.1;
/** Pins stand at these shares of a joint. */
const pinShares = [0.25, 0.75] as const;

/** Coordinates along the line and across it, and back. */
const frameOf = ({ at, angleDeg }: CutLine) => {
  const [c, s] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
  return {
    into: ([x, y]: Point): Point => [(x - at[0]) * c + (y - at[1]) * s, (y - at[1]) * c - (x - at[0]) * s],
    back: ([u, v]: Point): Point => [at[0] + u * c - v * s, at[1] + u * s + v * c],
  };
};

const tabOn = (from: number, to: number): Ring => {
  const width = Math.min(widestTabMm, Math.max(leastTabMm, (to - from) * tabShare));
  const [middle, foot, tip] = [(from + to) / 2, width / 2, (width * tipOver) / 2];
  return [
    [middle - foot, -0.01],
    [middle + foot, -0.01],
    [middle + tip, width / 2],
    [middle - tip, width / 2],
  ];
};

/**
 * Cuts an outline along a line into the parts on its two sides. With tabs, every joint long enough gets a dovetail that
 * the lower side has and the upper one takes with a little play; with pins, two places on each joint to drill by.
 */
export const splitAlong = (outline: Outline, line: CutLine, registration: Registration): Split => {
  const bounds = outlineBounds(outline);
  if (bounds === null) return { parts: [], pins: [] };
  const { into, back } = frameOf(line);
  const turned = outline.map((ring) => ring.map(into));
  const reach = 2 * (Math.hypot(bounds.width, bounds.height) + Math.hypot(...into([bounds.x, bounds.y])) + 1);
  const above: Ring = [
    [-reach, 0],
    [reach, 0],
    [reach, reach],
    [-reach, reach],
  ];
  // A hair off the line itself: a level edge that lies on it would be no crossing.
  const joints = levelStretches(turned, 1e-4).filter(([from, to]) => to - from >= leastJointMm);
  const tabs = registration === 'tabs' ? joints.map(([from, to]) => tabOn(from, to)) : [];
  const held = intersect(tabs, turned);
  const upper = subtract(intersect(turned, [above]), held.length === 0 ? [] : offset(held, tabPlayMm));
  const lower = unite([...subtract(turned, [above]), ...held]);
  const pins =
    registration === 'pins'
      ? joints.flatMap(([from, to]) => pinShares.map((share) => back([from + (to - from) * share, 0])))
      : [];
  return {
    parts: [lower, upper].flatMap(solidParts).map((part) => part.map((ring) => ring.map(back))),
    pins,
  };
};

/** Cuts along several lines, one after the other, each all parts that it crosses. */
export const splitAlongAll = (outline: Outline, lines: readonly CutLine[], registration: Registration): Split =>
  lines.reduce<Split>(
    ({ parts, pins }, line) => {
      const cut = parts.map((part) => splitAlong(part, line, registration));
      return { parts: cut.flatMap((each) => each.parts), pins: [...pins, ...cut.flatMap((each) => each.pins)] };
    },
    { parts: [outline], pins: [] },
  );
