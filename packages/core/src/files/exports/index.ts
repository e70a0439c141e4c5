import { carePdf } from './care-pdf.js';
import { careSheetOf } from './care-sheet.js';
import { encode } from 'fast-png';
import { strToU8, zipSync } from 'fflate';
import { buildOf } from '../../builds/index.js';
import { printDesign } from '../../document/design/index.js';
import { stlOf } from '../../making/solids/index.js';
import { scaledPdf, tiledPdf } from '../../making/templates/index.js';
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
import { toolpathPart } from './toolpath.js';
import { labelsPdf, wiringPdf } from './wiring-pdf.js';

export { fileName, type PackFile } from './file-name.js';
export { lightMaps, lightZip, luminanceCsv, luminancePfm, luminancePng16 } from './light-maps.js';
export { partDxf } from './dxf.js';
export { partDxfR12 } from './dxf-r12.js';
export { filmPart } from './film.js';
export { partPdf } from './part-pdf.js';
export { sheetDrawing, sheetsPdf, sheetsToCut, type SheetToCut } from './sheet-layouts.js';
export { partsCsv, stripCsv, wiringCsv } from './parts-csv.js';
export { stepsPdf } from './steps-pdf.js';
export { carePdf } from './care-pdf.js';
export { careDatesOf, careSheetOf, type CareDate, type CareSheet } from './care-sheet.js';
export { litPng } from './png.js';
export { partSvg, pathData } from './svg.js';
export { endLabels, labelsPdf, wiringPdf } from './wiring-pdf.js';
export { drawingsOf, templatePdf, templatesOf } from './template-pdf.js';
export { checkSquareMm, tiledPdf, type Paper, type Template } from '../../making/templates/index.js';

const litViewPx = 1200;

const templateFiles = (evaluation: Evaluation): Promise<readonly PackFile[]> =>
  Promise.all(
    Object.entries(templatesOf(evaluation)).flatMap(([name, template]) =>
      (['a4', 'letter'] as const).map(async (paper) => ({
        path: `${name}-${paper}.pdf`,
        bytes: await tiledPdf(template, paper),
      })),
    ),
  );

const drawingFiles = (evaluation: Evaluation): Promise<readonly PackFile[]> =>
  Promise.all(
    Object.entries(drawingsOf(evaluation)).flatMap(([name, drawing]) =>
      (['a4', 'letter'] as const).map(async (paper) => ({
        path: `drawings/${name}-${paper}.pdf`,
        bytes: await scaledPdf(drawing, paper),
      })),
    ),
  );

/** The wiring plan and the labels of its ends, for both papers. */
const wiringFiles = (evaluation: Evaluation): Promise<readonly PackFile[]> =>
  Promise.all(
    (['a4', 'letter'] as const).flatMap((paper) => [
      wiringPdf(evaluation, paper).then((bytes) => ({ path: `wiring-${paper}.pdf`, bytes })),
      labelsPdf(evaluation, paper).then((bytes) => ({ path: `labels-${paper}.pdf`, bytes })),
    ]),
  );

const drawings = (folder: string, part: CutPart): readonly PackFile[] => [
  { path: `${folder}/${part.id}.svg`, bytes: strToU8(partSvg(part)) },
  { path: `${folder}/${part.id}.dxf`, bytes: strToU8(partDxf(part)) },
  { path: `${folder}/release-12/${part.id}.dxf`, bytes: strToU8(partDxfR12(part)) },
];

/** Parts of the sign as drawn; and where a tool has a width, what it cuts once more with lines where the middle of its cut runs. */
const partFiles = ({ parts, assemblies }: Evaluation): readonly PackFile[] => [
  ...parts.cut.flatMap((part) => drawings('parts', part)),
  ...assemblies.flatMap((own) => {
    const { cutMm } = own.materials.tool;
    const { cutByTool } = buildOf(own).work;
    const prefix = own.label === '' ? '' : `${own.id}-`;
    return cutMm > 0
      ? own.cut
          .filter(cutByTool)
          .flatMap((part) =>
            drawings('toolpaths', toolpathPart({ ...part, id: `${prefix}${part.id}` }, part.kerfMm ?? cutMm)),
          )
      : [];
  }),
  // Test pieces are cut with the middle of the cut beside their lines, as the parts are.
  ...assemblies.flatMap((own) => {
    const { coupons } = buildOf(own).work;
    const prefix = own.label === '' ? '' : `${own.id}-`;
    return (coupons?.(own) ?? []).flatMap((part) => {
      const named = { ...part, id: `${prefix}${part.id}` };
      const cutMm = part.kerfMm ?? own.materials.tool.cutMm;
      return drawings('coupons', cutMm > 0 ? toolpathPart(named, cutMm) : named);
    });
  }),
];

/** Film once more for the plotter, with a border to weed to and marks, on one page. */
const filmFiles = async ({ parts }: Evaluation): Promise<readonly PackFile[]> =>
  (
    await Promise.all(
      parts.cut
        .filter(({ stock }) => stock === 'film')
        .map(async (part): Promise<readonly PackFile[]> => {
          const film = filmPart(part);
          const bytes = await partPdf(film);
          return [...drawings('film', film), ...(bytes === null ? [] : [{ path: `film/${film.id}.pdf`, bytes }])];
        }),
    )
  ).flat();

/** Each sheet and bar as a drawing, and all of them on paper. */
const layoutFiles = async (evaluation: Evaluation): Promise<readonly PackFile[]> => {
  const sheets = sheetsToCut(evaluation.packing);
  if (sheets.length === 0) return [];
  return [
    ...sheets.flatMap((sheet) => drawings('layouts', sheetDrawing(sheet))),
    { path: 'layouts/sheets-a4.pdf', bytes: await sheetsPdf(evaluation, 'a4') },
    { path: 'layouts/sheets-letter.pdf', bytes: await sheetsPdf(evaluation, 'letter') },
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
const faceFiles = ({ assemblies }: Evaluation): readonly PackFile[] =>
  assemblies.flatMap((own) => {
    const prefix = own.label === '' ? '' : `${own.id}-`;
    return (buildOf(own).work.workedFaces?.(own) ?? []).flatMap(({ part, raster }) => [
      ...drawings('engraving', { ...part, id: `${prefix}${part.id}` }),
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
const careFiles = async (evaluation: Evaluation): Promise<readonly PackFile[]> => {
  const sheet = careSheetOf(evaluation);
  const { quantity } = evaluation.design.brief;
  return [
    { path: 'care-sheet-a4.pdf', bytes: await carePdf(sheet, quantity, 'a4') },
    { path: 'care-sheet-letter.pdf', bytes: await carePdf(sheet, quantity, 'letter') },
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
export const benchPack = async (evaluation: Evaluation): Promise<readonly PackFile[]> => {
  const { design } = evaluation;
  return [
    { path: 'design.json', bytes: strToU8(printDesign(design)) },
    { path: 'parts.csv', bytes: strToU8(`\uFEFF${partsCsv(evaluation)}`) },
    { path: 'strip-plan.csv', bytes: strToU8(`\uFEFF${stripCsv(evaluation)}`) },
    { path: 'wiring.csv', bytes: strToU8(`\uFEFF${wiringCsv(evaluation)}`) },
    { path: 'lit-dusk.png', bytes: litPng(evaluation, 'evening', litViewPx) },
    ...(await careFiles(evaluation)),
    { path: 'build-steps-a4.pdf', bytes: await stepsPdf(evaluation, 'a4') },
    { path: 'build-steps-letter.pdf', bytes: await stepsPdf(evaluation, 'letter') },
    ...tableFiles(evaluation),
    ...(await templateFiles(evaluation)),
    ...(await drawingFiles(evaluation)),
    ...(await wiringFiles(evaluation)),
    ...(await layoutFiles(evaluation)),
    ...(await filmFiles(evaluation)),
    ...solidFiles(evaluation),
    ...faceFiles(evaluation),
    ...partFiles(evaluation),
  ];
};

/** The bench pack as one ZIP. Entries carry a fixed date, so that equal designs give equal files. */
export const benchZip = async (evaluation: Evaluation): Promise<Uint8Array> => {
  const folder = fileName(evaluation.design.name);
  const files = await benchPack(evaluation);
  return zipSync(Object.fromEntries(files.map(({ path, bytes }) => [`${folder}/${path}`, bytes])), {
    level: 6,
    mtime: '2020-01-01T00:00:00Z',
  });
};
