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
export const previewFollowing: Following = { azimuths: 64, rays: 1800, slopes: 4, until: 1e-3 };
export const fullFollowing: Following = { azimuths: 128, rays: 12_000, slopes: 6, until: 1e-4 };

const azimuthsFor = ({ azimuths, rays }: Following, leds: number): number =>
  Math.round(Math.min(azimuths, Math.max(azimuths / 4, rays / leds)));

/** Unit vectors into the sheet and along each edge, and whether the edge runs across. */
const frames: Readonly<Record<SheetSide, { readonly into: readonly [number, number]; readonly across: boolean }>> = {
  bottom: { into: [0, 1], across: true },
  top: { into: [0, -1], across: true },
  left: { into: [1, 0], across: false },
  right: { into: [-1, 0], across: false },
};

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
  readonly side: SheetSide;
  readonly alongMm: number;
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

/** Everything that rays are walked through, and what they leave behind. */
class Walk {
  readonly frontOut: Float64Array;
  readonly backOut: Float64Array;
  readonly edgeOut: Readonly<Record<SheetSide, Float64Array>>;
  lost = 0;
  left = 0;
  private readonly worked: Uint8Array;
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
    this.worked = Uint8Array.from({ length: columns * rows }, (_, at) =>
      sheet.silver !== null || (front?.[at] ?? 0) > 0 || (back?.[at] ?? 0) > 0 ? 1 : 0,
    );
    this.edgeOut = {
      top: new Float64Array(columns),
      bottom: new Float64Array(columns),
      left: new Float64Array(rows),
      right: new Float64Array(rows),
    };
    this.laws = Object.fromEntries(sheetSides.map((side) => [side, sideLaw(sheet.sides[side], sheet.index)])) as Record<
      SheetSide,
      ReturnType<typeof sideLaw>
    >;
    this.scatter = edgeScatter(sheet.index, following.slopes);
  }

  /** Follows a ray across the cells, from edge to edge, until little of it is left. */
  follow(start: Start, depth = 0): void {
    const { widthMm, heightMm, thicknessMm, lossPerMm, silver } = this.sheet;
    const { cellMm, columns, rows, front, back } = this.faces;
    const { tangents } = start;
    const weights = Float64Array.from(start.weights);
    const count = weights.length;
    const hitsPerMm = new Float64Array(count);
    const lossAt = new Float64Array(count);
    // Each stretch between two meetings with a face holds one, anywhere in it: what is taken there is a share of what the ray
    // had where the stretch began.
    const bases = Float64Array.from(weights);
    const phases = new Float64Array(count);
    let carried = 0;
    for (let k = 0; k < count; k += 1) {
      const tangent = tangents[k]!;
      // A ray meets a face tan / thickness times a millimetre of its way along the sheet, one given face half as often.
      hitsPerMm[k] = tangent / (2 * thicknessMm);
      lossAt[k] = lossPerMm * Math.sqrt(1 + tangent * tangent);
      carried += weights[k]!;
    }
    const enough = carried * this.following.until;
    const frame = frames[start.side];
    const [sin, cos] = [Math.sin(start.azimuth), Math.cos(start.azimuth)];
    let dx = frame.across ? sin : frame.into[0] * cos;
    let dy = frame.across ? frame.into[1] * cos : sin;
    let x = frame.across ? start.alongMm : start.side === 'left' ? 0 : widthMm;
    let y = frame.across ? (start.side === 'bottom' ? 0 : heightMm) : start.alongMm;
    const { worked, frontOut, backOut } = this;
    const dull = silver === null ? 0 : 1 - silver;
    /** Way since losses were last taken off. */
    let way = 0;
    /** Way in the clear since the last worked cell. */
    let clear = 0;
    let lost = 0;
    for (let mirrorings = 0; ; mirrorings += 1) {
      let column = Math.min(columns - 1, Math.max(0, Math.floor(x / cellMm)));
      let row = Math.min(rows - 1, Math.max(0, Math.floor(y / cellMm)));
      const stepX = dx > 0 ? 1 : -1;
      const stepY = dy > 0 ? 1 : -1;
      const perX = dx === 0 ? Infinity : Math.abs(1 / dx);
      const perY = dy === 0 ? Infinity : Math.abs(1 / dy);
      const endX = dx === 0 ? Infinity : ((dx > 0 ? widthMm : 0) - x) / dx;
      const endY = dy === 0 ? Infinity : ((dy > 0 ? heightMm : 0) - y) / dy;
      const end = Math.min(endX, endY);
      let nextX = dx === 0 ? Infinity : ((column + (dx > 0 ? 1 : 0)) * cellMm - x) / dx;
      let nextY = dy === 0 ? Infinity : ((row + (dy > 0 ? 1 : 0)) * cellMm - y) / dy;
      let at = 0;
      while (at < end) {
        const next = Math.min(nextX, nextY, end);
        const along = next - at;
        const cell = row * columns + column;
        if (worked[cell] === 1 && along > 0) {
          const inFront = front === null ? 0 : front[cell]!;
          const behind = back === null ? 0 : back[cell]!;
          const out = inFront + behind - inFront * behind;
          // What a silvered back does not take out it throws back with a loss.
          const chance = out + (1 - out) * dull;
          let taken = 0;
          for (let k = 0; k < count; k += 1) {
            const before = weights[k]!;
            const loss = keptOf(lossAt[k]! * way);
            let weight = before * loss;
            lost += before - weight;
            let base = bases[k]! * loss;
            let phase = phases[k]! + hitsPerMm[k]! * clear;
            if (phase >= 1) {
              // Long in the clear: the next stretch begins with what is worked.
              phase = 0;
              base = weight;
            }
            let hits = hitsPerMm[k]! * along;
            while (phase + hits >= 1) {
              weight -= base * (1 - phase) * chance;
              hits -= 1 - phase;
              phase = 0;
              base = weight;
            }
            weight -= base * hits * chance;
            phase += hits;
            taken += before * loss - weight;
            weights[k] = weight;
            bases[k] = base;
            phases[k] = phase;
          }
          const given = chance === 0 ? 0 : (taken * out) / chance;
          const toFront = behind === 0 ? given : (given * inFront) / (inFront + behind);
          const toBack = given - toFront;
          lost += taken - given;
          way = 0;
          clear = -along;
          frontOut[cell]! += toFront;
          backOut[cell]! += toBack;
        }
        way += along;
        clear += along;
        at = next;
        if (nextX <= nextY) {
          nextX += perX * cellMm;
          column = Math.min(columns - 1, Math.max(0, column + stepX));
        } else {
          nextY += perY * cellMm;
          row = Math.min(rows - 1, Math.max(0, row + stepY));
        }
      }
      for (let k = 0; k < count; k += 1) {
        const before = weights[k]!;
        const loss = keptOf(lossAt[k]! * way);
        weights[k] = before * loss;
        lost += before - weights[k]!;
        bases[k] = bases[k]! * loss;
        phases[k]! += hitsPerMm[k]! * clear;
      }
      clear = 0;
      way = 0;
      this.lost += lost;
      lost = 0;
      x += dx * end;
      y += dy * end;
      const side: SheetSide = endX < endY ? (dx > 0 ? 'right' : 'left') : dy > 0 ? 'top' : 'bottom';
      const alongSide = side === 'left' || side === 'right' ? y : x;
      const straight = side === 'left' || side === 'right' ? Math.abs(dx) : Math.abs(dy);
      const { mirrored, scattered } = this.laws[side];
      let [remains, through] = [0, 0];
      for (let k = 0; k < count; k += 1) {
        const back = weights[k]! * mirrored(straight / Math.sqrt(1 + tangents[k]! * tangents[k]!));
        through += weights[k]! - back;
        if (weights[k]! > 0) bases[k]! *= back / weights[k]!;
        weights[k] = back;
        remains += back;
      }
      const again = through * scattered * this.scatter.kept;
      const bins = this.edgeOut[side];
      bins[Math.min(bins.length - 1, Math.max(0, Math.floor(alongSide / cellMm)))]! += through - again;
      if (again > enough) {
        if (depth < mostScattered) this.follow(this.scatteredFrom(side, alongSide, again), depth + 1);
        else this.left += again;
      } else this.left += again;
      if (remains <= enough || mirrorings === mostMirrored) {
        this.left += remains;
        return;
      }
      if (side === 'left' || side === 'right') dx = -dx;
      else dy = -dy;
    }
  }

  private scatteredFrom(side: SheetSide, alongMm: number, lumens: number): Start {
    // An even sequence would keep step with the order in which rays come to the edges.
    const [where, which] = [this.chance(), this.chance()];
    const { fan } = this.scatter;
    const tangents = slopesAt(fan, where);
    return {
      side,
      alongMm,
      azimuth: azimuthAt(fan, where) * (which < 0.5 ? -1 : 1),
      tangents,
      weights: new Float64Array(tangents.length).fill(lumens / tangents.length),
    };
  }
}

/** Rays of one LED: azimuths of equal flux to both sides, each from its own place along the emitter, shifted LED by LED. */
const raysOf = (led: EdgeLed, number: number, { entered, fan }: EdgeEntry, azimuths: number): readonly Start[] => {
  const [shift] = evenPoint(number);
  return Array.from({ length: 2 * azimuths }, (_, ray): Start => {
    const each = ray >> 1;
    const quantile = (each + shift) / azimuths;
    const tangents = slopesAt(fan, quantile);
    const weight = (led.lumens * entered) / (2 * azimuths * tangents.length);
    const [, place] = evenPoint(number * 2 * azimuths + ray);
    return {
      side: led.side,
      alongMm: led.alongMm + (place - 0.5) * led.widthMm,
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
  leds.forEach((led, number) => {
    for (const start of raysOf(led, number + 1, entry, azimuths)) walk.follow(start);
  });
  const { frontOut, backOut, edgeOut, lost, left } = walk;
  return {
    emitted,
    missed: emitted * entry.missed,
    thrownBack: emitted * entry.thrownBack,
    out: sum(frontOut) + sum(backOut),
    edges: { top: sum(edgeOut.top), right: sum(edgeOut.right), bottom: sum(edgeOut.bottom), left: sum(edgeOut.left) },
    lost,
    left,
    frontOut,
    backOut,
    edgeOut,
  };
};
