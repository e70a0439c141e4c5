import type { FontBook } from '../artwork/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { StageResults } from '../evaluate/types.js';
import type { Figure } from '../figures/types.js';
import { rulesFor, type Rule } from '../findings/index.js';
import type { GridWish } from '../glow/index.js';
import type { Section } from '../section/index.js';
import { faceLit } from './face-lit/index.js';
import { halo } from './halo/index.js';
import { lightbox } from './lightbox/index.js';
import type { Pipeline } from './types.js';

export { fromLeft } from './letter-parts.js';
export { wireHoleMm } from './wire-routes.js';
export { middleSplit, pieceSuffix, splitLetter } from './letter-splits.js';

/** One pipeline that hands each design to the stages of its build. */
export const pipelinesOf = (catalogue: Catalogue, fonts: FontBook, wish: GridWish): Pipeline => {
  const runs = {
    lightbox: lightbox.pipeline(catalogue, fonts, wish),
    halo: halo.pipeline(catalogue, fonts, wish),
    faceLit: faceLit.pipeline(catalogue, fonts, wish),
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
