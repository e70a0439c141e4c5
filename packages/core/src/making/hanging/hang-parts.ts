import type { Catalogue } from '../../document/catalogue/index.js';
import type { Point } from '../../base/outlines/index.js';
import { unplaced, type Placing } from '../../base/placing/index.js';
import {
  layerOf,
  plainBoard,
  sundry,
  type BoughtPart,
  type CutPart,
  type PartLayer,
  type PartShape,
} from '../parts/index.js';
import { woodNear } from './battens.js';
import { footHighMm, footScrewOf } from './feet.js';
import { itemsOf } from './items.js';
import { mateScrews } from './hang.js';
import type { Cleat, Hang, HungBody, PlacedBody } from './types.js';

/** What hanging adds to what a sign is made of, and holes by the part that they are drilled in. */
export interface HangParts {
  readonly cut: readonly CutPart[];
  readonly bought: readonly BoughtPart[];
  readonly holes: ReadonlyMap<string, readonly PartLayer[]>;
}

const one = (mm: number): string => `${Math.round(mm * 10) / 10} mm`;

/** Glue blocks are so large (mm). */
const blockMm = 45;
/** A bottom is so thick where nothing is known of it (mm). */
const usualBottomMm = 12;
/** Screws of a plate stand so far beside its slot (mm). */
export const plateReachMm = 12;
/** Holes (mm): of an M3 bolt, the pilots of screws of 3 and 4 mm, of what goes through a sheet, and through it into a batten. */
const boltMm = 3.2;
const pilotMm = 2;
const battenPilotMm = 2.5;
const battenMm = 4;
const throughMm = 5;
/** Pilot of an eye that a chain hooks into (mm). */
const eyeMm = 4;

const drilledIn = (part: CutPart, shapes: readonly PartShape[]): CutPart => ({
  ...part,
  layers: [...part.layers, { operation: 'drill', shapes }],
});

const battenNote = (thicknessMm: number, side: string, bevelDeg: number): string =>
  `${one(thicknessMm)} thick; ${side} edge bevelled ${bevelDeg}°, long side given`;

/** Both battens of a cleat, and what holds the foot as far off the wall. */
const cleatParts = (hang: Hang, catalogue: Catalogue): readonly CutPart[] => {
  const { cleat, fixings } = hang;
  const board = cleat === null ? null : woodNear(catalogue, cleat.thicknessMm);
  if (cleat === null || board === null) return [];
  const left = cleat.middleMm - cleat.wallLengthMm / 2;
  const bottom = cleat.topMm - cleat.highMm;
  const drilled = fixings.map(({ at: [x, y], item }): PartShape => ({
    kind: 'hole',
    x: x - left,
    y: y - bottom,
    diameterMm: Math.min(item.holeMm, 8),
  }));
  const footBoard = woodNear(catalogue, cleat.footMm);
  const batten = (id: string, name: string, lengthMm: number, side: string): CutPart =>
    plainBoard(board, id, name, lengthMm, cleat.highMm, battenNote(board.thicknessMm, side, cleat.bevelDeg));
  return [
    {
      ...drilledIn(batten('cleat-wall', 'Cleat, on the wall', cleat.wallLengthMm, 'upper'), drilled),
      hangs: false,
    },
    batten('cleat-mate', 'Cleat, on the sign', cleat.mateLengthMm, 'lower'),
    ...(cleat.footMm > 0 && footBoard !== null
      ? [
          plainBoard(
            footBoard,
            'cleat-foot',
            'Foot spacer',
            Math.min(200, cleat.mateLengthMm),
            30,
            `holds the lower edge ${one(cleat.footMm)} off the wall${Math.abs(footBoard.thicknessMm - cleat.footMm) > 0.5 ? `: packed or planed to that from ${one(footBoard.thicknessMm)}` : ''}`,
          ),
        ]
      : []),
  ];
};

/** What holds the feet, by the bottom that stands on them. */
const screwOfFeet = ({ bodies }: Hang) => footScrewOf(bodies[0]?.rails?.bottom.thicknessMm ?? usualBottomMm);

const feetParts = (hang: Hang, catalogue: Catalogue): readonly CutPart[] => {
  const board = woodNear(catalogue, 18);
  const { feet } = hang;
  if (feet === null || board === null) return [];
  const { id, sunkMm, intoMm } = screwOfFeet(hang);
  const screw = catalogue.sundries.find((item) => item.id === id)?.name.toLowerCase() ?? 'screw';
  const note = `stands on edge, its middle under the middle of the depth; two screws from below (${screw})${sunkMm > 0 ? `, sunk ${one(sunkMm)}` : ''}, ${one(intoMm)} into the bottom`;
  return [{ ...plainBoard(board, 'foot', 'Foot', feet.depthMm, footHighMm, note), count: 2 }];
};

const blockParts = ({ blocks, fixings }: Hang, catalogue: Catalogue): readonly CutPart[] => {
  const board = woodNear(catalogue, 18);
  if (!blocks || board === null || fixings.length === 0) return [];
  const note = 'glued to the inside of the return, behind a fixing; the back is screwed to it';
  return [{ ...plainBoard(board, 'glue-block', 'Glue block', blockMm, blockMm, note), count: fixings.length }];
};

/** Screws of a mate keep so far from its ends (mm). */
const mateEndMm = 15;

/** Where the batten on the sign is screwed: evenly, half-way up it. In the axes of the sign. */
export const mateScrewPlaces = (cleat: Cleat): readonly Point[] => {
  const many = mateScrews(cleat);
  const half = cleat.mateLengthMm / 2 - mateEndMm;
  return Array.from({ length: many }, (_, at): Point => [
    cleat.middleMm - half + (2 * half * at) / (many - 1),
    cleat.mateTopMm - cleat.highMm / 2,
  ]);
};

/** What plates, brackets and battens are held by: bolts go through, screws from behind have a pilot as deep as they go. */
const heldLayers = (
  { held, way, blocks }: Hang,
  at: readonly Point[],
  hole: (at: Point, mm: number) => PartShape,
): readonly PartLayer[] => {
  if (held === null) return [];
  if (held.by === 'bolt')
    return layerOf(
      'drill',
      at.map((each) => hole(each, boltMm)),
    );
  if (held.from === 'inside')
    return layerOf(
      'drill',
      at.map((each) => hole(each, battenMm)),
    );
  const pilot = way === 'cleat' ? battenPilotMm : pilotMm;
  return layerOf(
    'drill',
    at.map((each) => hole(each, pilot)),
    // Into a block behind the sheet it goes through the sheet.
    blocks ? undefined : held.intoMm,
  );
};

/** What is drilled in the sheet of a body, in its own drawing. */
const holesIn = (hang: Hang, body: PlacedBody, index: number, placing: Placing): readonly PartLayer[] => {
  const { carrier } = body;
  if (carrier === null) return [];
  const place = (at: Point): Point => {
    const [x, y] = unplaced(placing, at);
    return [x - carrier.corner[0], y - carrier.corner[1]];
  };
  const hole = ([x, y]: Point, diameterMm: number): PartShape => ({ kind: 'hole', x, y, diameterMm });
  const places = hang.fixings.filter((each) => each.body === index).map(({ at }) => place(at));
  const { cleat } = hang;
  switch (hang.way) {
    case 'keyholes':
      return heldLayers(
        hang,
        places.flatMap(([x, y]): readonly Point[] => [
          [x - plateReachMm, y],
          [x + plateReachMm, y],
        ]),
        hole,
      );
    case 'holes':
    case 'spacers':
      return layerOf(
        'drill',
        places.map((at) => hole(at, throughMm)),
      );
    case 'cleat': {
      if (cleat === null || hang.onReturns) return [];
      return heldLayers(hang, mateScrewPlaces(cleat).map(place), hole);
    }
    default:
      return [];
  }
};

/** Feet stand so far from the middle, as a share of the width; each is held by two screws. */
const footAside = 0.35;
/** Clear of what holds the corners (mm), but never nearer to the middle than this share of the width: it would rock. */
const footClearMm = 5;
const leastAside = 0.12;

/** How far from the middle feet stand (mm): inside of what holds the corners. */
export const footAsideMm = ({ bounds, rails }: Pick<HungBody, 'bounds' | 'rails'>): number => {
  const usual = footAside * bounds.width;
  if (rails === null) return usual;
  const { lengthMm, heldMm } = rails.bottom;
  return Math.max(leastAside * bounds.width, Math.min(usual, lengthMm / 2 - heldMm - footClearMm));
};

const footScrews = 2;

/** Screws of a foot, from the rear edge of the member that it is screwed to (mm): in what no seat takes. */
export const footScrewsAt = ({ rails }: Pick<HungBody, 'rails'>): readonly number[] => {
  if (rails === null) return [];
  const [from, to] = rails.bottom.free;
  return Array.from({ length: footScrews }, (_, at) => from + ((to - from) * (at + 1)) / (footScrews + 1));
};

/** Eyes of chains in the top, screws of feet in the bottom: in the middle of what no seat takes. */
const railHoles = (hang: Hang, body: PlacedBody): ReadonlyMap<string, readonly PartLayer[]> => {
  const { rails } = body;
  if (rails === null || (hang.way !== 'chain' && hang.way !== 'feet')) return new Map();
  const rail = hang.way === 'chain' ? rails.top : rails.bottom;
  const [from, to] = rail.free;
  const middle = body.bounds.x + body.bounds.width / 2;
  // The drawing of a bottom return is turned about: its inner side looks up.
  const way = hang.way === 'chain' ? 1 : -1;
  const hole = (along: number, across: number, diameterMm: number): PartShape => ({
    kind: 'hole',
    x: rail.lengthMm / 2 + way * along,
    y: across,
    diameterMm,
  });
  const shapes =
    hang.way === 'chain'
      ? hang.fixings.map(({ at: [x] }) => hole(x - middle, (from + to) / 2, eyeMm))
      : [-1, 1].flatMap((side) => footScrewsAt(body).map((at) => hole(side * footAsideMm(body), at, throughMm)));
  return new Map([[rail.partId, layerOf('drill', shapes)]]);
};

/** What each way is bought with, so many of each. */
const bought = (hang: Hang, catalogue: Catalogue): readonly BoughtPart[] => {
  const { way, fixings, bodies, held } = hang;
  const count = fixings.length;
  const bumpers = 2 * bodies.length;
  const inTheWall = itemsOf(hang).map(({ item, quantity }): BoughtPart => {
    return {
      id: item.id,
      name: item.name,
      quantity,
      unit: 'piece',
      unitPrice: item.price,
      kg: item.kg * quantity,
      hangs: false,
    };
  });
  const onTheSign = (): readonly BoughtPart[] => {
    switch (way) {
      case 'keyholes':
        return [...sundry(catalogue, 'hanger', count), ...sundry(catalogue, 'rubber-foot', bumpers)];
      case 'spacers':
        return sundry(catalogue, 'spacer', count);
      case 'brackets':
        return sundry(catalogue, 'bracket', count);
      case 'chain':
        return sundry(catalogue, 'chain', count);
      case 'feet':
        return [...sundry(catalogue, screwOfFeet(hang).id, 4), ...sundry(catalogue, 'rubber-foot', 4)];
      default:
        return [];
    }
  };
  return [...onTheSign(), ...(held === null ? [] : sundry(catalogue, held.item.id, held.count)), ...inTheWall];
};

/** All that hanging adds to the parts of an assembly. */
export const hangParts = (hang: Hang, placing: Placing, catalogue: Catalogue): HangParts => ({
  cut: [...cleatParts(hang, catalogue), ...feetParts(hang, catalogue), ...blockParts(hang, catalogue)],
  bought: bought(hang, catalogue),
  holes: new Map(
    hang.bodies.flatMap((body, index) => {
      const shapes = holesIn(hang, body, index, placing);
      return [
        ...(body.carrier === null || shapes.length === 0 ? [] : [[body.carrier.partId, shapes] as const]),
        ...railHoles(hang, body),
      ];
    }),
  ),
});
