import { emitterMmOf, type Strip } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import { colourOf, type LinearRgb } from '../../light/glow/index.js';
import type { OwnStrip } from '../../light/runs/index.js';
import type { SegmentLight } from './along-lines.js';
import type { GrooveGeometry } from './geometry.js';
import { lightOut, type LightOut } from './light-out.js';
import { ownStripOf, type GrooveMaterials } from './materials.js';
import type { GrooveRuns } from './runs.js';
import type { GrooveAssembly } from './schema.js';

/** What lines of one strip, set to one colour, have in common. */
export interface KindLight {
  readonly hue: LinearRgb;
  readonly light: SegmentLight & { readonly way: LightOut };
}

/** Kinds of light in a design, the assembly’s own first, with the kind of each line and of each segment. */
export interface KindLights {
  readonly kinds: readonly KindLight[];
  readonly ofLine: readonly number[];
  readonly ofSegment: readonly number[];
}

/** Kinds of light of all lines, as the brief or their own layer sets them. */
export const kindLights = (
  brief: Brief,
  parts: Pick<GrooveAssembly, 'carrier' | 'groove'>,
  geometry: GrooveGeometry,
  materials: GrooveMaterials,
  runs: Pick<GrooveRuns, 'segments'>,
): KindLights => {
  const lightOf = (strip: Strip, own: OwnStrip['light']): KindLight => {
    const { hue, lumensPerM } = colourOf(own ?? brief.light, strip);
    return {
      hue,
      light: {
        lmPerLed: lumensPerM / strip.ledsPerM,
        emitterMm: emitterMmOf(strip),
        way: lightOut(geometry, parts, materials, strip),
      },
    };
  };
  const { layers } = materials;
  const indexOf = (own: OwnStrip | null | undefined): number =>
    own === null || own === undefined
      ? 0
      : 1 + layers.findIndex(({ strip, light }) => strip.id === own.strip.id && sameLight(light, own.light));
  return {
    kinds: [lightOf(materials.strip, null), ...layers.map(({ strip, light }) => lightOf(strip, light))],
    ofLine: geometry.lines.map((line) => indexOf(ownStripOf(materials, line))),
    ofSegment: runs.segments.map(({ own }) => indexOf(own)),
  };
};

const sameLight = (one: OwnStrip['light'], other: OwnStrip['light']): boolean =>
  one === other || (one?.kind === 'rgb' && other?.kind === 'rgb' && one.colour === other.colour);
