import { carePdf } from './care-pdf.js';
import { careSheetOf } from './care-sheet.js';
import { encode } from 'fast-png';
import { strToU8, zipSync } from 'fflate';
import { buildOf } from '../../builds/index.js';
import { printDesign } from '../../document/design/index.js';
import { coloursOf, type Catalogue, type LayerColours } from '../../document/catalogue/index.js';
import { lackingWords, withOwnFonts, type PaperFonts } from '../../making/paper/index.js';
import { stlOf } from '../../making/solids/index.js';
import { scaledPdf, tiledPdf } from '../../making/templates/index.js';
import { tidyPart } from '../../making/toolpaths/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { fileName, type PackFile } from './file-name.js';
import { partDxf } from './dxf.js';
import { partDxfR12 } from './dxf-r12.js';
import { filmPart } from './film.js';
import { partPdf } from './part-pdf.js';
import { withPixelSize } from './pixel-size.js';
import { csvOf, partsCsv, stripCsv, wiringCsv } from './parts-csv.js';
import { litPng } from './png.js';
import { stepsPdf } from './steps-pdf.js';
import { sheetDrawing, sheetsPdf, sheetsToCut } from './sheet-layouts.js';
import { partSvg } from './svg.js';
import { drawingsOf, templatesOf } from './template-pdf.js';
import { couponPaths, toolPaths } from './tool-paths.js';
import { labelsPdf, wiringPdf } from './wiring-pdf.js';

/** What a pack is made with beside its sign: the shop’s shelf, and the fonts for paper. */
export interface PackStuff {
  readonly catalogue: Catalogue;
  readonly fonts: PaperFonts;
}

/** The same while a pack is made: with the letters that the sign brings, and the colours of the shop. */
interface Making {
  readonly evaluation: Evaluation;
  readonly catalogue: Catalogue;
  readonly fonts: PaperFonts;
  readonly colours: LayerColours;
}

const papersOf = ['a4', 'letter'] as const;

const litViewPx = 1200;

const templateFiles = ({ evaluation, fonts }: Making): Promise<readonly PackFile[]> =>
  Promise.all(
    Object.entries(templatesOf(evaluation)).flatMap(([name, template]) =>
      papersOf.map(async (paper) => ({
        path: `${name}-${paper}.pdf`,
        bytes: await tiledPdf(template, paper, fonts),
      })),
    ),
  );

const drawingFiles = ({ evaluation, fonts }: Making): Promise<readonly PackFile[]> =>
  Promise.all(
    Object.entries(drawingsOf(evaluation)).flatMap(([name, drawing]) =>
      papersOf.map(async (paper) => ({
        path: `drawings/${name}-${paper}.pdf`,
        bytes: await scaledPdf(drawing, paper, fonts),
      })),
    ),
  );

/** The wiring plan and the labels of its ends, for both papers. */
const wiringFiles = ({ evaluation, fonts }: Making): Promise<readonly PackFile[]> =>
  Promise.all(
    papersOf.flatMap((paper) => [
      wiringPdf(evaluation, paper, fonts).then((bytes) => ({ path: `wiring-${paper}.pdf`, bytes })),
      labelsPdf(evaluation, paper, fonts).then((bytes) => ({ path: `labels-${paper}.pdf`, bytes })),
    ]),
  );

const drawings = ({ colours }: Making, folder: string, drawn: CutPart): readonly PackFile[] => {
  const part = tidyPart(drawn);
  return [
    { path: `${folder}/${part.id}.svg`, bytes: strToU8(partSvg(part, colours)) },
    { path: `${folder}/${part.id}.dxf`, bytes: strToU8(partDxf(part, colours)) },
    { path: `${folder}/release-12/${part.id}.dxf`, bytes: strToU8(partDxfR12(part, colours)) },
  ];
};

/** The same with a page at true size, where a page can be so large. */
const drawnAndPrinted = async (making: Making, folder: string, part: CutPart): Promise<readonly PackFile[]> => {
  const bytes = await partPdf(tidyPart(part), making.fonts, making.colours);
  return [...drawings(making, folder, part), ...(bytes === null ? [] : [{ path: `${folder}/${part.id}.pdf`, bytes }])];
};

/** Parts of the sign as drawn; and where a tool has a width, what it cuts once more with lines where the middle of its cut runs. */
const partFiles = (making: Making): readonly PackFile[] => [
  ...making.evaluation.parts.cut.flatMap((part) => drawings(making, 'parts', part)),
  ...toolPaths(making.evaluation, making.catalogue).flatMap((part) => drawings(making, 'toolpaths', part)),
  ...couponPaths(making.evaluation).flatMap((part) => drawings(making, 'coupons', part)),
];

/** Film once more for the plotter, with a border to weed to and marks, on one page. */
const filmFiles = async (making: Making): Promise<readonly PackFile[]> =>
  (
    await Promise.all(
      making.evaluation.parts.cut
        .filter(({ stock }) => stock === 'film')
        .map((part) => drawnAndPrinted(making, 'film', filmPart(part))),
    )
  ).flat();

/** Each sheet and bar as a drawing, and all of them on paper. */
const layoutFiles = async (making: Making): Promise<readonly PackFile[]> => {
  const { evaluation, fonts } = making;
  const sheets = sheetsToCut(evaluation.packing);
  if (sheets.length === 0) return [];
  return [
    ...(await Promise.all(sheets.map((sheet) => drawnAndPrinted(making, 'layouts', sheetDrawing(sheet))))).flat(),
    { path: 'layouts/sheets-a4.pdf', bytes: await sheetsPdf(evaluation, 'a4', fonts) },
    { path: 'layouts/sheets-letter.pdf', bytes: await sheetsPdf(evaluation, 'letter', fonts) },
  ];
};

/** What can be printed in three dimensions, as STL. */
const solidFiles = ({ assemblies }: Evaluation): readonly PackFile[] =>
  assemblies.flatMap((own) =>
    buildOf(own)
      .work.solids(own)
      .map(({ name, title, triangles }) => ({
        path: `print/${own.label === '' ? '' : `${own.id}-`}${name}.stl`,
        bytes: stlOf(triangles, title),
      })),
  );

/** What is worked into faces: every line and dot, and the picture for a machine that takes one. */
const faceFiles = (making: Making): readonly PackFile[] =>
  making.evaluation.assemblies.flatMap((own) => {
    const prefix = own.label === '' ? '' : `${own.id}-`;
    return (buildOf(own).work.workedFaces?.(own) ?? []).flatMap(({ part, raster }) => [
      ...drawings(making, 'engraving', { ...part, id: `${prefix}${part.id}` }),
      ...(raster === null
        ? []
        : [
            {
              path: `engraving/${prefix}${part.id}-${Math.round(raster.dotsPerInch)}dpi.png`,
              bytes: withPixelSize(
                encode({ width: raster.columns, height: raster.rows, data: raster.pixels, channels: 1, depth: 8 }),
                raster.dotsPerInch,
              ),
            },
          ]),
    ]);
  });

/** What goes to whoever owns the sign. */
const careFiles = async ({ evaluation, fonts }: Making): Promise<readonly PackFile[]> => {
  const sheet = careSheetOf(evaluation);
  const { quantity } = evaluation.design.brief;
  return [
    { path: 'care-sheet-a4.pdf', bytes: await carePdf(sheet, quantity, 'a4', fonts) },
    { path: 'care-sheet-letter.pdf', bytes: await carePdf(sheet, quantity, 'letter', fonts) },
  ];
};

/** Lists that a build has of its own. */
const tableFiles = ({ assemblies }: Evaluation): readonly PackFile[] =>
  assemblies.flatMap((own) =>
    Object.entries(buildOf(own).work.tables?.(own) ?? {}).map(([name, rows]) => ({
      path: `${own.label === '' ? '' : `${own.id}-`}${name}.csv`,
      bytes: strToU8(`\uFEFF${csvOf(rows)}`),
    })),
  );

/** Everything that goes to the bench: SVG and DXF of each part, templates, lists, the design, the lit view. */
export const benchPack = async (evaluation: Evaluation, stuff: PackStuff): Promise<readonly PackFile[]> => {
  const { design } = evaluation;
  const { catalogue } = stuff;
  const fonts = withOwnFonts(stuff.fonts, design);
  const making: Making = { evaluation, catalogue, fonts, colours: coloursOf(catalogue.rates.machineColours) };
  return [
    { path: 'design.json', bytes: strToU8(printDesign(design)) },
    { path: 'parts.csv', bytes: strToU8(`\uFEFF${partsCsv(evaluation)}`) },
    { path: 'strip-plan.csv', bytes: strToU8(`\uFEFF${stripCsv(evaluation)}`) },
    { path: 'wiring.csv', bytes: strToU8(`\uFEFF${wiringCsv(evaluation)}`) },
    { path: 'lit-dusk.png', bytes: litPng(evaluation, 'evening', litViewPx) },
    ...(await careFiles(making)),
    { path: 'build-steps-a4.pdf', bytes: await stepsPdf(evaluation, 'a4', fonts) },
    { path: 'build-steps-letter.pdf', bytes: await stepsPdf(evaluation, 'letter', fonts) },
    ...tableFiles(evaluation),
    ...(await templateFiles(making)),
    ...(await drawingFiles(making)),
    ...(await wiringFiles(making)),
    ...(await layoutFiles(making)),
    ...(await filmFiles(making)),
    ...solidFiles(evaluation),
    ...faceFiles(making),
    ...partFiles(making),
  ];
};

/** The files of a pack as one ZIP, in a folder by the name of the sign. Entries carry a fixed date, so that equal designs give equal files. */
export const packZip = ({ design }: Pick<Evaluation, 'design'>, files: readonly PackFile[]): Uint8Array => {
  const folder = fileName(design.name);
  return zipSync(Object.fromEntries(files.map(({ path, bytes }) => [`${folder}/${path}`, bytes])), {
    level: 6,
    mtime: '2020-01-01T00:00:00Z',
  });
};

/** The bench pack as one ZIP. */
export const benchZip = async (evaluation: Evaluation, stuff: PackStuff): Promise<Uint8Array> =>
  packZip(evaluation, await benchPack(evaluation, stuff));

/** What the files of a pack cannot say, in a sentence; null where they say all. */
export const packNote = (design: Evaluation['design'], { fonts }: Pick<PackStuff, 'fonts'>): string | null =>
  lackingWords(design, withOwnFonts(fonts, design));
