import type { Catalogue } from '../../document/catalogue/index.js';
import type { HaloMaterials } from './materials.js';
import type { Brief } from '../../document/design/index.js';
import type { HaloAssembly } from './schema.js';
import type { LettersGeometry } from '../../light/geometry/index.js';
import type { PostedPart } from '../../making/hanging/index.js';
import type { LetterRuns } from '../../light/runs/index.js';
import { inOutline, outlineArea, rectRing, ringLength, type Outline } from '../../base/outlines/index.js';
import { flatLetter, fromLeft, pinMarks } from '../letters/parts.js';
import { filamentPerKg, isPrinted } from './printing.js';
import { partSuffix, splitLetter } from '../letters/splits.js';
import { layerOf, sundry, type BoughtPart, type CutPart, type PartShape } from '../../making/parts/index.js';

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

/** A blind hole leaves a third of its sheet, and two millimetres of a thick one (mm deep). */
export const blindHoleMm = (thicknessMm: number): number =>
  Math.round(10 * Math.max((2 * thicknessMm) / 3, thicknessMm - 2)) / 10;

/** Return strip laps over itself by this much where it closes (mm). */
const lapMm = 12;

/** Of returns, behind the front and before a back (mm). */
const wallDepthMm = ({ frontZMm, rearZMm, frontMm, backMm }: HaloFacts['geometry']): number =>
  frontZMm - rearZMm - frontMm - backMm;

const roundMm = (outline: Outline): number => outline.reduce((sum, ring) => sum + ringLength(ring), 0);

/** Letters as they are drawn, with their posts. */
const lettersOf = ({ letters, posts }: HaloFacts): readonly Letter[] =>
  letters.map((outline, index) => ({ outline, posts: posts[index]?.posts ?? [] }));

/** A front or a back: in one piece, or in those that the design cuts it in, each with the posts that it carries. */
const sheetParts = (
  letter: Letter,
  number: number,
  role: 'front' | 'back',
  { assembly, materials, geometry }: HaloFacts,
): readonly CutPart[] => {
  const mirrored = assembly.artwork.mirrored === true;
  const { board } = materials;
  const thicknessMm = role === 'front' ? geometry.frontMm : geometry.backMm;
  const carriesPosts = role === 'back' || geometry.backMm === 0;
  const plate = assembly.letters.form === 'plate';
  const { parts, pins } = splitLetter(letter.outline, letter.outline, assembly.artwork);
  const printed = isPrinted(board);
  // A shell is printed in one with its returns.
  const walls = printed && role === 'front' ? geometry.solid.returnMm * wallDepthMm(geometry) : 0;
  const depthMm = walls > 0 ? geometry.frontZMm - geometry.rearZMm - geometry.backMm : thicknessMm;
  const printedNote = `printed front down, ${Math.round(10 * depthMm) / 10} mm deep`;
  const solidMm = role === 'front' ? geometry.solid.frontMm : thicknessMm;
  return parts.map((part, index): CutPart => {
    const { bounds, outline, place } = flatLetter(part, mirrored);
    const posts = carriesPosts ? letter.posts.filter(({ at }) => parts.length === 1 || inOutline(at, part)) : [];
    const suffix = partSuffix(index, parts.length);
    return {
      id: `letter-${number}${suffix}${role === 'back' ? '-back' : ''}`,
      name: `Letter ${number}${suffix}${plate ? '' : role === 'back' ? ', back' : printed ? ', shell' : ', front'}`,
      materialId: board.id,
      materialName: board.name,
      stock: printed ? 'print' : 'board',
      widthMm: bounds.width,
      heightMm: bounds.height,
      thicknessMm: depthMm,
      count: 1,
      kg: ((outlineArea(part) * solidMm + roundMm(part) * walls) * board.densityKgM3) / 1e9,
      note: [
        ...(carriesPosts
          ? [
              `${posts.length} posts, ${printed ? 'sockets printed in' : `blind holes ${blindHoleMm(thicknessMm)} mm deep from behind`}`,
            ]
          : []),
        printed ? printedNote : mirrored ? 'drawn mirrored: cut with the back up' : 'seen from the front',
        ...(parts.length > 1 ? [`one of ${parts.length} parts`] : []),
      ].join('; '),
      layers: [
        { operation: 'cut', shapes: [{ kind: 'outline', outline }] },
        ...layerOf(
          'drill',
          posts.map(({ at, diameterMm }): PartShape => {
            const [x, y] = place(at);
            return { kind: 'hole', x, y, diameterMm };
          }),
          blindHoleMm(thicknessMm),
        ),
        ...layerOf('mark', pinMarks(pins, part, place)),
      ],
    };
  });
};

/** The returns of one letter: a strip for each ring, developed flat. */
const returnParts = (part: Letter, number: number, { materials, geometry }: HaloFacts): readonly CutPart[] => {
  const heightMm = wallDepthMm(geometry);
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
    ...sheetParts(part, index + 1, 'front', facts),
    ...(facts.geometry.backMm > 0 ? sheetParts(part, index + 1, 'back', facts) : []),
    ...(facts.geometry.wallMm > 0 && !isPrinted(facts.materials.board) ? returnParts(part, index + 1, facts) : []),
  ]);

/** What is bought for halo letters, filament for those of `cut` that are printed. */
export const haloBought = (
  catalogue: Catalogue,
  { posts, letters, materials }: HaloFacts,
  cut: readonly CutPart[],
): readonly BoughtPart[] => {
  const count = posts.reduce((sum, part) => sum + part.posts.length, 0);
  const { backFinish } = materials;
  const backsM2 = letters.reduce((sum, letter) => sum + Math.abs(outlineArea(letter)), 0) / 1e6;
  const { board } = materials;
  const shellKg = cut.reduce((sum, { stock, kg }) => sum + (stock === 'print' ? kg : 0), 0);
  return [
    ...(shellKg > 0
      ? [
          {
            id: board.id,
            name: `Filament for ${board.name.toLowerCase()}`,
            quantity: shellKg * filamentPerKg,
            unit: 'kg',
            unitPrice: board.price,
            // It hangs as the parts that are printed from it.
            kg: 0,
            hangs: false,
          } as const,
        ]
      : []),
    ...(backFinish.price === 0
      ? []
      : [
          {
            id: backFinish.id,
            name: `${backFinish.name}, on the backs`,
            quantity: backsM2,
            unit: 'm²',
            unitPrice: backFinish.price,
            kg: backsM2 * backFinish.kgPerM2,
            hangs: true,
          } as const,
        ]),
    ...sundry(catalogue, 'stand-off', count),
    ...sundry(catalogue, 'wall-clip', count, false),
  ];
};
