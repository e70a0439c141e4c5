import { placed } from '../../base/placing/index.js';
import { wallRgb } from '../../builds/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { addGlare, type Glare } from './glare.js';
import { layerOf, type LayerOptions, type PlacedFront } from './layer.js';

/**
 * What is seen at a place, lit and under the light of the room: red, green and blue (cd/m²) into `into`, and the luminance
 * of the ground that the eye takes it against; 0 where it is its own.
 */
export type SceneLight = (x: number, y: number, into: Float64Array) => void;

/** What is seen, beside the assemblies: whether they are lit, the light of the place, and the veil over what is round them. */
export interface SceneOptions extends LayerOptions {
  readonly glare: Glare | null;
}

/** The bare wall at a place, with the veil over it. */
const wallAt = (wall: LinearRgb, { lux, glare }: SceneOptions, x: number, y: number, into: Float64Array): void => {
  for (let channel = 0; channel < 3; channel += 1) into[channel] = (lux / Math.PI) * wall[channel]!;
  into[3] = 0;
  if (glare !== null) addGlare(glare, x, y, into);
};

/**
 * What is seen behind the assembly at `index` of a sign, in its own axes: the wall and every other assembly that stands
 * before it in the list, and those after it that light the same wall. Light between assemblies is left out.
 */
export const sceneBehind = (assemblies: readonly PlacedFront[], index: number, options: SceneOptions): SceneLight => {
  const self = assemblies[index]!;
  const level = self.placing.zMm;
  const others = assemblies.filter(
    (each, at) => at < index || (at > index && each.front.lights === 'ground' && each.placing.zMm === level),
  );
  const wall = self.front.lights === 'ground' && self.placing.zMm === 0 ? self.glow.unlitRgb : wallRgb;
  const layers = others.map((other) => layerOf(other, options));
  return (x, y, into) => {
    const at = placed(self.placing, [x, y]);
    wallAt(wall, options, at[0], at[1], into);
    for (const layer of layers) layer(at[0], at[1], into);
  };
};

const lightsWall = ({ front, placing }: PlacedFront): boolean => front.lights === 'ground' && placing.zMm === 0;

/** The wall behind a sign: the one that its letters light, or a plain one. */
export const wallBehind = (assemblies: readonly PlacedFront[]): LinearRgb =>
  assemblies.find(lightsWall)?.glow.unlitRgb ?? wallRgb;

/** What is seen of a whole sign at a place of it, its wall included. */
export const sceneOfSign = (assemblies: readonly PlacedFront[], options: SceneOptions): SceneLight => {
  const wall = wallBehind(assemblies);
  const over = signOver(assemblies, options);
  return (x, y, into) => {
    wallAt(wall, options, x, y, into);
    over(x, y, into);
  };
};

/** Lays a whole sign at a place of it over what is there already, which takes its light as a wall does. */
export const signOver = (assemblies: readonly PlacedFront[], options: LayerOptions): SceneLight => {
  const layers = assemblies.map((each) => layerOf(each, options));
  return (x, y, into) => {
    for (const layer of layers) layer(x, y, into);
  };
};
