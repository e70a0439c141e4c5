import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { HaloResults } from './results.js';
import {
  changeStrip,
  oneChange,
  readsAsLit,
  suitableStrips,
  wholeFront,
  type Rule,
} from '../../judging/findings/index.js';
import { darkAlongEdge, evenAlongEdge } from '../../light/wall/index.js';
import { solidParts } from '../../base/outlines/index.js';
import { addLines, setCloser, setFartherIn } from '../letters/candidates.js';
import { disappoints } from '../common/ripple.js';
import { ambientWords, around, percent } from '../common/rule-words.js';
import { otherBoards, standFarther, standNearer } from './candidates.js';
import { isPrinted, printOf } from './printing.js';

const one = (value: number): number => Math.round(value * 10) / 10;

const hidden = ({ glow, design }: HaloResults): boolean =>
  glow.evenness.dotsVanishAtMm <= design.brief.readingDistanceMm;

/** LEDs show as scallops on the wall at the reading distance. */
export const scallopsShow: Rule<HaloResults> = ({ results, catalogue }) => {
  if (hidden(results) || results.runs.segments.length === 0) return null;
  const { dots } = results.glow.evenness;
  const { strip } = results.materials;
  const metres = results.design.brief.readingDistanceMm / 1000;
  return {
    id: 'dots-show',
    severity: disappoints(dots, false) ? 'fix' : 'note',
    step: 'light',
    what: `The LEDs show as scallops from ${metres} m`,
    why: `Contrast ${percent(dots.contrast)} % along the edge at the LED pitch; from there or farther the eye sees ${percent(dots.threshold)} %.`,
    numbers: [
      { label: 'contrast', value: percent(dots.contrast), unit: '%' },
      { label: 'seen from there', value: percent(dots.threshold), unit: '%' },
      { label: 'pitch', value: one(dots.pitchMm), unit: 'mm' },
      { label: 'vanishes beyond', value: dots.vanishesAtMm / 1000, unit: 'm' },
    ],
    where: around(dots.at, Math.max(20, 2 * dots.pitchMm)),
    target: {
      label: 'scallop contrast',
      better: 'lower',
      unit: '%',
      read: ({ glow }) => Math.round(glow.evenness.dotContrast * 10_000) / 100,
      settled: hidden,
    },
    remedies: [
      standFarther(results),
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ ledsPerM, voltageV }) => ledsPerM > strip.ledsPerM && voltageV === strip.voltageV)
          .sort((a, b) => a.ledsPerM - b.ledsPerM),
      ),
      setFartherIn(results),
    ],
  };
};

/** A glow that falls to half within this reads as a rim, not as a halo (mm); typical. */
const leastHalfMm = 5;
/** A glow that has not fallen to a tenth within this share of the letters’ height blurs them; typical. */
const widestShare = 0.6;
/** Beyond this nobody would call it a glow any more; typical. */
const runTogetherShare = 0.8;

const heightOf = ({ lettering }: HaloResults): number => {
  const parts = solidParts(lettering.outline);
  const heights = parts.map((part) => {
    const ys = part[0]!.map(([, y]) => y);
    return Math.max(...ys) - Math.min(...ys);
  });
  return heights.length === 0 ? 0 : heights.sort((a, b) => a - b)[heights.length >> 1]!;
};

/** The letters stand so close that hardly any glow gets out. */
export const glowTooNarrow: Rule<HaloResults> = ({ results }) => {
  const { glow, runs } = results;
  if (runs.segments.length === 0 || glow.halfMm >= leastHalfMm) return null;
  return {
    id: 'glow-too-narrow',
    severity: 'fix',
    step: 'case',
    what: 'The standoff is too small: the glow is a thin rim',
    why: `It falls to half within ${one(glow.halfMm)} mm of the edge; ${leastHalfMm} mm is the least that reads as a halo (typical).`,
    numbers: [{ label: 'to half', value: one(glow.halfMm), unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'glow to half',
      better: 'higher',
      unit: 'mm',
      read: (tried) => one(tried.glow.halfMm),
      settled: (tried) => tried.glow.halfMm >= leastHalfMm,
    },
    remedies: [standFarther(results), setFartherIn(results)],
  };
};

/** The glow is so wide that neighbouring letters run together. */
export const glowTooWide: Rule<HaloResults> = ({ results }) => {
  const { glow, runs } = results;
  const height = heightOf(results);
  const share = (tried: HaloResults): number => (height > 0 ? tried.glow.tenthMm / height : 0);
  if (runs.segments.length === 0 || share(results) <= widestShare) return null;
  return {
    id: 'glow-too-wide',
    severity: share(results) > runTogetherShare ? 'fix' : 'note',
    step: 'case',
    what: 'The glow is too wide for letters of this size',
    why: `It falls to a tenth only ${one(glow.tenthMm)} mm out, ${Math.round(share(results) * 100)} % of the height of a letter; beyond ${widestShare * 100} % the letters run together (typical).`,
    numbers: [
      { label: 'to a tenth', value: one(glow.tenthMm), unit: 'mm' },
      { label: 'letters high', value: one(height), unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'to a tenth',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(tried.glow.tenthMm),
      settled: (tried) => share(tried) <= widestShare,
    },
    remedies: [standNearer(results), setCloser(results)],
  };
};

/** Strip along the outline and farther than this from the edge, in LED heights, lights mostly hidden wall; typical. */
const farHeights = 1.6;
/** Strip along the middle has to bring at least this share of its light to where it is seen; typical. */
const leastSeenShare = 0.12;

const seenShare = ({ glow }: HaloResults): number => (glow.onWallLm > 0 ? glow.seenLm / glow.onWallLm : 1);

const staysBehind = (results: HaloResults): boolean =>
  results.assembly.light.layout === 'outline'
    ? results.assembly.light.setbackMm > farHeights * results.geometry.ledZMm
    : seenShare(results) < leastSeenShare;

/** The letter is so wide over its strip that most light stays behind it. */
export const letterTooWide: Rule<HaloResults> = ({ results }) => {
  const { glow, runs, assembly } = results;
  if (runs.segments.length === 0 || !staysBehind(results)) return null;
  const seen = (tried: HaloResults): number => percent(seenShare(tried));
  return {
    id: 'letter-too-wide',
    severity: 'fix',
    step: 'light',
    what: 'The letters are too wide for the glow: most of it stays behind them',
    why: `Only ${seen(results)} % of the light on the wall falls where it is seen; the strip lies too far from the edge for LEDs ${one(results.geometry.ledZMm)} mm over the wall.`,
    numbers: [
      { label: 'seen', value: seen(results), unit: '%' },
      { label: 'hidden', value: Math.round(glow.onWallLm - glow.seenLm), unit: 'lm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'light that is seen',
      better: 'higher',
      unit: '%',
      read: seen,
      settled: (tried) => !staysBehind(tried),
    },
    remedies: [
      setCloser(results),
      standFarther(results),
      ...(assembly.light.layout === 'outline'
        ? []
        : [oneChange('along-outline', 'Strip along the outline', fieldsIn(results).light.layout, 'outline')]),
    ],
  };
};

/** The edge is lit unevenly. */
export const edgeUneven: Rule<HaloResults> = ({ results, catalogue }) => {
  const { evenness } = results.glow;
  if (evenness.meanCdM2 <= 0 || evenness.minOverMean >= evenAlongEdge) return null;
  const { strip } = results.materials;
  const { light } = results.assembly;
  return {
    id: 'edge-uneven',
    severity: evenness.minOverMean < darkAlongEdge ? 'fix' : 'note',
    step: 'light',
    what: 'Part of the outline stays dark',
    why: `The darkest place along the edge has ${percent(evenness.minOverMean)} % of the mean; below ${evenAlongEdge * 100} % it is noticed (typical).`,
    numbers: [
      { label: 'darkest to mean', value: percent(evenness.minOverMean), unit: '%' },
      { label: 'darkest', value: Math.round(evenness.minCdM2), unit: 'cd/m²' },
    ],
    where: around(evenness.darkestAt, 40),
    target: {
      label: 'darkest to mean',
      better: 'higher',
      unit: '%',
      read: ({ glow }) => percent(glow.evenness.minOverMean),
      settled: ({ glow }) => glow.evenness.minOverMean >= evenAlongEdge,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ cutPitchMm, bendRadiusMm }) => cutPitchMm < strip.cutPitchMm || bendRadiusMm < strip.bendRadiusMm)
          .sort((a, b) => a.bendRadiusMm - b.bendRadiusMm),
      ),
      standFarther(results),
      setFartherIn(results),
      ...(light.layout === 'outline'
        ? []
        : [oneChange('along-outline', 'Strip along the outline', fieldsIn(results).light.layout, 'outline')]),
    ],
  };
};

const litRatio = ({ glow, design }: HaloResults): number =>
  glow.daylight.find(({ ambient }) => ambient === design.brief.ambient)?.litOverUnlit ?? 0;

/** The glow is lost in the light of the place. */
export const haloTooDim: Rule<HaloResults> = ({ results, catalogue }) => {
  const ratio = litRatio(results);
  if (ratio >= readsAsLit || results.runs.segments.length === 0) return null;
  const { materials, design } = results;
  const paler = catalogue.walls
    .filter(({ reflectanceRgb }) => reflectanceRgb[1] > materials.wall.reflectanceRgb[1])
    .sort((a, b) => a.reflectanceRgb[1] - b.reflectanceRgb[1]);
  return {
    id: 'too-dim',
    severity: 'fix',
    step: 'light',
    what: `The glow is lost in ${ambientWords[design.brief.ambient]}`,
    why: `At the edge the lit wall is ${ratio.toFixed(2)} times as bright as unlit; ${readsAsLit} is the usual least (typical). A paler wall reflects more of both.`,
    numbers: [
      { label: 'lit to unlit', value: Math.round(ratio * 100) / 100, unit: ': 1' },
      { label: 'at the edge', value: Math.round(results.glow.evenness.meanCdM2), unit: 'cd/m²' },
    ],
    where: wholeFront(results),
    target: {
      label: 'lit to unlit',
      better: 'higher',
      unit: ': 1',
      read: litRatio,
      settled: (tried) => litRatio(tried) >= readsAsLit,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ lumensPerM }) => lumensPerM > materials.strip.lumensPerM)
          .sort((a, b) => a.lumensPerM - b.lumensPerM),
      ),
      addLines(results),
      setCloser(results),
      {
        id: 'paler-wall',
        candidates: paler.map(({ id, name }) => ({
          label: `A backer: ${name.toLowerCase()}`,
          change: [set(fieldsIn(results).letters.wallId, id)],
        })),
      },
    ],
  };
};

/** Light through what should be opaque, as a share of the glow, above which it is seen; typical. */
const leakSeen = 0.03;
const leakShare = ({ glow }: HaloResults): number =>
  glow.evenness.meanCdM2 > 0
    ? Math.max(glow.leaks.throughReturnsCdM2, glow.leaks.throughFrontCdM2) / glow.evenness.meanCdM2
    : 0;

/** Thin walls glow through. */
export const lightLeaks: Rule<HaloResults> = ({ results, catalogue }) => {
  const share = leakShare(results);
  if (share <= leakSeen) return null;
  const { leaks } = results.glow;
  const { letters } = results.assembly;
  const returns = leaks.throughReturnsCdM2 >= leaks.throughFrontCdM2;
  const thicker = [1, 1.5, 2, 2.5, 3, 4, 5, 6].filter((mm) => mm > letters.wallMm);
  const { perimeters, solidLayers } = printOf(letters);
  const printed = isPrinted(results.materials.board);
  const solid = returns ? results.geometry.solid.returnMm : results.geometry.solid.frontMm;
  return {
    id: 'light-leaks',
    severity: 'fix',
    step: 'case',
    what: returns ? 'Light shines through the returns' : 'Light shines through the fronts',
    why: `${results.materials.board.name} lets ${percent(results.materials.board.passesPerMm ?? 0)} % through each millimetre, and there are ${one(solid)} mm of it: ${one(Math.max(leaks.throughReturnsCdM2, leaks.throughFrontCdM2))} cd/m² beside a glow of ${Math.round(results.glow.evenness.meanCdM2)} cd/m²; above ${leakSeen * 100} % of it is seen (typical).`,
    numbers: [{ label: 'of the glow', value: percent(share), unit: '%' }],
    where: wholeFront(results),
    target: {
      label: 'leak',
      better: 'lower',
      unit: '% of the glow',
      read: (tried) => percent(leakShare(tried)),
      settled: (tried) => leakShare(tried) <= leakSeen,
    },
    remedies: [
      ...(printed
        ? [
            returns
              ? {
                  id: 'more-perimeters',
                  candidates: [1, 2, 4, 8]
                    .map((more) => perimeters + more)
                    .map((count) => ({
                      label: `Print ${count} perimeters`,
                      change: [set(fieldsIn(results).letters.perimeters, count)],
                    })),
                }
              : {
                  id: 'more-solid-layers',
                  candidates: [solidLayers + 2, solidLayers + 4, solidLayers + 8].map((count) => ({
                    label: `Print ${count} solid layers on each side of the fronts`,
                    change: [set(fieldsIn(results).letters.solidLayers, count)],
                  })),
                },
          ]
        : []),
      ...(returns
        ? [
            {
              id: 'thicker-walls',
              candidates: thicker.map((mm) => ({
                label: `Returns ${mm} mm thick`,
                change: [set(fieldsIn(results).letters.wallMm, mm)],
              })),
            },
            ...(letters.back === 'open'
              ? [
                  oneChange(
                    'close-backs',
                    'Close the backs, strip outside on them',
                    fieldsIn(results).letters.back,
                    'closed',
                  ),
                ]
              : []),
          ]
        : []),
      otherBoards(
        results,
        catalogue,
        ({ passesPerMm }) => (passesPerMm ?? 0) < (results.materials.board.passesPerMm ?? 0),
        ({ price }) => price,
      ),
    ],
  };
};
