import { buildOf } from '../../builds/index.js';
import { hangTemplates, wallTemplate } from '../../making/hanging/index.js';
import type { PaperFonts } from '../../making/paper/index.js';
import { tiledPdf, type Paper, type Template } from '../../making/templates/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

/** The templates of a sign, by the name of their file; those of several assemblies named by each. */
export const templatesOf = ({
  assemblies,
  bounds,
  design,
}: Pick<Evaluation, 'assemblies' | 'bounds' | 'design'>): Readonly<Record<string, Template>> => {
  const wall = wallTemplate(
    design.name,
    bounds,
    assemblies.flatMap(({ hang }) => hang ?? []),
  );
  return {
    ...Object.fromEntries(
      assemblies.flatMap((own) =>
        Object.entries({
          ...buildOf(own).work.templates(own),
          ...hangTemplates(design.name, own.hang),
        }).map(([name, template]) => [own.label === '' ? name : `${own.id}-${name}`, template]),
      ),
    ),
    ...(wall === null ? {} : { 'wall-template': wall }),
  };
};

/** Drawings of a sign to send to others, by the name of their file. */
export const drawingsOf = ({ assemblies }: Pick<Evaluation, 'assemblies'>): Readonly<Record<string, Template>> =>
  Object.fromEntries(
    assemblies.flatMap((own) =>
      Object.entries(buildOf(own).work.drawings?.(own) ?? {}).map(([name, drawing]) => [
        own.label === '' ? name : `${own.id}-${name}`,
        drawing,
      ]),
    ),
  );

/** The strip template of an assembly as PDF, 1:1 in tiles. */
export const templatePdf = (
  own: Evaluation['assemblies'][number],
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> => tiledPdf(buildOf(own).work.templates(own)['strip-template']!, paper, fonts);
