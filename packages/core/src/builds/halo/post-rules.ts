import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { HaloResults } from './results.js';
import { oneChange, type Remedy, type Rule } from '../../judging/findings/index.js';
import { postsAmiss } from '../../light/wall/index.js';
import { setCloser } from '../letters/candidates.js';
import { around } from '../common/rule-words.js';
import { otherBoards } from './candidates.js';

const one = (value: number): number => Math.round(value * 10) / 10;

const amissOf = (results: HaloResults) =>
  postsAmiss(results.posts, results.runs.reachInMm + results.assembly.posts.diameterMm / 2);

const letPlace = (results: HaloResults): Remedy =>
  oneChange('place-posts', 'Let Vitrum place the posts', fieldsIn(results).posts.pinned, []);

/** A post between the strip and the edge keeps light off the wall beside it. */
export const postOutsideStrip: Rule<HaloResults> = ({ results }) => {
  if (results.assembly.light.layout !== 'outline') return null;
  const { outsideStrip } = amissOf(results);
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
      read: (tried) => amissOf(tried).outsideStrip.length,
      settled: (tried) => amissOf(tried).outsideStrip.length === 0,
    },
    remedies: [letPlace(results), setCloser(results)],
  };
};

/** A post that was put where there is no material. */
export const postLoose: Rule<HaloResults> = ({ results }) => {
  const { loose } = amissOf(results);
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
      read: (tried) => amissOf(tried).loose.length,
      settled: (tried) => amissOf(tried).loose.length === 0,
    },
    remedies: [letPlace(results)],
  };
};

const missing = ({ posts }: HaloResults): number =>
  posts.reduce((sum, part) => sum + Math.max(0, part.needed - part.posts.length), 0);

/** A letter hangs on fewer posts than its weight and balance ask for. */
export const tooFewPosts: Rule<HaloResults> = ({ results, catalogue }) => {
  const short = missing(results);
  if (short === 0) return null;
  const worst = results.posts.reduce((a, b) => (b.needed - b.posts.length > a.needed - a.posts.length ? b : a));
  const none = worst.posts.length === 0;
  const { posts, light } = results.assembly;
  const xs = worst.ring.map(([x]) => x);
  const ys = worst.ring.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const thinner = [2, 3, 4, 5, 6].filter((mm) => mm < posts.diameterMm).reverse();
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
    where: { view: 'front', rect: { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y } },
    target: {
      label: 'posts missing',
      better: 'lower',
      unit: 'posts',
      read: missing,
      settled: (tried) => missing(tried) === 0,
    },
    remedies: [
      {
        id: 'thinner-posts',
        candidates: thinner.map((mm) => ({
          label: `Posts of ${mm} mm`,
          change: [set(fieldsIn(results).posts.diameterMm, mm)],
        })),
      },
      ...(light.lineCount > 1
        ? [oneChange('one-line', 'One line of strip', fieldsIn(results).light.lineCount, 1)]
        : []),
      setCloser(results),
      ...(light.layout === 'outline' && !light.standing
        ? [oneChange('centre-line', 'Strip along the middle of the strokes', fieldsIn(results).light.layout, 'centre')]
        : []),
      otherBoards(
        results,
        catalogue,
        (board) =>
          board.thicknessMm * board.densityKgM3 <
          results.materials.board.thicknessMm * results.materials.board.densityKgM3,
        (board) => board.price,
      ),
    ],
  };
};
