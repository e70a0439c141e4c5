import type { Strip } from '../../document/catalogue/index.js';
import { set, type DesignChange } from '../../document/design/index.js';
import { inDesign, type AssemblyResults } from '../../judging/results/index.js';
import { colourOf } from '../../light/glow/index.js';
import type { LightAim, Seed } from './build.js';

/** So many are worth judging; of one kind, so many. */
const mostSeeds = 8;
const mostOfAKind = 3;
/** What it is worth to be near the luminance that is wanted, by each doubling or halving (in the catalogue’s currency). */
export const worthOfADoubling = 8;
/** A dimmer and its wires, as a rough sum. */
const dimmerPrice = 12;
/** Nearer to a bound than this the rough sum may be over it. */
const unsure = 0.85;

/** Supplies cost about so much for each watt (typical, in the catalogue’s currency). */
const pricePerWatt = 0.5;

/** What so many metres of strip cost with their share of a supply. */
export const stripPrice = ({ price, reelMm, wattsPerM }: Strip, metres: number): number =>
  metres * ((price * 1000) / reelMm + wattsPerM * pricePerWatt);

/** What a strip gives of the light of the brief (lm/m). */
export const givenLm = (strip: Strip, { design }: Pick<AssemblyResults, 'design'>): number =>
  colourOf(design.brief.light, strip).lumensPerM;

/** A seed with the kind it is of, so that not all that are judged are alike. */
export interface RoughSeed extends Seed {
  readonly kind: string;
}

/** Turned down to somewhat over what is wanted, where the strip gives more than the place takes. */
const turnedDown = ({ cdM2 }: Seed, { wantedCdM2, mostCdM2, dayAndNight }: LightAim): DesignChange => {
  if (cdM2 <= unsure * mostCdM2) return [];
  const share = (aimed: number): number => Math.max(0.02, Math.min(1, Math.round((100 * aimed) / cdM2) / 100));
  return dayAndNight
    ? [set(inDesign.power.nightLevel, share(0.6 * mostCdM2))]
    : [set(inDesign.power.level, share(Math.min(0.6 * mostCdM2, 2 * wantedCdM2)))];
};

/** The seeds worth judging, the best by price and luminance first; too dim ones are left out, too bright ones are dimmed. */
export const bestSeeds = (all: readonly RoughSeed[], aim: LightAim): readonly Seed[] => {
  const { leastCdM2, wantedCdM2, mostCdM2 } = aim;
  const score = ({ price, cdM2 }: Seed): number =>
    price +
    (cdM2 > unsure * mostCdM2
      ? dimmerPrice
      : worthOfADoubling * Math.abs(Math.log2(Math.max(cdM2, 1e-6) / wantedCdM2)));
  const ofKind = new Map<string, number>();
  return all
    .filter(({ cdM2 }) => cdM2 * unsure > leastCdM2)
    .sort((a, b) => score(a) - score(b))
    .filter(({ kind }) => {
      const count = ofKind.get(kind) ?? 0;
      ofKind.set(kind, count + 1);
      return count < mostOfAKind;
    })
    .slice(0, mostSeeds)
    .map((seed) => ({ ...seed, change: [...seed.change, ...turnedDown(seed, aim)] }));
};
