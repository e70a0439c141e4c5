import { insideByLine } from '../../base/outlines/index.js';
import { unplacing, type Placing } from '../../base/placing/index.js';
import { mapReader } from '../../base/raster/index.js';
import { wallRgb, type Front } from '../../builds/index.js';
import { driftAt, type Glow } from '../../light/glow/index.js';
import { faceLight } from './render-face.js';
import { wallFade } from './wall-fade.js';

/** An assembly where it stands. */
export interface PlacedFront {
  readonly glow: Glow;
  readonly front: Front;
  readonly placing: Placing;
}

type Place = readonly [number, number];

/** Whether the assemblies are lit, and the light of the place (lx). */
export interface LayerOptions {
  readonly lit: boolean;
  readonly lux: number;
  /** How much more of the light on it the wall behind throws back at a place than the wall of the design; as much when left out. */
  readonly wallShare?: (at: Place, channel: number) => number;
}

/** Lays what an assembly shows at a place of the sign over what is there already: see `SceneLight`. */
export type Layer = (x: number, y: number, into: Float64Array) => void;

/** Bodies of more points than this are told by their maps alone: letters, whose maps are fine enough. */
const fewPoints = 64;

/** A place of the sign as an assembly has it, and its maps there. */
interface OwnPlace {
  readonly local: Float64Array;
  readonly read: (map: Float32Array) => number;
  /** Goes to a place of the sign; false where it lies beyond the maps. */
  readonly goTo: (x: number, y: number) => boolean;
}

const placeOn = ({ glow: { grid }, placing }: PlacedFront): OwnPlace => {
  const { area } = grid;
  const [left, low, right, high] = [area.x, area.y, area.x + area.width, area.y + area.height];
  const toLocal = unplacing(placing);
  const local = new Float64Array(2);
  const maps = mapReader(grid);
  return {
    local,
    read: maps.read,
    goTo: (x, y) => {
      toLocal(x, y, local);
      const localX = local[0]!;
      const localY = local[1]!;
      if (localX < left || localY < low || localX > right || localY > high) return false;
      maps.goTo(localX, localY);
      return true;
    },
  };
};

/** What red, green and blue of the light, and of the ground unlit, are multiplied by at the place that was gone to last. */
interface Tints {
  readonly lit: Float64Array;
  readonly unlit: Float64Array;
  readonly goTo: (x: number, y: number) => void;
}

const tintsOf = ({ grid, drift, unlitTint }: Glow): Tints => {
  const { area, columns, rows } = grid;
  const [lit, unlit] = [new Float64Array(3).fill(1), new Float64Array(3).fill(1)];
  const bare = unlitTint === undefined ? null : { columns, rows, factors: unlitTint };
  return {
    lit,
    unlit,
    goTo: (x, y) => {
      const u = (x - area.x) / area.width;
      const v = (y - area.y) / area.height;
      if (drift !== null) driftAt(drift, u, v, lit);
      if (bare !== null) driftAt(bare, u, v, unlit);
    },
  };
};

/** Light on what is behind adds to it; the letters hide both. */
const onGround = (own: PlacedFront, { lit, lux, wallShare }: LayerOptions): Layer => {
  const { glow, front, placing } = own;
  const { luminance, letters } = glow;
  const fade = wallFade(own);
  const letterSeen = front.cover.reflects.map((share) => (lux / Math.PI) * share);
  const ofWall = placing.zMm === 0 ? wallShare : undefined;
  const place = placeOn(own);
  return (x, y, into) => {
    if (!place.goTo(x, y)) return;
    const light = lit ? place.read(luminance) * fade(place.local[0]!, place.local[1]!) : 0;
    const hidden = place.read(letters);
    for (let channel = 0; channel < 3; channel += 1) {
      const bare = into[channel]! + light * front.seenHue[channel]! * (ofWall?.([x, y], channel) ?? 1);
      into[channel] = bare * (1 - hidden) + letterSeen[channel]! * hidden;
    }
    if (hidden > 0.5) into[3] = 0;
  };
};

/** A face of its own, its cover, and the edge round it. */
const onItself = (own: PlacedFront, { lit, lux }: LayerOptions): Layer => {
  const { glow, front } = own;
  const { luminance, letters, unlitShare, unlitRgb } = glow;
  const { seenHue } = front;
  const { passes, reflects } = front.cover;
  const ambientCdM2 = lux / Math.PI;
  const asWhole = faceLight(own, lit, ambientCdM2);
  const isWhole = front.clip === null;
  const hasSheet = front.sheet === true;
  const coversLetters = front.covered === 'letters';
  const hasEdge = front.body.reduce((sum, ring) => sum + ring.length, 0) <= fewPoints;
  const inBody = insideByLine(front.body);
  const inClip = insideByLine(front.clip ?? []);
  const tints = tintsOf(glow);
  const edge = front.shapes.find(({ beside }) => beside)?.paint.reflects ?? wallRgb;
  const place = placeOn(own);
  return (x, y, into) => {
    const isOn = place.goTo(x, y);
    const localX = place.local[0]!;
    const localY = place.local[1]!;
    if (!isOn) {
      if (!hasEdge || !inBody(localX, localY)) return;
      for (let channel = 0; channel < 3; channel += 1) into[channel] = ambientCdM2 * edge[channel]!;
      into[3] = 0;
      return;
    }
    const light = lit ? place.read(luminance) : 0;
    const lettered = place.read(letters);
    const hidden = coversLetters ? lettered : 1 - lettered;
    const share = unlitShare === undefined ? 1 : place.read(unlitShare);
    tints.goTo(localX, localY);
    const shown = isWhole ? 1 : hasSheet ? (inClip(localX, localY) ? 1 : 0) : lettered;
    for (let channel = 0; channel < 3; channel += 1) {
      const ofLight = light * seenHue[channel]! * tints.lit[channel]!;
      const ground = unlitRgb[channel]! * tints.unlit[channel]!;
      const unlit = ground * share + reflects[channel]! * (1 - share);
      const bare = ofLight + ambientCdM2 * unlit;
      const film = ofLight * passes[channel]! + ambientCdM2 * reflects[channel]!;
      const seen = isWhole || hasSheet ? bare * (1 - hidden) + film * hidden : bare;
      into[channel] = seen * shown + into[channel]! * (1 - shown);
    }
    if (shown <= 0.5) return;
    // Round small letters on a coarse map the eye’s ground goes over from the lit part to its own.
    into[3] = hasSheet ? Math.max(asWhole * (1 - hidden), into[0]!, into[1]!, into[2]!) : hidden < 0.5 ? asWhole : 0;
  };
};

/** How an assembly lies over what is behind it. */
export const layerOf = (own: PlacedFront, options: LayerOptions): Layer =>
  (own.front.lights === 'ground' ? onGround : onItself)(own, options);
