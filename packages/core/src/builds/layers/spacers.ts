import {
  intersect,
  lookedInto,
  outlineArea,
  outlineBounds,
  outlineCentroid,
  solidParts,
  type LookedInto,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';
import type { Spacer } from '../../document/catalogue/index.js';
import { pileFor, type Pile } from './heights.js';

/** A pile under a sheet: where it stands, on which sheet (the back: null), and whether it is seen from aside. */
export interface Post {
  readonly at: Point;
  readonly on: number | null;
  readonly pile: Pile;
  readonly footMm: number;
  readonly seen: boolean;
}

/** What carries one solid part of a sheet. */
export interface Carried {
  readonly part: Outline;
  readonly posts: readonly Post[];
  /** Its middle lies between its posts, or it lies flat, so that it does not tip over before the glue holds. */
  readonly steady: boolean;
  /** It is glued flat on what is behind it. */
  readonly flat: boolean;
  /** Slots by which combs hold it; none where spacers do. */
  readonly slots: Outline;
}

/** A sheet that stands already: what a post may stand on. */
export interface Standing {
  readonly outline: Outline;
  readonly within: LookedInto;
  readonly rearZMm: number;
  readonly frontZMm: number;
}

/** Where posts must not stand: strip on the back and at the rim. */
export type KeepOff = (at: Point, footMm: number, fromZMm: number, toZMm: number) => boolean;

/** Glue wants so much wood round a foot (mm). */
const glueRimMm = 1;
/** Places are looked for so close (mm), and no more than so many. */
const searchMm = 4;
const mostPlaces = 500;
/** Posts stand no farther apart than this (mm); typical for 3 mm plywood. */
const spanMm = 160;
const mostPosts = 12;
/** Two nearer to each other than this are one (mm). */
const leastApartMm = 18;
/** A part that reaches no farther from its posts stands on one or two (mm). */
const smallMm = 25;
/** Directions in which it is looked from aside. */
const around = 8;

/** Whether a place under a sheet is seen by who looks past the sheets from so far aside: no sheet from this one on is in the way. */
export const seenFromAside = (
  at: Point,
  zMm: number,
  sheets: readonly { readonly within: LookedInto; readonly rearZMm: number }[],
  viewDeg: number,
  bounds: { readonly widthMm: number; readonly heightMm: number; readonly frontZMm: number },
): boolean => {
  const aside = Math.tan((viewDeg * Math.PI) / 180);
  return [null, ...Array.from({ length: around }, (_, turn) => (2 * Math.PI * turn) / around)].some((turn) => {
    const [dx, dy] = turn === null ? [0, 0] : [aside * Math.cos(turn), aside * Math.sin(turn)];
    const on = (z: number): Point => [at[0] + dx * (z - zMm), at[1] + dy * (z - zMm)];
    const [ox, oy] = on(bounds.frontZMm);
    if (Math.abs(ox) > bounds.widthMm / 2 || Math.abs(oy) > bounds.heightMm / 2) return false;
    return sheets.every(({ within, rearZMm }) => rearZMm <= zMm || !within.has(on(rearZMm)));
  });
};

interface Ground {
  readonly sheets: readonly Standing[];
  readonly stock: readonly Spacer[];
  readonly keepOff: KeepOff;
  /** Slots by which combs hold a part; null where they do not. */
  readonly slotted: (part: Outline) => Outline | null;
  /** Whether a foot there, reaching from one height to another, is seen. */
  readonly seen: (at: Point, footMm: number, fromZMm: number, toZMm: number) => boolean;
}

interface PlaceFound {
  readonly at: Point;
  readonly on: number | null;
  readonly seen: boolean;
}

/** The foremost sheet that carries a foot here; the back where none is in the way; neither: undefined. */
const groundAt = (at: Point, footMm: number, sheets: readonly Standing[]): number | null | undefined => {
  for (let below = sheets.length - 1; below >= 0; below -= 1) {
    const { within } = sheets[below]!;
    // A foot that would hang half over the edge of a sheet stands nowhere.
    if (within.edgeWithin(at, footMm / 2)) return undefined;
    if (within.has(at)) return below;
  }
  return null;
};

/** Places for feet under a part, at rest on one thing each. */
const placesFor = (
  part: Outline,
  zMm: number,
  footMm: number,
  { sheets, keepOff, seen }: Ground,
): readonly PlaceFound[] => {
  const bounds = outlineBounds(part)!;
  const step = Math.max(searchMm, Math.sqrt((bounds.width * bounds.height) / mostPlaces));
  const places: PlaceFound[] = [];
  const within = lookedInto(part);
  for (let y = bounds.y + step / 2; y < bounds.y + bounds.height; y += step)
    for (let x = bounds.x + step / 2; x < bounds.x + bounds.width; x += step) {
      const at: Point = [x, y];
      if (!within.has(at) || within.edgeWithin(at, footMm / 2 + glueRimMm)) continue;
      const on = groundAt(at, footMm, sheets);
      if (on === undefined) continue;
      const from = on === null ? 0 : sheets[on]!.frontZMm;
      if (from > zMm || keepOff(at, footMm, from, zMm)) continue;
      places.push({ at, on, seen: seen(at, footMm, from, zMm) });
    }
  return places;
};

const apart = (one: Point, other: Point): number => Math.hypot(one[0] - other[0], one[1] - other[1]);

/** Whether a point lies within the places, or on the line between two. */
const isBetween = (point: Point, places: readonly Point[]): boolean => {
  const reach = Math.max(0, ...places.map((place) => apart(place, point)));
  if (places.length < 3) return places.length > 0 && reach < smallMm;
  // Within the hull: no half plane through the point is empty of places.
  const turns = places.map(([x, y]) => Math.atan2(y - point[1], x - point[0])).sort((a, b) => a - b);
  return turns.every((turn, at) => {
    const next = turns[(at + 1) % turns.length]! + (at === turns.length - 1 ? 2 * Math.PI : 0);
    return next - turn <= Math.PI + 1e-9;
  });
};

/** Places far apart from each other, those that are not seen first. */
const spread = (places: readonly PlaceFound[], part: Outline): readonly PlaceFound[] => {
  const hidden = places.filter(({ seen }) => !seen);
  const usable = hidden.length >= 2 ? hidden : places;
  const [first] = usable;
  if (first === undefined) return [];
  const middle = outlineCentroid(part) ?? first.at;
  const wanted = Math.min(mostPosts, Math.max(3, Math.ceil(Math.abs(outlineArea(part)) / spanMm ** 2) + 2));
  const chosen = [usable.reduce((a, b) => (apart(b.at, middle) > apart(a.at, middle) ? b : a))];
  const away = usable.map(({ at }) => apart(at, chosen[0]!.at));
  while (chosen.length < wanted) {
    const far = away.reduce((best, value, at) => (value > away[best]! ? at : best), 0);
    if (away[far]! < leastApartMm) break;
    const next = usable[far]!;
    chosen.push(next);
    usable.forEach(({ at }, index) => (away[index] = Math.min(away[index]!, apart(at, next.at))));
  }
  return chosen;
};

/** Nearer than this it touches (mm); so much of a part that lies on something holds it. */
const touchMm = 0.05;
const heldShare = 0.4;

/** Whether a part is to lie on what is behind it, without spacers. */
const liesFlat = (part: Outline, zMm: number, sheets: readonly Standing[]): boolean => {
  if (zMm < touchMm) return true;
  const under = sheets
    .filter(({ frontZMm }) => Math.abs(frontZMm - zMm) < touchMm)
    .reduce((sum, { outline }) => sum + Math.abs(outlineArea(intersect(part, outline))), 0);
  return under >= heldShare * Math.abs(outlineArea(part));
};

/** Feet that are tried, the widest first: all of the stock that is no wider. */
const feetOf = (stock: readonly Spacer[]): readonly number[] =>
  [...new Set(stock.map(({ widthMm }) => widthMm))].sort((a, b) => b - a);

/** Piles under every solid part of a sheet that is to stand at `zMm`: inside its outline, on what carries them, hidden where they can be. */
export const carry = (outline: Outline, zMm: number, ground: Ground): readonly Carried[] => {
  const { sheets, stock } = ground;
  const feet = feetOf(stock);
  return solidParts(outline).map((part): Carried => {
    const middle = outlineCentroid(part) ?? [0, 0];
    const slots = ground.slotted(part);
    if (slots !== null) return { part, posts: [], steady: true, flat: false, slots };
    if (liesFlat(part, zMm, sheets)) return { part, posts: [], steady: true, flat: true, slots: [] };
    let best: Carried = { part, posts: [], steady: false, flat: false, slots: [] };
    for (const footMm of feet) {
      const own = stock.filter(({ widthMm }) => widthMm <= footMm);
      const places = spread(placesFor(part, zMm, footMm, ground), part);
      const posts = places.map(({ at, on, seen }): Post => {
        const from = on === null ? 0 : sheets[on]!.frontZMm;
        return { at, on, seen, footMm, pile: pileFor(zMm - from, own) };
      });
      const steady = isBetween(
        middle,
        posts.map(({ at }) => at),
      );
      // Narrower feet only where wider ones do not carry it, or would be seen.
      if (posts.length > best.posts.length && !(best.steady && best.posts.every(({ seen }) => !seen)))
        best = { part, posts, steady, flat: false, slots: [] };
      if (steady && posts.every(({ seen }) => !seen)) return { part, posts, steady, flat: false, slots: [] };
    }
    return best;
  });
};
