import type { Evaluation } from '../../sign/evaluate/index.js';
import { boxStripTemplate } from './box-template.js';
import { cansStripTemplate, drillTemplate, haloStripTemplate } from './letter-templates.js';
import { tiledPdf, type Paper, type Template } from './tiled-pdf.js';

/** The templates of a piece, by the name of their file. */
export const templatesOf = (evaluation: Evaluation): Readonly<Record<string, Template>> => {
  switch (evaluation.build) {
    case 'lightbox':
      return { 'strip-template': boxStripTemplate(evaluation) };
    case 'halo':
      return { 'drill-template': drillTemplate(evaluation), 'strip-template': haloStripTemplate(evaluation) };
    case 'face-lit':
      return { 'strip-template': cansStripTemplate(evaluation) };
  }
};

/** The strip template of a piece as PDF, 1:1 in tiles. */
export const templatePdf = (evaluation: Evaluation, paper: Paper): Promise<Uint8Array> =>
  tiledPdf(templatesOf(evaluation)['strip-template']!, paper);
