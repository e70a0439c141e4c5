import type { Evaluation } from '../evaluate/index.js';
import { boxStripTemplate } from './box-template.js';
import { drillTemplate, haloStripTemplate } from './halo-templates.js';
import { tiledPdf, type Paper, type Template } from './tiled-pdf.js';

/** The templates of a piece, by the name of their file. */
export const templatesOf = (evaluation: Evaluation): Readonly<Record<string, Template>> =>
  evaluation.build === 'lightbox'
    ? { 'strip-template': boxStripTemplate(evaluation) }
    : { 'drill-template': drillTemplate(evaluation), 'strip-template': haloStripTemplate(evaluation) };

/** The strip template of a piece as PDF, 1:1 in tiles. */
export const templatePdf = (evaluation: Evaluation, paper: Paper): Promise<Uint8Array> =>
  tiledPdf(templatesOf(evaluation)['strip-template']!, paper);
