import { inOutline } from '../../base/outlines/index.js';
import { placed, unplaced, type Placing } from '../../base/placing/index.js';
import { wallRgb, type Front } from '../../builds/index.js';
import type { Glow } from '../../light/glow/index.js';
import { cellOf } from './cell-of.js';

/** An assembly where it stands. */
export interface PlacedFront {
  readonly glow: Glow;
  readonly front: Front;
  readonly placing: Placing;
}

/** What is seen at a place, lit and under the light of the room: red, green and blue (cd/m²) into `into`. */
export type SceneLight = (x: number, y: number, into: Float64Array) => void;

/** Bodies of more points than this are told by their maps alone: letters, whose maps are fine enough. */
const fewPoints = 64;

/** Adds what one assembly shows at a place of the sign to what stands behind it. */
const layOver = (
  { glow, front, placing }: PlacedFront,
  at: readonly [number, number],
  lit: boolean,
  ambientCdM2: number,
  into: Float64Array,
): void => {
  const local = unplaced(placing, at);
  const cell = cellOf(glow.grid, local[0], local[1]);
  const own = cell >= 0 && lit ? glow.luminance[cell]! : 0;
  const letters = cell >= 0 ? glow.letters[cell]! : 0;
  if (front.lights === 'ground') {
    // Light on what is behind adds to it; the letters hide both.
    for (let channel = 0; channel < 3; channel += 1) {
      const bare = into[channel]! + own * front.seenHue[channel]!;
      into[channel] = bare * (1 - letters) + ambientCdM2 * front.cover.reflects[channel]! * letters;
    }
    return;
  }
  const hidden = front.covered === 'letters' ? letters : 1 - letters;
  const shown = front.clip === null ? 1 : letters;
  if (cell >= 0) {
    for (let channel = 0; channel < 3; channel += 1) {
      const light = own * front.seenHue[channel]!;
      const bare = light + ambientCdM2 * glow.unlitRgb[channel]!;
      const film = light * front.cover.passes[channel]! + ambientCdM2 * front.cover.reflects[channel]!;
      const seen = front.clip === null ? bare * (1 - hidden) + film * hidden : bare;
      into[channel] = seen * shown + into[channel]! * (1 - shown);
    }
    return;
  }
  const points = front.body.reduce((sum, ring) => sum + ring.length, 0);
  if (points > fewPoints || !inOutline(local, front.body)) return;
  const edge = front.shapes.find(({ beside }) => beside)?.paint.reflects ?? wallRgb;
  for (let channel = 0; channel < 3; channel += 1) into[channel] = ambientCdM2 * edge[channel]!;
};

/**
 * What is seen behind the assembly at `index` of a sign, in its own axes: the wall and every other assembly that stands
 * before it in the list, and those after it that light the same wall. Light between assemblies is left out.
 */
export const sceneBehind = (
  assemblies: readonly PlacedFront[],
  index: number,
  lit: boolean,
  lux: number,
  surroundShare: number,
): SceneLight => {
  const self = assemblies[index]!;
  const ambientCdM2 = lux / Math.PI;
  const level = self.placing.zMm;
  const others = assemblies.filter(
    (each, at) => at < index || (at > index && each.front.lights === 'ground' && each.placing.zMm === level),
  );
  const wall = self.front.lights === 'ground' && self.placing.zMm === 0 ? self.glow.unlitRgb : null;
  return (x, y, into) => {
    const at = placed(self.placing, [x, y]);
    for (let channel = 0; channel < 3; channel += 1)
      into[channel] = ambientCdM2 * (wall?.[channel] ?? wallRgb[channel]! * surroundShare);
    for (const other of others) layOver(other, at, lit, ambientCdM2, into);
  };
};

/** What is seen of a whole sign at a place of it, its wall included. */
export const sceneOfSign = (
  assemblies: readonly PlacedFront[],
  lit: boolean,
  lux: number,
  surroundShare: number,
): SceneLight => {
  const ambientCdM2 = lux / Math.PI;
  return (x, y, into) => {
    for (let channel = 0; channel < 3; channel += 1) into[channel] = ambientCdM2 * wallRgb[channel]! * surroundShare;
    for (const each of assemblies) layOver(each, [x, y], lit, ambientCdM2, into);
  };
};
