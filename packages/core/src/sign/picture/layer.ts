import { insideByLine } from '../../base/outlines/index.js';
import { unplaced, type Placing } from '../../base/placing/index.js';
import { mapValue } from '../../base/raster/index.js';
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
export type Layer = (at: Place, into: Float64Array) => void;

/** Bodies of more points than this are told by their maps alone: letters, whose maps are fine enough. */
const fewPoints = 64;

const inGrid = ({ grid: { area } }: Glow, [x, y]: Place): boolean =>
  x >= area.x && y >= area.y && x <= area.x + area.width && y <= area.y + area.height;

/** What red, green and blue of the light, and of the ground unlit, are multiplied by at a place of an assembly; null where it is the same all over. */
const tintsOf = ({
  grid,
  drift,
  unlitTint,
}: Glow): ((local: Place) => { readonly lit: Float64Array; readonly unlit: Float64Array }) | null => {
  if (drift === null && unlitTint === undefined) return null;
  const { area, columns, rows } = grid;
  const [lit, unlit] = [new Float64Array(3).fill(1), new Float64Array(3).fill(1)];
  return ([x, y]) => {
    const [u, v] = [(x - area.x) / area.width, (y - area.y) / area.height];
    if (drift !== null) driftAt(drift, u, v, lit);
    if (unlitTint !== undefined) driftAt({ columns, rows, factors: unlitTint }, u, v, unlit);
    return { lit, unlit };
  };
};

/** Light on what is behind adds to it; the letters hide both. */
const onGround = (own: PlacedFront, { lit, lux, wallShare }: LayerOptions): Layer => {
  const { glow, front, placing } = own;
  const fade = wallFade(own);
  const letterSeen = front.cover.reflects.map((share) => (lux / Math.PI) * share);
  const ofWall = placing.zMm === 0 ? wallShare : undefined;
  return (at, into) => {
    const local = unplaced(placing, at);
    if (!inGrid(glow, local)) return;
    const light = lit ? mapValue(glow.luminance, glow.grid, local) * fade(local[0], local[1]) : 0;
    const letters = mapValue(glow.letters, glow.grid, local);
    for (let channel = 0; channel < 3; channel += 1) {
      const bare = into[channel]! + light * front.seenHue[channel]! * (ofWall?.(at, channel) ?? 1);
      into[channel] = bare * (1 - letters) + letterSeen[channel]! * letters;
    }
    if (letters > 0.5) into[3] = 0;
  };
};

/** A face of its own, its cover, and the edge round it. */
const onItself = (own: PlacedFront, { lit, lux }: LayerOptions): Layer => {
  const { glow, front, placing } = own;
  const ambientCdM2 = lux / Math.PI;
  const asWhole = faceLight(own, lit, ambientCdM2);
  const hasSheet = front.sheet === true;
  const hasEdge = front.body.reduce((sum, ring) => sum + ring.length, 0) <= fewPoints;
  const inBody = insideByLine(front.body);
  const inClip = insideByLine(front.clip ?? []);
  const tints = tintsOf(glow);
  const edge = front.shapes.find(({ beside }) => beside)?.paint.reflects ?? wallRgb;
  return (at, into) => {
    const local = unplaced(placing, at);
    if (!inGrid(glow, local)) {
      if (!hasEdge || !inBody(...local)) return;
      for (let channel = 0; channel < 3; channel += 1) into[channel] = ambientCdM2 * edge[channel]!;
      into[3] = 0;
      return;
    }
    const light = lit ? mapValue(glow.luminance, glow.grid, local) : 0;
    const letters = mapValue(glow.letters, glow.grid, local);
    const hidden = front.covered === 'letters' ? letters : 1 - letters;
    const share = glow.unlitShare === undefined ? 1 : mapValue(glow.unlitShare, glow.grid, local);
    const tint = tints?.(local);
    const shown = front.clip === null ? 1 : hasSheet ? (inClip(...local) ? 1 : 0) : letters;
    for (let channel = 0; channel < 3; channel += 1) {
      const ofLight = light * front.seenHue[channel]! * (tint?.lit[channel] ?? 1);
      const ground = glow.unlitRgb[channel]! * (tint?.unlit[channel] ?? 1);
      const unlit = ground * share + front.cover.reflects[channel]! * (1 - share);
      const bare = ofLight + ambientCdM2 * unlit;
      const film = ofLight * front.cover.passes[channel]! + ambientCdM2 * front.cover.reflects[channel]!;
      const seen = front.clip === null || hasSheet ? bare * (1 - hidden) + film * hidden : bare;
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
