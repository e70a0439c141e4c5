import type { Catalogue, Fixing, Ground } from '../../document/catalogue/index.js';
import type { HangingDesign } from '../../document/design/index.js';
import { sum } from '../../base/maths/index.js';
import type { Point, Rect } from '../../base/outlines/index.js';
import { woodNear } from './battens.js';
import { battenEndMm, battenHigh, bevelDeg, lengthForStuds, liftOff, riseOf, stripOfTwo } from './cleat.js';
import { feetUnder } from './feet.js';
import { heldBy } from './held.js';
import { fixingLoads, leanOver } from './loads.js';
import { fixingPlaces, withPinnedPlaces } from './places.js';
import { pullLoads } from './pull.js';
import { fixingsFor, sheetHoldsKg, useOf } from './rating.js';
import { groundAt, studsBetween } from './wall.js';
import type { Cleat, Hang, HangingWay, HungBody, OwnWay, PlacedBody, Point3, Wall, WallFixing } from './types.js';

/** What a design says of hanging, where it leaves it out (mm). */
export const usualHeightMm = 2000;
export const usualCleatMm = 12;
export const usualShiftMm = 20;

/** A batten is screwed to a wall so often (mm), and its mate to the sign. */
const battenEveryMm = 400;
const mateEveryMm = 120;
/** The batten’s screws lie so far below its upper edge, as a share of its height. */
const screwsBelow = 0.6;
/** How much of the width of a sign its cleat takes on a wall that holds everywhere. */
const cleatShare = 0.6;

/** Nothing holds it to a wall. */
const standsByItself = (way: HangingWay): boolean => way === 'feet' || way === 'stands';

/** Play between a fixing and what hangs on it, each way (mm); typical. */
const playMm = 0.5;

/** How many fixings are tried, fewest first. */
const counts: Readonly<Record<Exclude<HangingWay, OwnWay | 'cleat'>, readonly number[]>> = {
  keyholes: [2, 3, 4, 6],
  holes: [2, 4, 6, 8],
  spacers: [4, 6, 8, 12],
  brackets: [2, 4, 6],
  chain: [2, 3, 4],
  feet: [0],
};

/** How far each way holds the rear side off the wall (mm), where it is not a cleat. */
const offWall: Readonly<Record<Exclude<HangingWay, OwnWay | 'cleat'>, number>> = {
  keyholes: 3,
  holes: 0,
  spacers: 20,
  brackets: 0,
  chain: 0,
  feet: 0,
};

/** What a sign hangs by, as it is in the catalogue. */
const hardwareOf: Partial<Readonly<Record<HangingWay, string>>> = {
  keyholes: 'hanger',
  spacers: 'spacer',
  brackets: 'bracket',
  chain: 'chain',
};

/** What is to be hung, all in the axes of the sign. */
export interface HangFacts {
  readonly assembly: string;
  readonly way: HangingWay | null;
  readonly ways: readonly HangingWay[];
  readonly design: HangingDesign | null;
  readonly wall: Wall;
  readonly bodies: readonly HungBody[];
  /** From the rear of the assembly to the wall where its build holds it off by itself (mm). */
  readonly standsOffMm: number;
}

/** A place of a fixing, with what is behind it. */
interface Place {
  readonly at: Point;
  readonly ground: Ground;
  readonly pinned: boolean;
}

/** How near a rectangle is to a point. */
const distanceTo = ({ x, y, width, height }: Rect, [px, py]: Point): number =>
  Math.hypot(Math.max(x - px, 0, px - x - width), Math.max(y - py, 0, py - y - height));

const nearestBody = (bodies: readonly HungBody[], at: Point): number =>
  bodies.reduce(
    (best, { bounds }, index) => (distanceTo(bounds, at) < distanceTo(bodies[best]!.bounds, at) ? index : best),
    0,
  );

/** The weight of the whole, and where it lies. */
export const centreOfAll = (parts: readonly { readonly kg: number; readonly centre: Point3 }[]): Point3 => {
  const kg = sum(parts.map((part) => part.kg));
  const along = (axis: 0 | 1 | 2): number =>
    kg > 0 ? sum(parts.map((part) => part.kg * part.centre[axis])) / kg : (parts[0]?.centre[axis] ?? 0);
  return [along(0), along(1), along(2)];
};

/** The cleat of a body: what lies within it, and reaches the studs where it can. */
const cleatOf = (body: HungBody, wall: Wall, design: HangingDesign, catalogue: Catalogue): Cleat => {
  const thicknessMm = woodNear(catalogue, design.cleatMm ?? usualCleatMm)?.thicknessMm ?? usualCleatMm;
  const shiftMm = design.shiftMm ?? usualShiftMm;
  const middleMm = body.hold.x + body.hold.width / 2;
  const wanted =
    wall.kind === 'studs' ? lengthForStuds(wall, middleMm, shiftMm) : Math.max(120, cleatShare * body.hold.width);
  const wallLengthMm = Math.floor(Math.min(wanted, body.hold.width));
  const highMm = battenHigh(thicknessMm);
  // The mate’s screws are where fixings may be; it stands on the wall’s batten by its bevel.
  const mateTopMm = body.hold.y + body.hold.height + highMm / 2;
  return {
    thicknessMm,
    highMm,
    bevelDeg,
    wallLengthMm,
    mateLengthMm: wallLengthMm,
    topMm: mateTopMm - highMm + riseOf(thicknessMm),
    mateTopMm,
    middleMm,
    stripMm: stripOfTwo(highMm, thicknessMm, catalogue.rates.kerfMm),
    liftMm: liftOff(thicknessMm),
    footMm: Math.max(0, thicknessMm - body.recessMm),
  };
};

/** Studs nobody has found: a batten that is long enough meets two of them, wherever they are. */
const unseenStuds = (
  { wallLengthMm, middleMm }: Cleat,
  { studPitchMm, studAtMm }: Wall,
  shiftMm: number,
): readonly number[] | null =>
  studAtMm === null && wallLengthMm >= Math.floor(2 * (studPitchMm + battenEndMm + shiftMm))
    ? [middleMm - studPitchMm / 2, middleMm + studPitchMm / 2]
    : null;

/** Where the batten on the wall is screwed: to every stud that it passes, or evenly. */
const battenPlaces = (cleat: Cleat, wall: Wall, { count, shiftMm }: HangingDesign): readonly Place[] => {
  const y = cleat.topMm - screwsBelow * cleat.highMm;
  const half = cleat.wallLengthMm / 2 - battenEndMm;
  const unseen = wall.kind === 'studs' ? unseenStuds(cleat, wall, shiftMm ?? usualShiftMm) : null;
  if (unseen !== null) return unseen.map((x) => ({ at: [x, y], ground: 'timber', pinned: false }));
  const studs = studsBetween(wall, cleat.middleMm - half, cleat.middleMm + half);
  const many = count ?? Math.max(2, Math.ceil((2 * half) / battenEveryMm) + 1);
  const xs =
    studs.length >= 2
      ? studs
      : Array.from({ length: many }, (_, index) =>
          many === 1 ? cleat.middleMm : cleat.middleMm - half + (2 * half * index) / (many - 1),
        );
  return xs.map((x) => ({ at: [x, y], ground: groundAt(wall, x), pinned: false }));
};

/** The fixings of one body with what each carries; the item of each ground is the cheapest that carries its worst. */
const loaded = (
  body: HungBody,
  index: number,
  places: readonly Place[],
  facts: HangFacts,
  offWallMm: number,
  catalogue: Catalogue,
): readonly WallFixing[] => {
  const { way, design } = facts;
  const points = places.map(({ at }) => at);
  const loads = fixingLoads(points, [body.centre[0], body.centre[1]], body.kg);
  const hung = way === 'chain';
  const bears = way === 'posts' || way === 'spacers' ? null : body.bounds.y;
  const pulls = hung
    ? loads.map(({ downKg }) => Math.max(0, downKg))
    : pullLoads(
        points.map(([, y]) => y),
        bears,
        body.kg,
        body.centre[2] + offWallMm,
      );
  const itemFor = (ground: Ground): Fixing | undefined => {
    const fit = fixingsFor(catalogue, ground, design?.fixingId);
    const worst = (item: Fixing): number =>
      Math.max(
        ...places.map((place, at) =>
          place.ground === ground ? useOf(item, hung ? { kg: 0 } : loads[at]!, pulls[at]!) : 0,
        ),
      );
    return fit.find((item) => worst(item) <= 1) ?? [...fit].sort((a, b) => worst(a) - worst(b))[0];
  };
  const items = new Map([...new Set(places.map(({ ground }) => ground))].map((ground) => [ground, itemFor(ground)]));
  return places.flatMap(({ at, ground, pinned }, place): readonly WallFixing[] => {
    const item = items.get(ground);
    if (item === undefined) return [];
    const [load, pullKg] = [loads[place]!, pulls[place]!];
    return [{ body: index, at, ground, item, load, pullKg, use: useOf(item, hung ? { kg: 0 } : load, pullKg), pinned }];
  });
};

const worstUse = (fixings: readonly WallFixing[]): number => Math.max(0, ...fixings.map(({ use }) => use));

const pinsOf = ({ design, bodies }: HangFacts, body: number): readonly Point[] =>
  (design?.pinned ?? []).map(({ xMm, yMm }): Point => [xMm, yMm]).filter((at) => nearestBody(bodies, at) === body);

const fixingsOf = (
  body: HungBody,
  index: number,
  facts: HangFacts,
  cleat: Cleat | null,
  offWallMm: number,
  catalogue: Catalogue,
): readonly WallFixing[] => {
  const { way, design, wall } = facts;
  if (way === null || standsByItself(way)) return [];
  const pins = pinsOf(facts, index);
  const at = (solved: readonly Point[]): readonly WallFixing[] =>
    loaded(
      body,
      index,
      withPinnedPlaces(solved, way === 'posts' ? [] : pins).map((place) => ({
        ...place,
        ground: groundAt(wall, place.at[0]),
      })),
      facts,
      offWallMm,
      catalogue,
    );
  if (body.own !== null) return at(body.own);
  if (cleat !== null) return loaded(body, index, battenPlaces(cleat, wall, design!), facts, offWallMm, catalogue);
  const tried = design?.count === undefined ? counts[way as Exclude<HangingWay, OwnWay | 'cleat'>] : [design.count];
  let found: readonly WallFixing[] = [];
  for (const count of tried) {
    found = at(fixingPlaces(way, body.hold, wall, count));
    if (worstUse(found) <= 1) break;
  }
  return found;
};

/** Grounds in which fixings would stand, and nothing on the shelf holds. */
const groundsWithout = (facts: HangFacts, cleat: Cleat | null, catalogue: Catalogue): readonly Ground[] => {
  const { way, design, wall, bodies } = facts;
  if (way === null || standsByItself(way)) return [];
  const xs = (body: HungBody): readonly number[] =>
    (cleat !== null
      ? battenPlaces(cleat, wall, design!).map(({ at }) => at)
      : (body.own ?? fixingPlaces(way, body.hold, wall, design?.count ?? 2))
    ).map(([x]) => x);
  const grounds = new Set(bodies.flatMap((body) => xs(body).map((x) => groundAt(wall, x))));
  return [...grounds].filter((ground) => fixingsFor(catalogue, ground, undefined).length === 0);
};

/** Ways by which the back itself carries, at single places. */
const atPlaces: readonly (HangingWay | null)[] = ['keyholes', 'holes', 'spacers'];

/** What a plate, spacer or screw carries at most, along the wall and off it together (kg). */
const heaviest = (fixings: readonly WallFixing[]): number =>
  Math.max(0, ...fixings.map(({ load, pullKg }) => Math.hypot(load.kg, Math.max(0, pullKg))));

const mateScrews = ({ mateLengthMm }: Cleat): number => Math.max(3, Math.ceil(mateLengthMm / mateEveryMm) + 1);

/** From its rear to the wall: what it hangs by holds it off, or its build where that is more; spacers are as long as its build asks. */
const offWallOf = ({ way, standsOffMm }: Pick<HangFacts, 'way' | 'standsOffMm'>, cleat: Cleat | null): number => {
  if (way === null) return 0;
  if (way === 'posts' || way === 'stands') return standsOffMm;
  // Spacers in front of a cleat would take it off its mate.
  if (way === 'cleat') return cleat?.footMm ?? 0;
  return way === 'spacers' && standsOffMm > 0 ? standsOffMm : Math.max(standsOffMm, offWall[way]);
};

/** How an assembly hangs: its fixings with their loads, what they may carry, what holds on the sign. */
export const hangOf = (facts: HangFacts, catalogue: Catalogue): Hang => {
  const { way, design, wall, assembly } = facts;
  const [first] = facts.bodies;
  const cleat =
    way === 'cleat' && design !== null && first !== undefined ? cleatOf(first, wall, design, catalogue) : null;
  const offWallMm = offWallOf(facts, cleat);
  const fixings = facts.bodies.flatMap((body, index) => fixingsOf(body, index, facts, cleat, offWallMm, catalogue));
  const bodies = facts.bodies.map((body, index): PlacedBody => {
    const own = fixings.filter((each) => each.body === index);
    const leanMm = leanOver(
      own.map(({ at }) => at),
      own.map(({ load }) => load),
      playMm,
      body.bounds.width,
    );
    return { ...body, leanMm };
  });
  const kg = sum(bodies.map((body) => body.kg));
  const centre = centreOfAll(bodies);
  const screws = cleat === null ? 1 : mateScrews(cleat);
  // Of a batten’s screws no two carry alike: twice the mean is reckoned with.
  const onOne = cleat === null ? heaviest(fixings) : (2 * kg) / screws;
  const framed = bodies.some(({ rails }) => rails !== null);
  // Between the returns of a case a mate leaves its back alone; what has no frame has nothing else than its back.
  const onReturns = cleat !== null && framed && design?.matedTo === 'returns';
  const onBack = atPlaces.includes(way) || (cleat !== null && !onReturns);
  const carriers = bodies.flatMap(({ carrier }) => (carrier === null ? [] : [carrier]));
  const takesBlocks = framed && atPlaces.includes(way);
  const blocks = takesBlocks && design?.blocks === true;
  const held = heldBy(
    {
      way,
      carrier: carriers[0] ?? null,
      rail: first?.rails?.top ?? null,
      cleat,
      onReturns,
      blocks,
      pieces: fixings.length,
      mateScrews: screws,
    },
    catalogue,
  );
  const hardware =
    way === 'cleat'
      ? held?.item
      : way === null
        ? undefined
        : catalogue.sundries.find(({ id }) => id === hardwareOf[way]);
  return {
    assembly,
    way,
    ways: facts.ways,
    wall,
    bodies,
    kg,
    centre,
    fixings,
    without: fixings.length > 0 ? [] : groundsWithout(facts, cleat, catalogue),
    offWallMm,
    cleat,
    feet:
      way === 'feet' && first !== undefined
        ? feetUnder(first.depthMm, first.centre[2], first.centre[1] - first.bounds.y, design?.footMm)
        : null,
    heightMm: design?.heightMm ?? usualHeightMm,
    hardware:
      hardware?.ratedKg === undefined || fixings.length === 0
        ? null
        : { name: hardware.name, kg: onOne, ratedKg: hardware.ratedKg },
    back:
      onBack && carriers.length > 0
        ? {
            kg: onOne,
            holdsKg: Math.min(
              ...carriers.map(
                ({ stuff, thicknessMm }) => sheetHoldsKg(stuff, thicknessMm, blocks) / (cleat === null ? 1 : 2),
              ),
            ),
            pieces: cleat === null ? fixings.length : screws,
          }
        : null,
    held,
    blocks,
    onReturns,
    takesBlocks,
  };
};

export { mateScrews };
