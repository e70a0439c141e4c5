import { evenPoint, seededRandom } from '../../base/maths/index.js';
import { edgeEntry, edgeScatter, type EdgeEntry, type RayFan } from './entry.js';
import { sideLaw } from './sides.js';
import {
  sheetSides,
  type ClearSheet,
  type EdgeFit,
  type EdgeLed,
  type SheetLight,
  type SheetSide,
  type WorkedFaces,
} from './types.js';
import { hullOf, sideWalls, type Hull, type Wall } from './walls.js';

/** How finely light is followed. */
export interface Following {
  /** Azimuths from each LED, to one side of the edge’s normal; as many to the other. */
  readonly azimuths: number;
  /** Where there are many LEDs each may send fewer, down to a quarter: about so many in all, to one side. */
  readonly rays: number;
  readonly slopes: number;
  /** A ray is followed until less than this share of it is left. */
  readonly until: number;
}

/** For a picture while something is dragged, and for figures. */
export const previewFollowing: Following = { azimuths: 48, rays: 1200, slopes: 3, until: 2e-3 };
export const fullFollowing: Following = { azimuths: 128, rays: 6400, slopes: 5, until: 2e-4 };

const azimuthsFor = ({ azimuths, rays }: Following, leds: number): number =>
  Math.round(Math.min(azimuths, Math.max(azimuths / 4, rays / leds)));

const azimuthAt = ({ limits }: RayFan, quantile: number): number => {
  const last = limits.length - 2;
  const place = quantile * (last + 1);
  const share = Math.min(last, Math.floor(place));
  return limits[share]! + (limits[share + 1]! - limits[share]!) * (place - share);
};

const slopesAt = ({ tangents }: RayFan, quantile: number): Float64Array =>
  tangents[Math.min(tangents.length - 1, Math.floor(quantile * tangents.length))]!;

/** Where a ray begins: on an edge, in a direction, with what it carries at each slope (lm). */
interface Start {
  readonly wall: Wall;
  readonly x: number;
  readonly y: number;
  readonly azimuth: number;
  readonly tangents: Float64Array;
  readonly weights: Float64Array;
}

/** A ray that is scattered at an edge more often than this is followed no farther. */
const mostScattered = 12;

/** e^(−loss); for the short ways from cell to cell by the first terms of its series, within 1e-7. */
const keptOf = (loss: number): number =>
  loss < 0.008 ? 1 - loss + (loss * loss) / 2 - (loss * loss * loss) / 6 : Math.exp(-loss);

/** A ray that is thrown from edge to edge more often than this is followed no farther: a lossless sheet might keep it for ever. */
const mostMirrored = 100;

/**
 * A ray under way: where it is and where to, and what it carries at each of its slopes. Each stretch between two meetings with a
 * face holds one, anywhere in it: what is taken there is a share of what the ray had where the stretch began (`bases`), and
 * `phases` tells how far into it the ray is.
 */
class Ray {
  readonly weights: Float64Array;
  readonly bases: Float64Array;
  readonly phases: Float64Array;
  /** Meetings with one face, loss in the sheet, and loss in silver, for a millimetre of way along the sheet. */
  readonly hitsPerMm: Float64Array;
  readonly lossPerMm: Float64Array;
  readonly dullPerMm: Float64Array;
  readonly carried: number;
  x: number;
  y: number;
  dx: number;
  dy: number;

  constructor({ wall, x, y, azimuth, tangents, weights }: Start, { thicknessMm, lossPerMm, silver }: ClearSheet) {
    const count = weights.length;
    this.weights = Float64Array.from(weights);
    this.bases = Float64Array.from(weights);
    this.phases = new Float64Array(count);
    this.hitsPerMm = new Float64Array(count);
    this.lossPerMm = new Float64Array(count);
    this.dullPerMm = new Float64Array(count);
    // Where nothing is worked, meetings with silver are taken one with another, as a loss by the way.
    const dulls = silver === null ? 0 : -Math.log(Math.max(1e-9, silver));
    let carried = 0;
    for (let k = 0; k < count; k += 1) {
      const tangent = tangents[k]!;
      // A ray meets a face tan / thickness times a millimetre of its way along the sheet, one given face half as often.
      const hits = tangent / (2 * thicknessMm);
      this.hitsPerMm[k] = hits;
      this.lossPerMm[k] = lossPerMm * Math.sqrt(1 + tangent * tangent);
      this.dullPerMm[k] = dulls * hits;
      carried += weights[k]!;
    }
    this.carried = carried;
    const [sin, cos] = [Math.sin(azimuth), Math.cos(azimuth)];
    this.dx = wall.intoX * cos + wall.alongX * sin;
    this.dy = wall.intoY * cos + wall.alongY * sin;
    this.x = x;
    this.y = y;
  }

  /** Takes off what is lost along a way in the clear, and moves on in the zigzag; returns what was lost. */
  clear(way: number, since: number): number {
    const { weights, bases, phases, hitsPerMm, lossPerMm, dullPerMm } = this;
    let lost = 0;
    for (let k = 0; k < weights.length; k += 1) {
      const before = weights[k]!;
      const kept = keptOf(lossPerMm[k]! * way + dullPerMm[k]! * since);
      weights[k] = before * kept;
      lost += before - weights[k]!;
      bases[k]! *= kept;
      phases[k]! += hitsPerMm[k]! * since;
    }
    return lost;
  }

  /**
   * Passes a worked cell, `along` mm of it, after `way` mm in the clear; `chance` is that of each meeting. Returns what was
   * taken; what was lost on the way is added to `lost`.
   */
  pass(along: number, way: number, since: number, chance: number, lost: Float64Array): number {
    const { weights, bases, phases, hitsPerMm, lossPerMm, dullPerMm } = this;
    let taken = 0;
    let gone = 0;
    for (let k = 0; k < weights.length; k += 1) {
      const before = weights[k]!;
      const kept = keptOf(lossPerMm[k]! * way + dullPerMm[k]! * since);
      const begun = before * kept;
      gone += before - begun;
      let weight = begun;
      let base = bases[k]! * kept;
      const perMm = hitsPerMm[k]!;
      let phase = phases[k]! + perMm * since;
      if (phase >= 1) {
        // Long in the clear: the next stretch begins with what is worked.
        phase = 0;
        base = weight;
      }
      let hits = perMm * along;
      while (phase + hits >= 1) {
        weight -= base * (1 - phase) * chance;
        hits -= 1 - phase;
        phase = 0;
        base = weight;
      }
      weight -= base * hits * chance;
      taken += begun - weight;
      weights[k] = weight;
      bases[k] = base;
      phases[k] = phase + hits;
    }
    lost[0]! += gone;
    return taken;
  }
}

/** Everything that rays are walked through, and what they leave behind. */
class Walk {
  readonly frontOut: Float64Array;
  readonly backOut: Float64Array;
  readonly edges: Record<SheetSide, number> = { top: 0, right: 0, bottom: 0, left: 0 };
  readonly edgeCells: Float64Array;
  readonly lost = new Float64Array(1);
  left = 0;
  /** By cell: the chance that a meeting takes a ray out, by either face or by silver, and the shares of that for front and back. */
  private readonly chances: Float32Array;
  private readonly frontShares: Float32Array;
  private readonly backShares: Float32Array;
  private readonly hull: Hull;
  private readonly laws;
  private readonly scatter;
  private readonly chance = seededRandom(1);

  constructor(
    private readonly sheet: ClearSheet,
    private readonly faces: WorkedFaces,
    private readonly following: Following,
  ) {
    const { columns, rows, front, back } = faces;
    this.frontOut = new Float64Array(columns * rows);
    this.backOut = new Float64Array(columns * rows);
    this.edgeCells = new Float64Array(columns * rows);
    this.hull = hullOf(sheet);
    this.chances = new Float32Array(columns * rows);
    this.frontShares = new Float32Array(columns * rows);
    this.backShares = new Float32Array(columns * rows);
    const dull = sheet.silver === null ? 0 : 1 - sheet.silver;
    for (let cell = 0; cell < columns * rows; cell += 1) {
      const inFront = front?.[cell] ?? 0;
      const behind = back?.[cell] ?? 0;
      const out = inFront + behind - inFront * behind;
      if (out === 0) continue;
      // What a silvered back does not let out it throws back with a loss.
      const chance = out + (1 - out) * dull;
      this.chances[cell] = chance;
      this.frontShares[cell] = (out * inFront) / (chance * (inFront + behind));
      this.backShares[cell] = (out * behind) / (chance * (inFront + behind));
    }
    this.laws = Object.fromEntries(sheetSides.map((side) => [side, sideLaw(sheet.sides[side], sheet.index)])) as Record<
      SheetSide,
      ReturnType<typeof sideLaw>
    >;
    this.scatter = edgeScatter(sheet.index, following.slopes);
  }

  /** Follows a ray across the cells, from edge to edge, until little of it is left. */
  follow(start: Start, depth = 0): void {
    const ray = new Ray(start, this.sheet);
    const enough = ray.carried * this.following.until;
    for (let mirrorings = 0; ; mirrorings += 1) {
      const next = this.hull(ray.x, ray.y, ray.dx, ray.dy);
      if (next === null) {
        this.left += ray.weights.reduce((sum, weight) => sum + weight, 0);
        return;
      }
      this.cross(ray, next.way);
      const { wall } = next;
      const remains = this.meet(ray, wall, start.tangents, enough, depth);
      if (remains <= enough || mirrorings === mostMirrored) {
        this.left += remains;
        return;
      }
      const inward = 2 * (ray.dx * wall.intoX + ray.dy * wall.intoY);
      ray.dx -= inward * wall.intoX;
      ray.dy -= inward * wall.intoY;
    }
  }

  /** Straight on over the cells, so far; what they take goes to their light. */
  private cross(ray: Ray, end: number): void {
    const { cellMm, columns, rows } = this.faces;
    const { chances, frontShares, backShares, frontOut, backOut, lost } = this;
    const { x, y, dx, dy } = ray;
    let column = Math.min(columns - 1, Math.max(0, Math.floor(x / cellMm)));
    let row = Math.min(rows - 1, Math.max(0, Math.floor(y / cellMm)));
    const stepX = dx > 0 ? 1 : -1;
    const stepY = dy > 0 ? 1 : -1;
    const perX = dx === 0 ? Infinity : Math.abs(cellMm / dx);
    const perY = dy === 0 ? Infinity : Math.abs(cellMm / dy);
    let nextX = dx === 0 ? Infinity : ((column + (dx > 0 ? 1 : 0)) * cellMm - x) / dx;
    let nextY = dy === 0 ? Infinity : ((row + (dy > 0 ? 1 : 0)) * cellMm - y) / dy;
    let at = 0;
    /** From where the losses of the way are still to be taken off, and from where the last worked cell ended. */
    let [lossFrom, clearFrom] = [0, 0];
    while (at < end) {
      const inRow = nextX <= nextY;
      const next = Math.min(inRow ? nextX : nextY, end);
      const cell = row * columns + column;
      const chance = chances[cell]!;
      if (chance > 0 && next > at) {
        const taken = ray.pass(next - at, at - lossFrom, at - clearFrom, chance, lost);
        lossFrom = at;
        clearFrom = next;
        const [toFront, toBack] = [taken * frontShares[cell]!, taken * backShares[cell]!];
        frontOut[cell]! += toFront;
        backOut[cell]! += toBack;
        lost[0]! += taken - toFront - toBack;
      }
      at = next;
      if (inRow) {
        nextX += perX;
        column = Math.min(columns - 1, Math.max(0, column + stepX));
      } else {
        nextY += perY;
        row = Math.min(rows - 1, Math.max(0, row + stepY));
      }
    }
    lost[0]! += ray.clear(end - lossFrom, end - clearFrom);
    ray.x = x + dx * end;
    ray.y = y + dy * end;
  }

  /** What an edge throws back like a mirror stays in the ray, what it scatters goes on as another; returns what remains. */
  private meet(ray: Ray, wall: Wall, tangents: Float64Array, enough: number, depth: number): number {
    const { side } = wall;
    const straight = Math.abs(ray.dx * wall.intoX + ray.dy * wall.intoY);
    const { mirrored, scattered } = this.laws[side];
    const { weights, bases } = ray;
    let [remains, through] = [0, 0];
    for (let k = 0; k < weights.length; k += 1) {
      const before = weights[k]!;
      const back = before * mirrored(straight / Math.sqrt(1 + tangents[k]! * tangents[k]!));
      through += before - back;
      if (before > 0) bases[k]! *= back / before;
      weights[k] = back;
      remains += back;
    }
    const again = through * scattered * this.scatter.kept;
    this.edges[side] += through - again;
    this.edgeCells[this.cellAt(ray.x, ray.y)]! += through - again;
    if (again > enough && depth < mostScattered) this.follow(this.scatteredFrom(wall, ray, again), depth + 1);
    else this.left += again;
    return remains;
  }

  private cellAt(x: number, y: number): number {
    const { cellMm, columns, rows } = this.faces;
    const hold = (value: number, most: number): number => Math.min(most, Math.max(0, Math.floor(value)));
    return hold(y / cellMm, rows - 1) * columns + hold(x / cellMm, columns - 1);
  }

  private scatteredFrom(wall: Wall, { x, y }: Ray, lumens: number): Start {
    // An even sequence would keep step with the order in which rays come to the edges.
    const [where, which] = [this.chance(), this.chance()];
    const { fan } = this.scatter;
    const tangents = slopesAt(fan, where);
    return {
      wall,
      x,
      y,
      azimuth: azimuthAt(fan, where) * (which < 0.5 ? -1 : 1),
      tangents,
      weights: new Float64Array(tangents.length).fill(lumens / tangents.length),
    };
  }
}

/** Rays of one LED: azimuths of equal flux to both sides, each from its own place along the emitter, shifted LED by LED. */
const raysOf = (
  led: EdgeLed,
  number: number,
  { entered, fan }: EdgeEntry,
  azimuths: number,
  sides: Readonly<Record<SheetSide, Wall>>,
): readonly Start[] => {
  const [shift] = evenPoint(number);
  const wall = sides[led.side];
  const upright = led.side === 'left' || led.side === 'right';
  return Array.from({ length: 2 * azimuths }, (_, ray): Start => {
    const each = ray >> 1;
    const quantile = (each + shift) / azimuths;
    const tangents = slopesAt(fan, quantile);
    const weight = (led.lumens * entered) / (2 * azimuths * tangents.length);
    const [, place] = evenPoint(number * 2 * azimuths + ray);
    const along = led.alongMm + (place - 0.5) * led.widthMm;
    return {
      wall,
      x: upright ? wall.x0 : along,
      y: upright ? along : wall.y0,
      azimuth: azimuthAt(fan, quantile) * (ray % 2 === 0 ? 1 : -1),
      tangents,
      weights: new Float64Array(tangents.length).fill(weight),
    };
  });
};

const sum = (values: Float64Array): number => values.reduce((total, value) => total + value, 0);

/**
 * Where the light of LEDs before the edges of a sheet goes. Rays keep to straight ways in the plane of the sheet and are
 * mirrored or scattered at its edges; each azimuth carries several slopes of its own, which decide how often it meets the worked
 * faces, how long its path is, and what the edges throw back. Worked spots take out their chance of what meets them, for good:
 * what they might scatter back into the sheet is not counted. Needs n > √2, or light that enters by an edge would not be kept.
 */
export const sheetLight = (
  sheet: ClearSheet,
  fit: EdgeFit,
  leds: readonly EdgeLed[],
  faces: WorkedFaces,
  following: Following = fullFollowing,
): SheetLight => {
  const entry = edgeEntry(sheet, fit, following.slopes);
  const walk = new Walk(sheet, faces, following);
  const azimuths = azimuthsFor(following, leds.length);
  const emitted = leds.reduce((total, { lumens }) => total + lumens, 0);
  const sides = sideWalls(sheet);
  leds.forEach((led, number) => {
    for (const start of raysOf(led, number + 1, entry, azimuths, sides)) walk.follow(start);
  });
  const { frontOut, backOut, edges, edgeCells, lost, left } = walk;
  return {
    emitted,
    missed: emitted * entry.missed,
    thrownBack: emitted * entry.thrownBack,
    out: sum(frontOut) + sum(backOut),
    edges,
    lost: lost[0]!,
    left,
    frontOut,
    backOut,
    edgeCells,
  };
};
