import { darkCorners, evenEnough, type Ripple } from '../../light/glow/index.js';
import type { FacedResults } from './results.js';
import { changeStrip, suitableStrips, type Remedy, type Rule } from '../../judging/findings/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import { changeFace, facesOnOffer, hiding } from './candidates.js';
import { coatLess, coatMore, sandFace } from './coat-candidates.js';
import { tooBright, tooDim } from '../common/brightness-rules.js';
import { disappoints } from '../common/ripple.js';
import { around, percent } from '../common/rule-words.js';

/** What a build with a face can do about its light. */
export interface FaceRemedies<Results extends FacedResults> {
  readonly deepen: (results: Results) => Remedy;
  readonly addRows: (results: Results) => Remedy;
  readonly dropRows: (results: Results) => Remedy;
  readonly closerEnds: (results: Results) => Remedy;
  readonly whiterLining: (results: Results, catalogue: Catalogue) => Remedy;
  /** Another sheet behind the face, where the build takes one; nothing else. */
  readonly secondSheet: (results: Results, catalogue: Catalogue) => readonly Remedy[];
}

const worseRipple = ({ glow }: FacedResults): { readonly ripple: Ripple; readonly rows: boolean } => {
  const { dots, bands } = glow.evenness;
  return bands !== null && bands.vanishesAtMm >= dots.vanishesAtMm
    ? { ripple: bands, rows: true }
    : { ripple: dots, rows: false };
};

const hidden = ({ glow, design }: FacedResults): boolean =>
  glow.evenness.dotsVanishAtMm <= design.brief.readingDistanceMm;

/** Individual LEDs or rows show through the face at the reading distance. */
export const dotsShow =
  <Results extends FacedResults>(remedies: FaceRemedies<Results>): Rule<Results> =>
  ({ results, catalogue }) => {
    if (hidden(results) || !results.glow.resolved) return null;
    const { ripple, rows } = worseRipple(results);
    const metres = results.design.brief.readingDistanceMm / 1000;
    const { materials } = results;
    const denser = suitableStrips(results, catalogue)
      .filter(({ ledsPerM, voltageV }) => ledsPerM > materials.strip.ledsPerM && voltageV === materials.strip.voltageV)
      .sort((a, b) => a.ledsPerM - b.ledsPerM);
    const stronger = facesOnOffer(results, catalogue)
      .filter(
        (face) =>
          hiding(face) > hiding(materials.face) ||
          (hiding(face) === hiding(materials.face) && face.reflectance > materials.face.reflectance),
      )
      .sort((a, b) => hiding(a) - hiding(b) || a.price - b.price);
    return {
      id: 'dots-show',
      severity: disappoints(ripple, rows) ? 'fix' : 'note',
      step: 'face',
      what: rows ? `The rows show as bands from ${metres} m` : `The LEDs show as dots from ${metres} m`,
      why: `Contrast ${percent(ripple.contrast)} % at the ${rows ? 'row' : 'LED'} pitch; from there or farther the eye sees ${percent(ripple.threshold)} %.`,
      numbers: [
        { label: 'contrast', value: percent(ripple.contrast), unit: '%' },
        { label: 'seen from there', value: percent(ripple.threshold), unit: '%' },
        { label: 'pitch', value: ripple.pitchMm, unit: 'mm' },
        { label: 'vanishes beyond', value: ripple.vanishesAtMm / 1000, unit: 'm' },
      ],
      where: around(ripple.at, Math.max(ripple.pitchMm, 20)),
      target: {
        label: rows ? 'band contrast' : 'dot contrast',
        better: 'lower',
        unit: '%',
        read: ({ glow }) => Math.round(glow.evenness.dotContrast * 10_000) / 100,
        settled: hidden,
      },
      remedies: [
        remedies.deepen(results),
        rows ? remedies.addRows(results) : changeStrip(results, denser),
        changeFace(results, stronger),
        sandFace(results, catalogue),
        coatMore(results, catalogue),
        ...remedies.secondSheet(results, catalogue),
      ],
    };
  };

/** Even, but too dim against the light of the place. */
export const faceTooDim = <Results extends FacedResults>(remedies: FaceRemedies<Results>): Rule<Results> =>
  tooDim<Results>({
    where: ({ glow }) => ({ view: 'front', rect: glow.grid.area }),
    remedies: (results, catalogue) => [
      remedies.addRows(results),
      changeFace(
        results,
        facesOnOffer(results, catalogue)
          .filter(({ transmittance }) => transmittance > results.materials.face.transmittance)
          .sort((a, b) => a.transmittance - b.transmittance),
      ),
      coatLess(results),
      remedies.whiterLining(results, catalogue),
    ],
  });

/** Brighter than the place takes. */
export const faceTooBright = <Results extends FacedResults>(remedies: FaceRemedies<Results>): Rule<Results> =>
  tooBright<Results>({
    of: ({ glow }) => glow.evenness.meanCdM2,
    lit: 'The face',
    less: (results, catalogue) => [
      remedies.dropRows(results),
      changeFace(
        results,
        facesOnOffer(results, catalogue)
          .filter(({ transmittance }) => transmittance < results.materials.face.transmittance)
          .sort((a, b) => b.transmittance - a.transmittance),
      ),
      coatMore(results, catalogue),
    ],
  });

/** Dark corners or ends. */
export const unevenCorners =
  <Results extends FacedResults>(remedies: FaceRemedies<Results>): Rule<Results> =>
  ({ results, catalogue }) => {
    const { evenness, grid } = results.glow;
    const { materials } = results;
    if (evenness.meanCdM2 <= 0 || evenness.minOverMean >= evenEnough) return null;
    const shorterCut = suitableStrips(results, catalogue).filter(
      ({ cutPitchMm, voltageV }) => cutPitchMm < materials.strip.cutPitchMm && voltageV === materials.strip.voltageV,
    );
    const corner = Math.max(20, Math.min(grid.area.width, grid.area.height) / 5);
    return {
      id: 'uneven-corners',
      severity: evenness.minOverMean < darkCorners ? 'fix' : 'note',
      step: 'light',
      what: results.runs.rowPitchMm === null ? 'The light does not reach everywhere' : 'The corners and ends stay dark',
      why: `The darkest place has ${percent(evenness.minOverMean)} % of the mean; below ${evenEnough * 100} % it is noticed (typical).`,
      numbers: [
        { label: 'darkest to mean', value: percent(evenness.minOverMean), unit: '%' },
        { label: 'darkest', value: evenness.minCdM2, unit: 'cd/m²' },
      ],
      where: around(evenness.darkestAt, Math.min(corner, grid.area.width)),
      target: {
        label: 'darkest to mean',
        better: 'higher',
        unit: '%',
        read: ({ glow }) => percent(glow.evenness.minOverMean),
        settled: ({ glow }) => glow.evenness.minOverMean >= evenEnough,
      },
      remedies: [
        remedies.closerEnds(results),
        remedies.addRows(results),
        remedies.whiterLining(results, catalogue),
        changeStrip(results, shorterCut),
        remedies.deepen(results),
      ],
    };
  };
