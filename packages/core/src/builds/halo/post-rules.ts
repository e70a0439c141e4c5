import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import { outlineBounds } from '../../base/outlines/index.js';
import type { HaloResults } from './results.js';
import { oneChange, type Place, type Remedy, type Rule } from '../../judging/findings/index.js';
import type { StandingPost } from '../../light/wall/index.js';
import type { LoadedPost, PostedPart } from '../../making/hanging/index.js';
import { setCloser } from '../letters/candidates.js';
import { around } from '../common/rule-words.js';
import { otherBoards } from './candidates.js';

const one = (value: number): number => Math.round(value * 10) / 10;

const standing = (results: HaloResults, how: StandingPost['stands']): readonly LoadedPost[] =>
  results.posts.flatMap(({ posts }) => posts.filter(({ stands }) => stands === how));

const letPlace = (results: HaloResults): Remedy =>
  oneChange('place-posts', 'Let Vitrum place the posts', fieldsIn(results).posts.pinned, []);

/** A post between the strip and the edge keeps light off the wall beside it. */
export const postOutsideStrip: Rule<HaloResults> = ({ results }) => {
  const outsideStrip = standing(results, 'in-the-light');
  const [first] = outsideStrip;
  if (first === undefined) return null;
  const deepest = results.glow.shadows.reduce((most, { share }) => Math.max(most, share), 0);
  return {
    id: 'post-outside-strip',
    severity: 'fix',
    step: 'case',
    what: `${outsideStrip.length === 1 ? 'A post stands' : `${outsideStrip.length} posts stand`} between strip and edge`,
    why: `The strip lies up to ${one(results.runs.reachInMm)} mm in from the edge; a post outside it throws a shadow on the wall${deepest > 0 ? ` that takes up to ${Math.round(deepest * 100)} % of the light` : ''}.`,
    numbers: [
      { label: 'outside the strip', value: outsideStrip.length, unit: 'posts' },
      { label: 'darkest shadow', value: Math.round(deepest * 100), unit: '%' },
    ],
    where: around(first.at, Math.max(20, 3 * first.diameterMm)),
    target: {
      label: 'outside the strip',
      better: 'lower',
      unit: 'posts',
      read: (tried) => standing(tried, 'in-the-light').length,
      settled: (tried) => standing(tried, 'in-the-light').length === 0,
    },
    remedies: [letPlace(results), setCloser(results)],
  };
};

/** A post that was put where there is no material. */
export const postLoose: Rule<HaloResults> = ({ results }) => {
  const loose = standing(results, 'loose');
  const [first] = loose;
  if (first === undefined) return null;
  return {
    id: 'post-loose',
    severity: 'stop',
    step: 'case',
    what: `${loose.length === 1 ? 'A post stands' : `${loose.length} posts stand`} beside the letters`,
    why: `At ${one(first.at[0])}, ${one(first.at[1])} mm from the middle there is no material to hold it.`,
    numbers: [{ label: 'beside the letters', value: loose.length, unit: 'posts' }],
    where: around(first.at, Math.max(20, 3 * first.diameterMm)),
    target: {
      label: 'beside the letters',
      better: 'lower',
      unit: 'posts',
      read: (tried) => standing(tried, 'loose').length,
      settled: (tried) => standing(tried, 'loose').length === 0,
    },
    remedies: [letPlace(results)],
  };
};

const overPart = ({ outline }: PostedPart): Place => ({ view: 'front', rect: outlineBounds(outline)! });

/** Room for more posts, or for posts farther apart. */
const moreRoom = (results: HaloResults): readonly Remedy[] => {
  const { posts, light } = results.assembly;
  const thinner = [2, 3, 4, 5, 6].filter((mm) => mm < posts.diameterMm).reverse();
  return [
    {
      id: 'thinner-posts',
      candidates: thinner.map((mm) => ({
        label: `Posts of ${mm} mm`,
        change: [set(fieldsIn(results).posts.diameterMm, mm)],
      })),
    },
    ...(light.lineCount > 1 ? [oneChange('one-line', 'One line of strip', fieldsIn(results).light.lineCount, 1)] : []),
    setCloser(results),
    ...(light.layout === 'outline' && !light.standing
      ? [oneChange('centre-line', 'Strip along the middle of the strokes', fieldsIn(results).light.layout, 'centre')]
      : []),
  ];
};

const lighterBoards = (results: HaloResults, catalogue: Catalogue): Remedy =>
  otherBoards(
    results,
    catalogue,
    (board) =>
      board.thicknessMm * board.densityKgM3 < results.materials.board.thicknessMm * results.materials.board.densityKgM3,
    (board) => board.price,
  );

const missing = ({ posts }: HaloResults): number =>
  posts.reduce((sum, part) => sum + Math.max(0, part.needed - part.posts.length), 0);

/** A letter hangs on fewer posts than its weight and balance ask for. */
export const tooFewPosts: Rule<HaloResults> = ({ results, catalogue }) => {
  const short = missing(results);
  if (short === 0) return null;
  const worst = results.posts.reduce((a, b) => (b.needed - b.posts.length > a.needed - a.posts.length ? b : a));
  const none = worst.posts.length === 0;
  const { posts } = results.assembly;
  return {
    id: 'too-few-posts',
    severity: none ? 'stop' : 'fix',
    step: 'case',
    what: none ? 'A letter has no room for a post' : 'A letter hangs on too few posts',
    why: `It weighs ${worst.kg.toFixed(2)} kg and wants ${worst.needed} posts of ${one(posts.perPostKg)} kg each; ${worst.posts.length} of ${one(posts.diameterMm)} mm find room inside the strip.`,
    numbers: [
      { label: 'weight', value: worst.kg, unit: 'kg' },
      { label: 'posts missing in all', value: short, unit: 'posts' },
    ],
    where: overPart(worst),
    target: {
      label: 'posts missing',
      better: 'lower',
      unit: 'posts',
      read: missing,
      settled: (tried) => missing(tried) === 0,
    },
    remedies: [...moreRoom(results), lighterBoards(results, catalogue)],
  };
};

/** The most that a post carries of what it may. */
const heaviestOf = ({ posts }: HaloResults): number =>
  Math.max(0, ...posts.flatMap((part) => part.posts.map(({ load }) => load.kg)));

/** There are posts enough for the weight, but it is not shared evenly: one carries more than it may. */
export const postOverloaded: Rule<HaloResults> = ({ results, catalogue }) => {
  const { perPostKg } = results.assembly.posts;
  const most = heaviestOf(results);
  if (most <= perPostKg || missing(results) > 0) return null;
  const worst = results.posts.find(({ posts }) => posts.some(({ load }) => load.kg === most))!;
  const post = worst.posts.find(({ load }) => load.kg === most)!;
  return {
    id: 'post-overloaded',
    severity: 'fix',
    step: 'case',
    what: 'A post carries more than it may',
    why: `By where the posts stand about the letter’s centre of gravity, this one carries ${most.toFixed(2)} kg of its ${worst.kg.toFixed(2)} kg; ${perPostKg.toFixed(2)} kg is set as the most.`,
    numbers: [
      { label: 'on the post', value: most, unit: 'kg' },
      { label: 'may carry', value: perPostKg, unit: 'kg' },
    ],
    where: around(post.at, Math.max(20, 3 * post.diameterMm)),
    target: {
      label: 'on the post',
      better: 'lower',
      unit: 'kg',
      read: (tried) => Math.round(100 * heaviestOf(tried)) / 100,
      settled: (tried) => heaviestOf(tried) <= tried.assembly.posts.perPostKg && missing(tried) === 0,
    },
    remedies: [letPlace(results), ...moreRoom(results), lighterBoards(results, catalogue)],
  };
};

/** So much over its width is seen on a wall, beside the next letter (mm). */
const seenLeanMm = 1;

const mostLean = ({ posts }: HaloResults): number => Math.max(0, ...posts.map(({ leanMm }) => leanMm));

/** A letter whose weight is not between its posts turns on them until the play in the holes is taken up. */
export const letterLeans: Rule<HaloResults> = ({ results }) => {
  const lean = mostLean(results);
  if (lean < seenLeanMm) return null;
  const worst = results.posts.find(({ leanMm }) => leanMm === lean)!;
  return {
    id: 'letter-leans',
    severity: 'note',
    step: 'case',
    what: 'A letter leans on its posts',
    why: `Its centre of gravity is not between them: one is lifted, and it turns until the play in the holes is taken up, ${one(lean)} mm over its width. Posts farther apart hold it level; so does glue in snug holes while it is propped.`,
    numbers: [{ label: 'leans over its width', value: lean, unit: 'mm' }],
    where: overPart(worst),
    target: {
      label: 'leans',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(10 * mostLean(tried)) / 10,
      settled: (tried) => mostLean(tried) < seenLeanMm,
    },
    remedies: [letPlace(results), ...moreRoom(results)],
  };
};
