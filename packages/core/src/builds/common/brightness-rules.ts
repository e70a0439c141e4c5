import type { Catalogue } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import {
  changeStrip,
  readsAsLit,
  suitableStrips,
  wholeFront,
  type Candidate,
  type Place,
  type Remedy,
  type Rule,
} from '../../judging/findings/index.js';
import { inDesign, type AssemblyResults } from '../../judging/results/index.js';
import { ambientWords } from './rule-words.js';
import { brightnessLimit, surroundingsOf, type Surroundings } from '../../light/glow/index.js';

const placeWords: Readonly<Record<Surroundings, string>> = {
  indoors: 'in here',
  country: 'for dark country',
  low: 'for a place of low brightness',
  town: 'for a town at night',
  city: 'for a city centre at night',
};

/** How far down the light is after dark; indoors it stays as it is. */
const nightLevelOf = ({ design }: AssemblyResults): number =>
  surroundingsOf(design.brief) === 'indoors' ? 1 : (design.power.nightLevel ?? 1);

/** Aimed at, when light is turned down to come under a limit: a little to spare. */
const spare = 0.9;

/** Turned down to so many hundredths, from a little to much. */
const levels = (share: number): readonly number[] => [
  ...new Set([share, share * 0.85].map((level) => Math.max(1, Math.floor(level * 100)) / 100)),
];

/** Turned down: after dark alone where it has daylight to stand against, else for good. */
const dim = (results: AssemblyResults, lit: number, limit: number): Remedy => {
  const { power, brief } = results.design;
  const atNight = surroundingsOf(brief) !== 'indoors';
  const now = (atNight ? power.nightLevel : power.level) ?? 1;
  // As it is set by day; after dark it draws the share of that which it is turned down to.
  const watts = results.circuit.setWatts * (atNight ? now : 1);
  const candidates = levels((now * spare * limit) / lit).map((level): Candidate => ({
    label: `Turn it down to ${Math.round(level * 100)} %${atNight ? ' after dark' : ''}, ${Math.round(watts * (1 - level / now))} W less`,
    change: [set(atNight ? inDesign.power.nightLevel : inDesign.power.level, level)],
  }));
  return { id: 'turn-down', candidates };
};

/** How a build tells what is seen of its light, and has less of it. */
export interface Brightness<Results extends AssemblyResults> {
  /** Mean luminance of what is judged as the sign (cd/m²). */
  readonly of: (results: Results) => number;
  readonly lit: string;
  readonly less: (results: Results, catalogue: Catalogue) => readonly Remedy[];
}

/**
 * Brighter than the place takes: neighbours complain, eyes tire, watts are wasted. After dark by the usual limits of the
 * surroundings, indoors by the white wall beside the sign.
 */
export const tooBright =
  <Results extends AssemblyResults>({ of, lit, less }: Brightness<Results>): Rule<Results> =>
  ({ results, catalogue }) => {
    const { brief } = results.design;
    const limit = brightnessLimit(brief);
    const shown = (tried: Results): number => of(tried) * nightLevelOf(tried);
    const now = shown(results);
    if (now <= limit) return null;
    const where = surroundingsOf(brief);
    const { strip } = results.materials;
    const weaker = suitableStrips(results, catalogue)
      .filter(({ lumensPerM, voltageV }) => lumensPerM < strip.lumensPerM && voltageV === strip.voltageV)
      .sort((a, b) => b.lumensPerM - a.lumensPerM);
    return {
      id: 'too-bright',
      severity: 'fix',
      step: 'light',
      what: `Too bright ${placeWords[where]}`,
      why:
        where === 'indoors'
          ? `${lit} has ${Math.round(now)} cd/m²; more than ${Math.round(limit)} dazzles beside a white wall in this light (20 times the wall, typical).`
          : `${lit} has ${Math.round(now)} cd/m² after dark; ${limit} is the usual most ${placeWords[where]} (typical; local rules decide).`,
      numbers: [
        { label: where === 'indoors' ? 'luminance' : 'after dark', value: Math.round(now), unit: 'cd/m²' },
        { label: 'usual most', value: Math.round(limit), unit: 'cd/m²' },
      ],
      where: wholeFront(results),
      target: {
        label: 'luminance',
        better: 'lower',
        unit: 'cd/m²',
        read: (tried) => Math.round(shown(tried)),
        settled: (tried) => shown(tried) <= limit,
      },
      remedies: [dim(results, now, limit), changeStrip(results, weaker), ...less(results, catalogue)],
    };
  };

/** How a build that is too dim is told and mended. */
export interface Dimness<Results extends AssemblyResults> {
  readonly where: (results: Results) => Place;
  /** More to know, in a sentence of its own. */
  readonly besides?: string;
  /** What a build has beside a brighter strip, which comes first. */
  readonly remedies: (results: Results, catalogue: Catalogue) => readonly Remedy[];
}

const litRatio = ({ glow, design }: AssemblyResults): number =>
  glow.daylight.find(({ ambient }) => ambient === design.brief.ambient)?.litOverUnlit ?? 0;

/** Too dim against the light of the place to read as lit. */
export const tooDim =
  <Results extends AssemblyResults>({ where, besides, remedies }: Dimness<Results>): Rule<Results> =>
  ({ results, catalogue }) => {
    const ratio = litRatio(results);
    if (ratio >= readsAsLit) return null;
    const { materials, design } = results;
    const brighter = suitableStrips(results, catalogue)
      .filter(({ lumensPerM }) => lumensPerM > materials.strip.lumensPerM)
      .sort((a, b) => a.lumensPerM - b.lumensPerM);
    return {
      id: 'too-dim',
      severity: 'fix',
      step: 'face',
      what: `Too dim to read as lit in ${ambientWords[design.brief.ambient]}`,
      why: `Lit it is ${ratio.toFixed(2)} times as bright as unlit; ${readsAsLit} is the usual least (typical).${besides === undefined ? '' : ` ${besides}`}`,
      numbers: [
        { label: 'lit to unlit', value: ratio, unit: ': 1' },
        { label: 'luminance', value: results.glow.evenness.meanCdM2, unit: 'cd/m²' },
      ],
      where: where(results),
      target: {
        label: 'lit to unlit',
        better: 'higher',
        unit: ': 1',
        read: litRatio,
        settled: (tried) => litRatio(tried) >= readsAsLit,
      },
      remedies: [changeStrip(results, brighter), ...remedies(results, catalogue)],
    };
  };
