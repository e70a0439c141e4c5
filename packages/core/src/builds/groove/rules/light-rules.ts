import { changeStrip, suitableStrips, type Rule } from '../../../judging/findings/index.js';
import { luminanceOf } from '../../../light/colour/index.js';
import { gapToTellApart } from '../../../light/line/index.js';
import { carrierReflects } from '../carrier-looks.js';
import type { GrooveResults } from '../results.js';
import { mm, one, otherCovers, placeAt, scaled } from './common.js';

const metres = (value: number): string => `${(value / 1000).toFixed(1)} m`;
const dotsFrom = ({ glow }: GrooveResults): number => glow.evenness.dotsVanishAtMm;

/** Single LEDs show along the line from where it is read. */
export const dotsShow: Rule<GrooveResults> = ({ results, catalogue }) => {
  const { design, glow, materials, runs } = results;
  const { readingDistanceMm } = design.brief;
  if (dotsFrom(results) <= readingDistanceMm || runs.segments.length === 0) return null;
  const { strip, cover } = materials;
  const denser = suitableStrips(results, catalogue)
    .filter(({ ledsPerM, form }) => ledsPerM > strip.ledsPerM && form !== 'modules')
    .sort((a, b) => a.ledsPerM - b.ledsPerM);
  return {
    id: 'dots-show',
    severity: 'fix',
    step: 'face',
    what: `Single LEDs show from ${metres(readingDistanceMm)}`,
    why: `${mm(runs.ledPitchMm)} apart, ${cover === null ? 'bare in their groove' : `${mm(results.geometry.groove.overStripMm)} under ${cover.name.toLowerCase()}`}, they leave ${Math.round(100 * glow.way.dotContrast)} % of contrast; it is gone from ${metres(dotsFrom(results))} on.`,
    numbers: [
      { label: 'contrast', value: Math.round(1000 * glow.way.dotContrast) / 10, unit: '%' },
      { label: 'gone from', value: Math.round(dotsFrom(results) / 100) / 10, unit: 'm' },
    ],
    where: placeAt(results, glow.evenness.dots.at),
    target: {
      label: 'gone from',
      better: 'lower',
      unit: 'm',
      read: (tried) => Math.round(dotsFrom(tried) / 100) / 10,
      settled: (tried) => dotsFrom(tried) <= readingDistanceMm,
    },
    remedies: [
      otherCovers(results, catalogue, (each) => each !== null && each.overStripMm > (cover?.overStripMm ?? 0) - 3),
      changeStrip(results, denser),
    ],
  };
};

/** Darker than this by the mean a stretch of line is seen as a gap; typical. */
const gapShare = 0.5;
/** More of the lines without light than this disappoints; typical. */
const muchDark = 0.03;
const gapOf = ({ glow }: GrooveResults): number => glow.evenness.minOverMean;

/** A stretch of line stays dark: at a corner that is cut, at a crossing, at an end. */
export const darkGaps: Rule<GrooveResults> = ({ results, catalogue }) => {
  if (gapOf(results) >= gapShare || results.runs.segments.length === 0) return null;
  const { glow, materials, runs } = results;
  const { strip } = materials;
  const corners = runs.corners.length;
  return {
    id: 'dark-gaps',
    severity: glow.darkShare > muchDark ? 'fix' : 'note',
    step: 'face',
    what: 'A stretch of line stays dark',
    why: `There it has ${Math.round(100 * gapOf(results))} % of the mean: no strip lies in it.${corners > 0 ? ` ${corners} corner${corners === 1 ? ' is' : 's are'} sharper than it bends.` : ''} Below ${Math.round(100 * gapShare)} % it reads as a gap (typical).`,
    numbers: [
      { label: 'darkest to mean', value: Math.round(100 * gapOf(results)), unit: '%' },
      { label: 'of the lines without light', value: Math.round(1000 * glow.darkShare) / 10, unit: '%' },
      { label: 'darkest', value: Math.round(glow.evenness.minCdM2), unit: 'cd/m²' },
    ],
    where: placeAt(results, glow.evenness.darkestAt),
    target: {
      label: 'darkest to mean',
      better: 'higher',
      unit: '%',
      read: (tried) => Math.round(100 * gapOf(tried)),
      settled: (tried) => gapOf(tried) >= gapShare,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(
            ({ cutPitchMm, bendRadiusMm, form }) =>
              form !== 'modules' && (cutPitchMm < strip.cutPitchMm || bendRadiusMm < strip.bendRadiusMm),
          )
          .sort((a, b) => b.cutPitchMm - a.cutPitchMm),
      ),
      otherCovers(
        results,
        catalogue,
        (each) => each !== null && each.bendRadiusMm < results.geometry.groove.bendRadiusMm,
      ),
      scaled(results, [1.1, 1.25, 1.5]),
    ],
  };
};

/** How much brighter than the carrier beside them lines are, no darker than what room light makes of it. */
const contrastOf = ({ glow, design, assembly, materials }: GrooveResults): number => {
  const unlit = glow.daylight.find(({ ambient }) => ambient === design.brief.ambient);
  const ground =
    glow.carrierCdM2 + ((unlit?.lux ?? 1) * luminanceOf(carrierReflects(assembly.carrier, materials))) / Math.PI;
  return glow.evenness.meanCdM2 / Math.max(0.01, ground);
};

const gapShort = (results: GrooveResults): number => {
  const { geometry, design } = results;
  const { between } = geometry.walls;
  if (between === null || between.mm <= 0) return 0;
  // From lit edge to lit edge: what of the groove does not shine is part of the gap.
  const gap = between.mm + geometry.groove.widthMm - geometry.groove.litMm;
  return Math.max(0, gapToTellApart(design.brief.readingDistanceMm, contrastOf(results)) - gap);
};

/** Two lines melt into one from where they are read. */
export const linesMelt: Rule<GrooveResults> = ({ results, catalogue }) => {
  const short = gapShort(results);
  const { between } = results.geometry.walls;
  if (short <= 0.05 || between === null) return null;
  const { groove } = results.geometry;
  const { readingDistanceMm } = results.design.brief;
  const wanted = gapToTellApart(readingDistanceMm, contrastOf(results));
  return {
    id: 'lines-melt',
    severity: 'fix',
    step: 'artwork',
    what: `Two lines melt into one from ${metres(readingDistanceMm)}`,
    why: `They shine ${mm(between.mm + groove.widthMm - groove.litMm)} apart; from there the eye wants ${mm(wanted)} (2′${contrastOf(results) > 100 ? ', twice that where they dazzle' : ''}; typical).`,
    numbers: [
      { label: 'apart', value: one(between.mm + groove.widthMm - groove.litMm), unit: 'mm' },
      { label: 'wanted', value: one(wanted), unit: 'mm' },
    ],
    where: placeAt(results, between.at),
    target: {
      label: 'short by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(gapShort(tried)),
      settled: (tried) => gapShort(tried) <= 0.05,
    },
    remedies: [
      scaled(results, [1.1, 1.25, 1.5, 2]),
      otherCovers(results, catalogue, (cover) => cover !== null && cover.litMm < groove.litMm),
    ],
  };
};
