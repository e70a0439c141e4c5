import {
  circle,
  cross,
  dashed,
  faint,
  polyline,
  signal,
  text,
  type Template,
  type Tile,
} from '../../making/templates/index.js';
import { aroundMm, drawRuns, mapped, moved, sheetOf, turned } from '../letters/templates.js';
import { wireHoleMm } from '../common/wire-routes.js';
import type { HaloResults } from './results.js';

const one = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** Posts from left to right, numbered as on the page. */
export const numberedPosts = ({ posts }: HaloResults) =>
  posts
    .flatMap((part) => part.posts)
    .sort((a, b) => a.at[0] - b.at[0])
    .map((post, index) => ({ ...post, number: index + 1 }));

/**
 * The drill template of halo letters, as it hangs on the wall: outlines, level lines through the posts and along the
 * bottom, the upright centre line, every post with number and hole, and holes for jumpers that go behind the wall.
 */
export const drillTemplate = (results: HaloResults): Template => {
  const sheet = sheetOf(results);
  const place = moved(sheet);
  const outline = mapped(results.lettering.outline, place);
  const posts = numberedPosts(results).map((post) => ({ ...post, at: place(post.at) }));
  const levels = [...new Set(posts.map(({ at }) => Math.round(at[1] * 10) / 10))];
  const base = aroundMm;
  const middle = place([0, 0])[0];
  const holes = results.jumpers.flatMap(({ from, to, holes: own }) =>
    own.map((hole, index) => ({
      at: place(hole),
      label: index === 0 && own.length > 1 ? `${from} out` : `${to} in`,
    })),
  );
  return {
    title: `${results.design.name}: drill template`,
    heading: `${results.design.name} - drill template, seen from the front`,
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
        text(tile, `${wireHoleMm} mm, segment ${label}`, at[0] + wireHoleMm / 2 + 1, at[1] - 1, 6, signal);
      }
    },
  };
};

/**
 * The strip template of halo letters: their backs, so mirrored, with every segment of strip, its cut marks, number, arrows
 * and where current enters, jumpers, and the posts to keep off.
 */
export const haloStripTemplate = (results: HaloResults): Template => {
  const sheet = sheetOf(results);
  const place = turned(sheet);
  const outline = mapped(results.lettering.outline, place);
  const { strip } = results.materials;
  const shownMm = results.assembly.light.standing ? strip.heightMm : strip.widthMm;
  const posts = numberedPosts(results).map((post) => ({ ...post, at: place(post.at) }));
  return {
    title: `${results.design.name}: strip template`,
    heading: `${results.design.name} - strip template, seen from behind`,
    widthMm: sheet.width,
    heightMm: sheet.height,
    draw: (tile: Tile) => {
      for (const ring of outline) polyline(tile, ring, true, faint, 0.7);
      drawRuns(tile, results, shownMm, place);
      for (const { at, diameterMm, number } of posts) {
        circle(tile, at[0], at[1], diameterMm);
        cross(tile, at[0], at[1]);
        text(tile, `post ${number}`, at[0] + diameterMm / 2 + 1, at[1] - 1, 6);
      }
    },
  };
};

/** The templates of halo letters, by the name of their file. */
export const haloTemplates = (results: HaloResults): Readonly<Record<string, Template>> => ({
  'drill-template': drillTemplate(results),
  'strip-template': haloStripTemplate(results),
});
