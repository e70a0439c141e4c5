import { changeStrip, suitableStrips, type Rule } from '../../../judging/findings/index.js';
import { thresholdFrom } from '../../../light/glow/index.js';
import { placeAt, middleOf, mm, percent } from '../../common/rule-words.js';
import { addLoop, bothSides, fartherFromBand, filmUnderLid, liftLid, narrowerWall, whiterRoom } from '../candidates.js';
import { leastWallMm } from '../held-at.js';
import type { GlowingBand } from '../glow.js';
import type { StackedResults } from '../results.js';

/** Letters of which more than this is below half their mean look blotched (typical). */
const leastDim = 0.06;
const dimPercent = ({ glow }: StackedResults): number => Math.round(1000 * glow.dimShare) / 10;

/** Letters near the strip are bright, those in the middle dim, or the other way round. */
export const lettersUneven: Rule<StackedResults> = ({ results, catalogue }) => {
  const { glow, geometry } = results;
  if (glow.dimShare <= leastDim) return null;
  return {
    id: 'letters-uneven',
    severity: 'fix',
    step: 'face',
    what: 'Letters are lit unevenly',
    why: `${dimPercent(results)} % of them have less than half of their mean of ${Math.round(glow.lettersCdM2)} cd/m²: in a room only ${mm(geometry.roomMm)} high light falls off fast on its way from the strip.`,
    numbers: [
      { label: 'below half the mean', value: dimPercent(results), unit: '%' },
      { label: 'dimmest', value: Math.round(glow.evenness.minCdM2), unit: 'cd/m²' },
      { label: 'mean', value: Math.round(glow.lettersCdM2), unit: 'cd/m²' },
    ],
    where: placeAt(glow.evenness.darkestAt, 20),
    target: {
      label: 'below half the mean',
      unit: '%',
      better: 'lower',
      read: dimPercent,
      settled: (tried) => tried.glow.dimShare <= leastDim,
    },
    remedies: [
      liftLid(results),
      whiterRoom(results, catalogue),
      bothSides(results),
      fartherFromBand(results),
      filmUnderLid(results, catalogue),
    ],
  };
};

/** A pitch along a band shows where its contrast is over what the eye sees from the reading distance, and over what it forgives. */
const forgiven = 0.04;

const seenFrom = ({ ripple, meanCdM2 }: GlowingBand, { design, runs, geometry }: StackedResults): boolean => {
  const faceMm = Math.sqrt(geometry.bounds.width * Math.max(3, geometry.roomMm));
  const threshold = thresholdFrom(
    { pitchMm: runs.ledPitchMm, luminance: meanCdM2, faceMm },
    design.brief.readingDistanceMm,
  );
  return ripple > Math.max(forgiven, 1.5 * threshold);
};

const dotted = (results: StackedResults): readonly GlowingBand[] =>
  results.glow.bands.filter((band) => seenFrom(band, results));

const strongest = (results: StackedResults): number =>
  Math.max(0, ...results.glow.bands.map(({ ripple }) => percent(ripple)));

/** LEDs show as dots along the glowing edge. */
export const bandDots: Rule<StackedResults> = ({ results, catalogue }) => {
  const [first] = dotted(results);
  if (first === undefined) return null;
  const { runs, materials, assembly } = results;
  const denser = suitableStrips(results, catalogue)
    .filter(({ ledsPerM, voltageV }) => ledsPerM > materials.strip.ledsPerM && voltageV === materials.strip.voltageV)
    .sort((a, b) => a.ledsPerM - b.ledsPerM);
  return {
    id: 'band-dots',
    severity: 'fix',
    step: 'light',
    what: 'LEDs show along the glowing edge',
    why: `LEDs ${mm(runs.ledPitchMm)} apart ripple by ${percent(first.ripple)} % on ring ${first.index + 1}${assembly.light.facing === 'in' ? '' : `, ${mm(assembly.light.fromWallMm ?? 0)} from them`}: they stand too near for light to run together before it meets the ring.`,
    numbers: [
      { label: 'contrast', value: percent(first.ripple), unit: '%' },
      { label: 'LED pitch', value: Math.round(10 * runs.ledPitchMm) / 10, unit: 'mm' },
    ],
    where: placeAt(first.brightestAt, 20),
    target: {
      label: 'contrast',
      unit: '%',
      better: 'lower',
      read: strongest,
      settled: (tried) => dotted(tried).length === 0,
    },
    remedies: [fartherFromBand(results), changeStrip(results, denser)],
  };
};

/** A band is to be seen beside lit letters: with less than this share of their luminance it looks unlit (typical). */
const leastShare = 0.03;
/** And it is not worth its ring below this (cd/m²), in a lit room. */
const leastCdM2 = 8;

const dimmestBand = ({ glow }: StackedResults): GlowingBand | null =>
  [...glow.bands].sort((a, b) => a.meanCdM2 - b.meanCdM2)[0] ?? null;

const bandWanted = ({ glow }: StackedResults): number => Math.max(leastCdM2, leastShare * glow.lettersCdM2);

/** A band that hardly glows. */
export const bandDim: Rule<StackedResults> = ({ results, catalogue }) => {
  const band = dimmestBand(results);
  if (band === null || band.meanCdM2 >= bandWanted(results)) return null;
  const { geometry, room, lid } = results;
  return {
    id: 'band-dim',
    severity: 'note',
    step: 'light',
    what: `Ring ${band.index + 1} hardly glows`,
    why: `Its edge has ${band.meanCdM2.toFixed(1)} cd/m²; beside these letters it wants ${Math.round(bandWanted(results))}. ${mm(geometry.wallMm)} of its opal pass ${percent(room.bands[band.index]!.passes)} % of the light on its inside.`,
    numbers: [
      { label: 'edge', value: Math.round(10 * band.meanCdM2) / 10, unit: 'cd/m²' },
      { label: 'wanted', value: Math.round(bandWanted(results)), unit: 'cd/m²' },
    ],
    where: placeAt(lid.pockets.length === 0 ? [0, 0] : middleOf(lid.pockets), 40),
    target: {
      label: 'edge',
      unit: 'cd/m²',
      better: 'higher',
      read: (tried) => Math.round(10 * (dimmestBand(tried)?.meanCdM2 ?? 0)) / 10,
      settled: (tried) => (dimmestBand(tried)?.meanCdM2 ?? Infinity) >= bandWanted(tried),
    },
    remedies: [
      narrowerWall(results, leastWallMm),
      addLoop(results),
      fartherFromBand(results),
      whiterRoom(results, catalogue),
    ],
  };
};
