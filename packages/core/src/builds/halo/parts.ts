import type { Catalogue, HaloMaterials } from '../../catalogue/index.js';
import type { Circuit } from '../../circuit/index.js';
import type { Brief, HaloAssembly } from '../../design/index.js';
import type { LettersGeometry } from '../../geometry/index.js';
import type { PostedPart } from '../../halo/index.js';
import type { LetterRuns } from '../../light-runs/index.js';
import { outlineArea, rectRing, ringLength, type Outline } from '../../outlines/index.js';
import { flatLetter, fromLeft } from '../letter-parts.js';
import {
  electrical,
  sundry,
  type BoughtPart,
  type CutPart,
  type PartLayer,
  type PartShape,
} from '../../parts/index.js';

/** What halo letters are cut and bought from. */
export interface HaloFacts {
  readonly brief: Brief;
  readonly assembly: HaloAssembly;
  readonly geometry: LettersGeometry;
  readonly materials: HaloMaterials;
  readonly runs: LetterRuns;
  readonly posts: readonly PostedPart[];
  /** The solid parts of the letters as drawn, each with its holes, in the order of `posts`. */
  readonly letters: readonly Outline[];
}

/** One letter as it is cut, with its posts. */
interface Letter {
  readonly outline: Outline;
  readonly posts: PostedPart['posts'];
}

/** Return strip laps over itself by this much where it closes (mm). */
const lapMm = 12;

/** Letters as they are drawn, with their posts. */
const lettersOf = ({ letters, posts }: HaloFacts): readonly Letter[] =>
  letters.map((outline, index) => ({ outline, posts: posts[index]?.posts ?? [] }));

/** One letter flat, with the places of its posts from its own lower left corner. */
const flat = (part: Letter, mirrored: boolean) => {
  const { bounds, outline } = flatLetter(part.outline, mirrored);
  const posts = part.posts.map(({ at, diameterMm }) => ({
    x: mirrored ? bounds.x + bounds.width - at[0] : at[0] - bounds.x,
    y: at[1] - bounds.y,
    diameterMm,
  }));
  return { bounds, outline, posts };
};

const drilled = (
  posts: readonly { readonly x: number; readonly y: number; readonly diameterMm: number }[],
): readonly PartLayer[] =>
  posts.length === 0
    ? []
    : [{ operation: 'drill', shapes: posts.map((post): PartShape => ({ kind: 'hole', ...post })) }];

const sheetPart = (
  part: Letter,
  number: number,
  role: 'front' | 'back',
  { assembly, materials, geometry }: HaloFacts,
): CutPart => {
  const mirrored = assembly.artwork.mirrored === true;
  const { bounds, outline, posts } = flat(part, mirrored);
  const { board } = materials;
  const thicknessMm = role === 'front' ? geometry.frontMm : geometry.backMm;
  const carriesPosts = role === 'back' || geometry.backMm === 0;
  const plate = assembly.letters.form === 'plate';
  return {
    id: `letter-${number}${role === 'back' ? '-back' : ''}`,
    name: `Letter ${number}${plate ? '' : role === 'front' ? ', front' : ', back'}`,
    materialId: board.id,
    materialName: board.name,
    stock: 'board',
    widthMm: bounds.width,
    heightMm: bounds.height,
    thicknessMm,
    count: 1,
    kg: (outlineArea(part.outline) * thicknessMm * board.densityKgM3) / 1e9,
    note: [
      ...(carriesPosts ? [`${posts.length} posts, blind holes from behind`] : []),
      mirrored ? 'drawn mirrored: cut with the back up' : 'seen from the front',
    ].join('; '),
    layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline }] }, ...(carriesPosts ? drilled(posts) : [])],
  };
};

/** The returns of one letter: a strip for each ring, developed flat. */
const returnParts = (part: Letter, number: number, { materials, geometry }: HaloFacts): readonly CutPart[] => {
  const heightMm = geometry.frontZMm - geometry.rearZMm - geometry.frontMm - geometry.backMm;
  return part.outline.map((ring, index): CutPart => {
    const widthMm = ringLength(ring) + lapMm;
    const { board } = materials;
    return {
      id: `letter-${number}-return${index === 0 ? '' : `-${index}`}`,
      name: `Letter ${number}, return${index === 0 ? '' : ` of counter ${index}`}`,
      materialId: board.id,
      materialName: `${board.name}, ${geometry.wallMm} mm for returns`,
      stock: 'return',
      widthMm,
      heightMm,
      thicknessMm: geometry.wallMm,
      count: 1,
      kg: (widthMm * heightMm * geometry.wallMm * board.densityKgM3) / 1e9,
      note: `bent round the ${index === 0 ? 'outline' : 'counter'}, ${lapMm} mm of it to lap`,
      layers: [
        {
          operation: 'cut',
          shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: widthMm, height: heightMm })] }],
        },
        { operation: 'mark', shapes: [{ kind: 'line', from: [widthMm - lapMm, 0], to: [widthMm - lapMm, heightMm] }] },
      ],
    };
  });
};

/** The cut parts of halo letters, from left to right: fronts, backs where they are closed, returns where they are hollow. */
export const haloParts = (facts: HaloFacts): readonly CutPart[] =>
  fromLeft(lettersOf(facts)).flatMap((part, index) => [
    sheetPart(part, index + 1, 'front', facts),
    ...(facts.geometry.backMm > 0 ? [sheetPart(part, index + 1, 'back', facts)] : []),
    ...(facts.geometry.wallMm > 0 ? returnParts(part, index + 1, facts) : []),
  ]);

/** What is bought for halo letters. */
export const haloBought = (catalogue: Catalogue, facts: HaloFacts, circuit: Circuit): readonly BoughtPart[] => {
  const { brief, materials, runs, posts } = facts;
  const count = posts.reduce((sum, part) => sum + part.posts.length, 0);
  return [
    ...electrical(catalogue, brief, materials, runs, circuit),
    ...sundry(catalogue, 'stand-off', count),
    ...sundry(catalogue, 'wall-clip', count, false),
    ...sundry(catalogue, 'wall-fixing', count, false),
  ];
};
