import type { FontBook } from '../artwork/lettering/index.js';
import type { Catalogue } from '../document/catalogue/index.js';
import type { StageResults } from '../sign/evaluate/types.js';
import type { Figure } from '../judging/figures/types.js';
import { rulesFor, type Rule } from '../judging/findings/index.js';
import type { GridLimits } from '../light/glow/index.js';
import type { Section } from '../light/section/index.js';
import { faceLit } from './face-lit/index.js';
import { halo } from './halo/index.js';
import { lightbox } from './lightbox/index.js';
import type { Pipeline } from './shared/types.js';

export { fromLeft } from './letters/parts.js';
export { wireHoleMm } from './shared/wire-routes.js';
export { middleSplit, pieceSuffix, splitLetter } from './letters/splits.js';

/** One pipeline that hands each design to the stages of its build. */
export const pipelinesOf = (catalogue: Catalogue, fonts: FontBook, limits: GridLimits): Pipeline => {
  const runs = {
    lightbox: lightbox.pipeline(catalogue, fonts, limits),
    halo: halo.pipeline(catalogue, fonts, limits),
    faceLit: faceLit.pipeline(catalogue, fonts, limits),
  };
  return (design, assembly) => {
    switch (assembly.build) {
      case 'lightbox':
        return runs.lightbox(design, assembly);
      case 'halo':
        return runs.halo(design, assembly);
      case 'face-lit':
        return runs.faceLit(design, assembly);
    }
  };
};

/** The checks that one build alone has; silent for the others. */
export const rulesOfBuilds: readonly Rule[] = [
  ...rulesFor('lightbox', lightbox.rules),
  ...rulesFor('halo', halo.rules),
  ...rulesFor('face-lit', faceLit.rules),
];

/** The figures of the tape, by the build. */
export const figuresOf = (results: StageResults): readonly Figure[] => {
  switch (results.build) {
    case 'lightbox':
      return lightbox.figures(results);
    case 'halo':
      return halo.figures(results);
    case 'face-lit':
      return faceLit.figures(results);
  }
};

/** The slice of a piece at x (mm right of the middle). */
export const sectionAt = (results: StageResults, xMm: number): Section => {
  switch (results.build) {
    case 'lightbox':
      return lightbox.sectionAt(results, xMm);
    case 'halo':
      return halo.sectionAt(results, xMm);
    case 'face-lit':
      return faceLit.sectionAt(results, xMm);
  }
};
