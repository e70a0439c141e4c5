import type { FaceLitEvaluation, HaloEvaluation } from '../../sign/evaluate/index.js';
import {
  measureLine,
  outlineBounds,
  simplify,
  type Outline,
  type Point,
  type Rect,
} from '../../base/outlines/index.js';
import { wireHoleMm } from '../../builds/index.js';
import { entersAs } from './box-template.js';
import { circle, cross, dashed, faint, polyline, signal, text, type Template, type Tile } from './tiled-pdf.js';

/** Drawn round the letters (mm). */
const aroundMm = 15;
/** Curves are printed this closely (mm). */
const printedMm = 0.05;
/** From arrow to arrow along a piece (mm). */
const arrowEveryMm = 120;

const sheetOf = ({ lettering }: HaloEvaluation | FaceLitEvaluation): Rect => {
  const { x, y, width, height } = outlineBounds(lettering.outline) ?? { x: 0, y: 0, width: 0, height: 0 };
  return { x: x - aroundMm, y: y - aroundMm, width: width + 2 * aroundMm, height: height + 2 * aroundMm };
};

const moved =
  (sheet: Rect) =>
  ([x, y]: readonly [number, number, ...number[]]): Point => [x - sheet.x, y - sheet.y];
/** Seen from behind: left is right. */
const turned =
  (sheet: Rect) =>
  ([x, y]: readonly [number, number, ...number[]]): Point => [sheet.x + sheet.width - x, y - sheet.y];

const mapped = (outline: Outline, place: (point: Point) => Point): Outline =>
  simplify(outline, printedMm).map((ring) => ring.map(place));

const one = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** Posts from left to right, numbered as on the page. */
export const numberedPosts = ({ posts }: HaloEvaluation) =>
  posts
    .flatMap((part) => part.posts)
    .sort((a, b) => a.at[0] - b.at[0])
    .map((post, index) => ({ ...post, number: index + 1 }));

/**
 * The drill template of halo letters, as it hangs on the wall: outlines, level lines through the posts and along the
 * bottom, the upright centre line, every post with number and hole, and holes for jumpers that go behind the wall.
 */
export const drillTemplate = (evaluation: HaloEvaluation): Template => {
  const sheet = sheetOf(evaluation);
  const place = moved(sheet);
  const outline = mapped(evaluation.lettering.outline, place);
  const posts = numberedPosts(evaluation).map((post) => ({ ...post, at: place(post.at) }));
  const levels = [...new Set(posts.map(({ at }) => Math.round(at[1] * 10) / 10))];
  const base = aroundMm;
  const middle = place([0, 0])[0];
  const holes = evaluation.jumpers.flatMap(({ from, to, holes: own }) =>
    own.map((hole, index) => ({
      at: place(hole),
      label: index === 0 && own.length > 1 ? `${from} out` : `${to} in`,
    })),
  );
  return {
    title: `${evaluation.design.name}: drill template`,
    heading: `${evaluation.design.name} - drill template, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of outline) polyline(tile, ring, true, faint, 0.7);
      dashed(tile, 0, base, sheet.width, base, signal);
      text(tile, 'level: bottom of the letters', tile.left + 4, base - 4, 7, signal);
      dashed(tile, middle, 0, middle, sheet.height, signal);
      text(tile, 'middle', middle + 1, sheet.height - 5, 7, signal);
      for (const level of levels) dashed(tile, 0, level, sheet.width, level);
      for (const { at, diameterMm, number } of posts) {
        circle(tile, at[0], at[1], diameterMm);
        cross(tile, at[0], at[1]);
        text(tile, `${number}`, at[0] + diameterMm / 2 + 1.5, at[1] + 1.5, 11, signal);
        text(
          tile,
          `dia ${one(diameterMm)}, ${one(at[1] - base)} up, ${one(at[0] - middle)} right`,
          at[0] + diameterMm / 2 + 1.5,
          at[1] - 4,
          6,
        );
      }
      for (const { at, label } of holes) {
        circle(tile, at[0], at[1], wireHoleMm, signal);
        text(tile, `${wireHoleMm} mm, piece ${label}`, at[0] + wireHoleMm / 2 + 1, at[1] - 1, 6, signal);
      }
    },
  };
};

const drawPiece = (
  tile: Tile,
  path: readonly Point[],
  widthMm: number,
  cutPitchMm: number,
  lengthMm: number,
  number: number,
  enters: string,
): void => {
  const run = measureLine(path, false);
  const beside = (mm: number, off: number): Point => {
    const { at, along } = run.station(mm);
    return [at[0] - along[1] * off, at[1] + along[0] * off];
  };
  const steps = Math.max(1, Math.ceil(lengthMm / 3));
  for (const side of [-1, 1])
    polyline(
      tile,
      Array.from({ length: steps + 1 }, (_, step) => beside((step * lengthMm) / steps, (side * widthMm) / 2)),
      false,
    );
  for (let cut = 0; cut <= lengthMm + 0.5; cut += cutPitchMm) {
    const [a, b] = [beside(cut, -widthMm / 2), beside(cut, widthMm / 2)];
    const end = cut === 0 || cut > lengthMm - cutPitchMm / 2;
    polyline(tile, [a, b], false, end ? undefined : faint, end ? 0.8 : 0.3);
  }
  for (let mark = Math.min(lengthMm / 2, 30); mark < lengthMm; mark += arrowEveryMm)
    polyline(tile, [beside(mark - 4, 2), run.station(mark).at, beside(mark - 4, -2)], false, signal, 0.8);
  const [x, y] = beside(Math.min(lengthMm / 2, 12), widthMm / 2 + 2);
  text(tile, `${number}`, x, y, 11, signal);
  const [ex, ey] = beside(0, -widthMm / 2 - 4);
  text(tile, enters, ex, ey, 6);
};

/** Pieces and jumpers in place. */
const drawRuns = (
  tile: Tile,
  { runs, jumpers, materials }: HaloEvaluation | FaceLitEvaluation,
  shownMm: number,
  place: (point: readonly [number, number, ...number[]]) => Point,
): void => {
  for (const { path, lengthMm, number } of runs.segments)
    drawPiece(tile, path.map(place), shownMm, materials.strip.cutPitchMm, lengthMm, number, entersAs(materials.strip));
  for (const { path, holes } of jumpers) {
    polyline(tile, path.map(place), false, signal, 0.4);
    for (const [x, y] of holes.map(place)) circle(tile, x, y, wireHoleMm, signal);
  }
};

/**
 * The strip template of halo letters: their backs, so mirrored, with every piece of strip, its cut marks, number, arrows
 * and where current enters, jumpers, and the posts to keep off.
 */
export const haloStripTemplate = (evaluation: HaloEvaluation): Template => {
  const sheet = sheetOf(evaluation);
  const place = turned(sheet);
  const outline = mapped(evaluation.lettering.outline, place);
  const { strip } = evaluation.materials;
  const shownMm = evaluation.assembly.light.standing ? strip.heightMm : strip.widthMm;
  const posts = numberedPosts(evaluation).map((post) => ({ ...post, at: place(post.at) }));
  return {
    title: `${evaluation.design.name}: strip template`,
    heading: `${evaluation.design.name} - strip template, seen from behind`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of outline) polyline(tile, ring, true, faint, 0.7);
      drawRuns(tile, evaluation, shownMm, place);
      for (const { at, diameterMm, number } of posts) {
        circle(tile, at[0], at[1], diameterMm);
        cross(tile, at[0], at[1]);
        text(tile, `post ${number}`, at[0] + diameterMm / 2 + 1, at[1] - 1, 6);
      }
    },
  };
};

/** The strip template of face-lit letters: their backs seen from the front, as strip is laid in them. */
export const cansStripTemplate = (evaluation: FaceLitEvaluation): Template => {
  const sheet = sheetOf(evaluation);
  const place = moved(sheet);
  const outline = mapped(evaluation.lettering.outline, place);
  return {
    title: `${evaluation.design.name}: strip template`,
    heading: `${evaluation.design.name} - strip template, seen from the front`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of outline) polyline(tile, ring, true, faint, 0.7);
      drawRuns(tile, evaluation, evaluation.materials.strip.widthMm, place);
    },
  };
};
