import { developReturn, type Bend, type DevelopedReturn } from '../../light/can/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { FaceLitMaterials } from './materials.js';
import type { Brief } from '../../document/design/index.js';
import type { FaceLitAssembly } from './schema.js';
import type { CansGeometry } from '../../light/geometry/index.js';
import type { LetterRuns } from '../../light/runs/index.js';
import {
  byShape,
  inOutline,
  offset,
  outlineArea,
  outlineByShape,
  rectRing,
  ringLength,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import { layerOf, sundry, type BoughtPart, type CutPart, type PartShape } from '../../making/parts/index.js';
import { flatLetter, fromLeft, pinMarks } from '../letters/parts.js';
import { partSuffix, splitLetter } from '../letters/splits.js';
import { wireHoleMm } from '../common/wire-routes.js';

/** What face-lit letters are cut and bought from. */
export interface FaceLitFacts {
  readonly brief: Brief;
  readonly assembly: FaceLitAssembly;
  readonly geometry: CansGeometry;
  readonly materials: FaceLitMaterials;
  readonly runs: LetterRuns;
  /** The solid parts of the letters as drawn, each with its holes. */
  readonly letters: readonly Outline[];
  readonly shaping: Shaping;
  /** Where wires go through the backs. */
  readonly wireHoles: readonly Point[];
}

/** What is worked out for each shape of letter once. */
export interface Shaping {
  readonly offset: (letter: Outline, mm: number) => Outline;
  readonly develop: (ring: Ring, wallMm: number) => DevelopedReturn;
}

/** Shapes kept, wherever letters stand. */
export const shapingByShape = (): Shaping => {
  const developed = byShape(
    ([ring]: Outline, wallMm: number) => developReturn(ring!, wallMm),
    (flat) => flat,
  );
  return {
    offset: outlineByShape((letter, mm: number) => offset(letter, mm)),
    develop: (ring, wallMm) => developed([ring], wallMm),
  };
};

/** A return laps over itself by this much where it closes (mm). */
const lapMm = 12;
/** Screws that hang a letter (mm). */
const screwHoleMm = 4;

/** The face of a letter: within the returns less its play, or over them with the trim’s room. */
const faceOutline = (letter: Outline, { assembly: { cans }, shaping }: FaceLitFacts): Outline =>
  shaping.offset(letter, cans.fit === 'inset' ? -(cans.wallMm + cans.playMm) : 0);

/** The back always stands within the returns. */
const backOutline = (letter: Outline, { assembly: { cans }, shaping }: FaceLitFacts): Outline =>
  shaping.offset(letter, -(cans.wallMm + cans.playMm));

/** A hole in a back, in the axes of the letters. */
interface BackHole {
  readonly at: Point;
  readonly diameterMm: number;
}

/** Two screws near the top of a back, and a hole for every wire that goes through it. */
const backHoles = (back: Outline, { shaping, wireHoles }: FaceLitFacts): readonly BackHole[] => {
  const wires = new Map(wireHoles.filter((at) => inOutline(at, back)).map((at) => [at.join(), at]));
  const places = shaping.offset(back, -(screwHoleMm + 4)).flat();
  const through = [...wires.values()].map((at): BackHole => ({ at, diameterMm: wireHoleMm }));
  if (places.length === 0) return through;
  const high = places.reduce((top, [, y]) => Math.max(top, y), -Infinity);
  const row = places.filter(([, y]) => y > high - 10);
  const left = row.reduce((a, b) => (b[0] < a[0] ? b : a));
  const right = row.reduce((a, b) => (b[0] > a[0] ? b : a));
  return [
    { at: left, diameterMm: screwHoleMm },
    ...(right[0] - left[0] > 20 ? [{ at: right, diameterMm: screwHoleMm }] : []),
    ...through,
  ];
};

/** A face or a back: in one piece, or in those that the design cuts the letter in. */
const sheets = (
  letter: Outline,
  part: Outline,
  number: number,
  role: 'face' | 'back',
  mirrored: boolean,
  facts: FaceLitFacts,
  of: Pick<CutPart, 'materialId' | 'materialName' | 'stock' | 'thicknessMm' | 'note'> & {
    readonly densityKgM3: number;
  },
): readonly CutPart[] => {
  if (part.length === 0) return [];
  const { densityKgM3, ...rest } = of;
  const { parts, pins } = splitLetter(letter, part, facts.assembly.artwork);
  const holes = role === 'back' ? backHoles(part, facts) : [];
  return parts.map((own, index): CutPart => {
    const { bounds, outline, place } = flatLetter(own, mirrored);
    const suffix = partSuffix(index, parts.length);
    return {
      ...rest,
      id: `letter-${number}${suffix}-${role}`,
      name: `Letter ${number}${suffix}, ${role}`,
      widthMm: bounds.width,
      heightMm: bounds.height,
      count: 1,
      kg: (outlineArea(own) * of.thicknessMm * densityKgM3) / 1e9,
      ...(role === 'back'
        ? {
            fixedAt: holes
              .filter(({ at, diameterMm }) => diameterMm === screwHoleMm && (parts.length === 1 || inOutline(at, own)))
              .map(({ at }) => at),
          }
        : {}),
      layers: [
        { operation: 'cut', shapes: [{ kind: 'outline', outline }] },
        ...layerOf(
          'drill',
          holes
            .filter(({ at }) => parts.length === 1 || inOutline(at, own))
            .map(({ at, diameterMm }): PartShape => {
              const [x, y] = place(at);
              return { kind: 'hole', x, y, diameterMm };
            }),
        ),
        ...layerOf('mark', pinMarks(pins, own, place)),
      ],
    };
  });
};

const one = (value: number): string => `${Math.round(value * 10) / 10}`;

const bendWords = ({ kind, atMm, toMm, turnDeg, radiusMm }: Bend): string =>
  kind === 'fold'
    ? `fold ${one(Math.abs(turnDeg))}° ${turnDeg > 0 ? 'in' : 'out'} at ${one(atMm)} mm`
    : `roll ${one(Math.abs(turnDeg))}° ${turnDeg > 0 ? 'in' : 'out'} to a radius of ${one(radiusMm)} mm from ${one(atMm)} to ${one(toMm)} mm`;

/** At most so many bends are told in a note; all are drawn. */
const toldBends = 6;

const returnPart = (letter: Outline, ring: number, number: number, facts: FaceLitFacts): CutPart => {
  const { geometry, materials } = facts;
  const { returnBoard } = materials;
  const developed = facts.shaping.develop(letter[ring]!, geometry.wallMm);
  const [widthMm, heightMm] = [developed.lengthMm + lapMm, geometry.returnWidthMm];
  const across = (mm: number): PartShape => ({ kind: 'line', from: [mm, 0], to: [mm, heightMm] });
  const marks = developed.bends.flatMap((bend) =>
    bend.kind === 'fold' ? [across(bend.atMm)] : [across(bend.atMm), across(bend.toMm)],
  );
  const told = developed.bends.slice(0, toldBends).map(bendWords);
  const more = developed.bends.length - told.length;
  return {
    id: `letter-${number}-return${ring === 0 ? '' : `-${ring}`}`,
    name: `Letter ${number}, return${ring === 0 ? '' : ` of counter ${ring}`}`,
    materialId: returnBoard.id,
    materialName: `${returnBoard.name}, ${one(geometry.wallMm)} mm for returns`,
    stock: 'return',
    widthMm,
    heightMm,
    thicknessMm: geometry.wallMm,
    count: 1,
    kg: (widthMm * heightMm * geometry.wallMm * returnBoard.densityKgM3) / 1e9,
    note: `${developed.bends.length} bends${told.length > 0 ? `: ${told.join('; ')}` : ''}${more > 0 ? `; ${more} more in the drawing` : ''}; ${lapMm} mm to lap`,
    layers: [
      {
        operation: 'cut',
        shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: widthMm, height: heightMm })] }],
      },
      { operation: 'mark', shapes: [...marks, across(developed.lengthMm)] },
    ],
  };
};

/** The cut parts of face-lit letters, from left to right: face, back and returns of each. */
export const faceLitParts = (facts: FaceLitFacts): readonly CutPart[] => {
  const { assembly, materials } = facts;
  const { face, backBoard } = materials;
  const mirrored = assembly.artwork.mirrored === true;
  const { cans } = assembly;
  return fromLeft(facts.letters.map((outline) => ({ outline }))).flatMap(({ outline: letter }, index) => {
    const number = index + 1;
    return [
      ...sheets(letter, faceOutline(letter, facts), number, 'face', mirrored, facts, {
        materialId: face.id,
        materialName: face.name,
        stock: 'face',
        thicknessMm: face.thicknessMm,
        densityKgM3: face.densityKgM3,
        note:
          cans.fit === 'inset'
            ? `${one(cans.playMm)} mm play in the returns`
            : `trim reaches ${one(cans.playMm)} mm clear round it`,
      }),
      ...sheets(letter, backOutline(letter, facts), number, 'back', false, facts, {
        materialId: backBoard.id,
        materialName: backBoard.name,
        stock: 'board',
        thicknessMm: backBoard.thicknessMm,
        densityKgM3: backBoard.densityKgM3,
        note: 'seen from the front, the side that carries the strip',
      }),
      ...letter.map((_, ring) => returnPart(letter, ring, number, facts)),
    ];
  });
};

/** Metres of trim: round every outline. */
const trimM = (letters: readonly Outline[]): number =>
  letters.flat().reduce((sum, ring) => sum + ringLength(ring), 0) / 1000;

/** What is bought for face-lit letters. */
export const faceLitBought = (catalogue: Catalogue, facts: FaceLitFacts): readonly BoughtPart[] => {
  const { assembly, geometry, materials, letters } = facts;
  const areaM2 = letters.reduce((sum, letter) => sum + outlineArea(letter), 0) / 1e6;
  const roundM = trimM(letters);
  const linedM2 = areaM2 + (roundM * geometry.depthInsideMm) / 1000;
  const { lining, faceCoats } = materials;
  return [
    ...(lining.price === 0
      ? []
      : [
          {
            id: lining.id,
            name: lining.name,
            quantity: linedM2,
            unit: 'm²',
            unitPrice: lining.price,
            kg: linedM2 * lining.kgPerM2,
            hangs: true,
          } as const,
        ]),
    ...faceCoats.map(({ coating, coats }, index) => ({
      id: `coat-${index + 1}-${coating.id}`,
      name: coats === 1 ? coating.name : `${coating.name}, ${coats} coats`,
      quantity: areaM2 * coats,
      unit: 'm²' as const,
      unitPrice: coating.price,
      kg: 0,
      hangs: true,
    })),
    ...(assembly.cans.fit === 'trimmed' ? sundry(catalogue, 'trim', Math.ceil(roundM)) : []),
  ];
};
