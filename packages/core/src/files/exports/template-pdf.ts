import { buildOf } from '../../builds/index.js';
import { tiledPdf, type Paper, type Template } from '../../making/templates/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

/** The templates of a sign, by the name of their file; those of several assemblies named by each. */
export const templatesOf = ({ assemblies }: Pick<Evaluation, 'assemblies'>): Readonly<Record<string, Template>> =>
  Object.fromEntries(
    assemblies.flatMap((own) =>
      Object.entries(buildOf(own).work.templates(own)).map(([name, template]) => [
        own.label === '' ? name : `${own.id}-${name}`,
        template,
      ]),
    ),
  );

/** The strip template of an assembly as PDF, 1:1 in tiles. */
export const templatePdf = (own: Evaluation['assemblies'][number], paper: Paper): Promise<Uint8Array> =>
  tiledPdf(buildOf(own).work.templates(own)['strip-template']!, paper);
