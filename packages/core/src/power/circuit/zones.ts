import type { Strip } from '../../document/catalogue/index.js';
import type { PowerDesign } from '../../document/design/index.js';
import { conductorsOf } from './cores.js';
import { sameSegment, type WiredSegment } from './sign-runs.js';

/** Which segments are switched together. */
export interface Zones {
  /** Of each segment, counted from 0; numbered in the order in which segments first name them. */
  readonly ofSegment: readonly number[];
  /** How far each zone is turned up, besides the level of the whole. */
  readonly levels: readonly number[];
  /** What kind of strip each zone has: outputs and returns go by it. */
  readonly strips: readonly Strip[];
  /** What each is set to; null: the light of the brief. */
  readonly lights: readonly WiredSegment['light'][];
}

/** Strips with the same conductors can be switched by the same outputs. */
const conductorNames = (strip: Strip): string =>
  conductorsOf(strip)
    .map(({ name }) => name)
    .join();

/** Colours are mixed by the outputs of a zone; one white is as its strip is, and pixels are told one by one. */
const setTo = (strip: Strip, light: WiredSegment['light']): string =>
  light === null || strip.colour === 'white' || strip.addressable === true ? '' : JSON.stringify(light);

/**
 * Zones of the segments: the first that names a segment has it; all that none names are one zone more, fully up. Strips of
 * unlike conductors, or set to unlike colours, are never in one zone.
 */
export const zonesOf = (
  segments: readonly (Pick<WiredSegment, 'ref' | 'strip'> & Partial<Pick<WiredSegment, 'light'>>)[],
  { zones }: Pick<PowerDesign, 'zones'>,
  usual: Strip,
): Zones => {
  const known = new Map<string, number>();
  const levels: number[] = [];
  const strips: Strip[] = [];
  const lights: (WiredSegment['light'] | null)[] = [];
  const ofSegment = segments.map(({ ref, strip, light = null }) => {
    const named = (zones ?? []).findIndex((zone) => zone.segments.some((each) => sameSegment(each, ref)));
    const key = `${named} ${conductorNames(strip)} ${setTo(strip, light)}`;
    const zone = known.get(key) ?? levels.push(named < 0 ? 1 : zones![named]!.level) - 1;
    known.set(key, zone);
    strips[zone] = strips[zone] ?? strip;
    lights[zone] = lights[zone] ?? light;
    return zone;
  });
  return levels.length > 0
    ? { ofSegment, levels, strips, lights }
    : { ofSegment, levels: [1], strips: [usual], lights: [null] };
};
