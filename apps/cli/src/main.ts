import { mkdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { parseArgs } from 'node:util';
import {
  applyChange,
  asArtwork,
  benchPack,
  createEvaluator,
  createJudge,
  shelfFor,
  demoDesigns,
  evaluate,
  fieldsOf,
  fileName,
  finish,
  fullGrid,
  lightMaps,
  maxDesignCharacters,
  packNote,
  packZip,
  parseDesign,
  parseLength,
  printDesign,
  problemLine,
  set,
  shippedCatalogue,
  solveSign,
  takeDrawing,
  usualIntake,
  type AnyAssembly,
  type Catalogue,
  type Design,
  type Evaluation,
  type PackFile,
  type Problem,
  type Result,
  drawingText,
  isPdf,
  pdfAsSvg,
  pictureOfJpeg,
  pictureOfPng,
  type DrawingFile,
} from '@vitrum/core';
import { UsageError } from './usage-error.js';
import { paperFonts, shippedFonts } from './fonts.js';
import { evaluationJson, evaluationText, findingsText, unknownFieldsText } from './report.js';
import { newFromAnswers } from './new-job.js';
import { readShelf, shelfText } from './shelf.js';
import { processTerminal, type Terminal } from './terminal.js';

const usage = `vitrum: illuminated signs, evaluated without a screen

  vitrum new BUILD --says TEXT [--width W --height H | --cap H] [--from DISTANCE] [--outdoors]
                                  [--surroundings country|low|town|city]
                                  a new design, solved; what was chosen is told beside it
  vitrum solve FILE [--of ID]     the design with strip, depth, faces and supplies chosen anew;
                                  what was set by hand since it was last solved is kept
  vitrum evaluate FILE [--json] [--fixes]
                                  figures and findings of a design; with their fixes on request
  vitrum apply FILE FIX           the design with a fix applied, named as evaluate --fixes names it:
                                  FINDING/FIX
  vitrum shelf [KIND]             the ids of the catalogue, all or of one kind
  vitrum export FILE --to DIR     SVG, PDF, CSV, PNG and a ZIP of all
  vitrum light FILE --to DIR      the luminance map in full: PNG, CSV, 16-bit PNG, PFM
  vitrum check FILE               exit code 1 when something stops the build
  vitrum artwork FILE --drawing SVG|DXF|PDF|PNG|JPEG [--width LENGTH] [--gap LENGTH] [--layers A,B]
                 [--page NUMBER] [--of ID]
                                  the design with the drawing in the place of the text of its
                                  assembly, told by its id where there are several
  vitrum demo NAME                print a demo design: ${Object.keys(demoDesigns).join(', ')}

FILE may be - for standard input. --shelf FILE takes a catalogue of your own, as JSON lists by kind
like those that vitrum shelf --json prints; what it leaves out is as shipped.
`;

interface Options {
  readonly json?: boolean | undefined;
  readonly to?: string | undefined;
  readonly drawing?: string | undefined;
  readonly width?: string | undefined;
  readonly gap?: string | undefined;
  readonly page?: string | undefined;
  readonly layers?: string | undefined;
  readonly of?: string | undefined;
  readonly fixes?: boolean | undefined;
  readonly shelf?: string | undefined;
  readonly says?: string | undefined;
  readonly height?: string | undefined;
  readonly cap?: string | undefined;
  readonly from?: string | undefined;
  readonly outdoors?: boolean | undefined;
  readonly surroundings?: string | undefined;
}

const fail = (problems: readonly Problem[], file: string): never => {
  throw new UsageError(problems.map((problem) => `${file}: ${problemLine(problem)}`).join('\n'));
};

const readText = async (file: string, { input }: Terminal): Promise<string> => {
  if (file !== '-') return readFile(file, 'utf8');
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of input) {
    size += chunk.length;
    if (size > maxDesignCharacters * 4) break;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
};

const unreadable =
  (file: string) =>
  (error: NodeJS.ErrnoException): never => {
    throw new UsageError(`${file}: cannot be read (${error.code ?? error.message})`);
  };

const valueOr = <T>(result: Result<T>, file: string): T => (result.ok ? result.value : fail(result.problems, file));

const loadDesign = async (file: string | undefined, terminal: Terminal): Promise<Design> => {
  if (file === undefined) throw new UsageError('name the design file');
  return valueOr(parseDesign(await readText(file, terminal).catch(unreadable(file))), file);
};

/** The catalogue that is told, else the one that ships; what of it cannot be used is told. */
const catalogueOf = async ({ shelf }: Options, terminal: Terminal): Promise<Catalogue> =>
  shelf === undefined ? shippedCatalogue : readShelf(shelf, await readText(shelf, terminal).catch(unreadable(shelf)));

/** Without its fixes unless they are asked for: trying them takes its time. */
const evaluateFile = async (file: string | undefined, options: Options, terminal: Terminal): Promise<Evaluation> => {
  const design = await loadDesign(file, terminal);
  const catalogue = await catalogueOf(options, terminal);
  const fonts = await shippedFonts();
  const evaluation =
    options.fixes === true ? evaluate(design, catalogue, fonts) : createEvaluator(catalogue, fonts).evaluate(design);
  return valueOr(evaluation, file ?? '');
};

/** In full resolution, without trying fixes. */
const lightFile = async (file: string | undefined, terminal: Terminal): Promise<Evaluation> => {
  const design = await loadDesign(file, terminal);
  const evaluator = createEvaluator(shippedCatalogue, await shippedFonts(), { grid: fullGrid });
  return valueOr(evaluator.evaluate(design), file ?? '');
};

const writeAll = async (files: readonly PackFile[], folder: string): Promise<readonly string[]> => {
  for (const { path: name, bytes } of files) {
    const target = path.join(folder, name);
    await mkdir(path.dirname(target), { recursive: true });
    await writeFile(target, bytes);
  }
  return files.map(({ path: name }) => path.join(folder, name));
};

const exportTo = async (
  evaluation: Evaluation,
  folder: string,
  catalogue: Catalogue,
  terminal: Terminal,
): Promise<readonly string[]> => {
  const stuff = { catalogue, fonts: await paperFonts() };
  const files = await benchPack(evaluation, stuff);
  const zip = { path: `${fileName(evaluation.design.name)}.zip`, bytes: packZip(evaluation, files) };
  const note = packNote(evaluation.design, stuff);
  if (note !== null) terminal.complain(`${note}\n`);
  return writeAll([...files, zip], folder);
};

const lengthOption = (text: string | undefined, name: string): number | null =>
  text === undefined ? null : valueOr(parseLength(text, 'mm'), `--${name} ${text}`);

/** A new design by the answers on the command line. */
const newFromOptions = (build: string | undefined, options: Options): Design =>
  newFromAnswers(build, options, (text, name) => lengthOption(text, name));

/** Which assembly an id names; the only one when none is told. */
const assemblyIndex = ({ assemblies }: Design, id: string | undefined): number => {
  const ids = assemblies.map((own) => own.id);
  if (id === undefined && ids.length > 1) throw new UsageError(`say of which assembly: --of ${ids.join(' or ')}`);
  const index = id === undefined ? 0 : ids.indexOf(id);
  if (index < 0) throw new UsageError(`there is no assembly “${id}”; there is ${ids.join(', ')}`);
  return index;
};

const artworkOf = (design: Design, id: string | undefined) =>
  fieldsOf<AnyAssembly>(`assemblies.${assemblyIndex(design, id)}`).artwork;

/** The design with a drawing file in the place of its text, as wide as wanted; what was put right goes to standard error. */
const withDrawing = async (design: Design, options: Options, terminal: Terminal): Promise<Design> => {
  const { drawing: file } = options;
  if (file === undefined)
    throw new UsageError('name the drawing: --drawing FILE.svg, FILE.dxf, FILE.pdf, FILE.png or FILE.jpg');
  const ending = /\.(svgz?|dxf|pdf|png|jpe?g)$/i.exec(file)?.[1]?.toLowerCase();
  if (ending === undefined)
    throw new UsageError(`${file}: is no drawing that Vitrum reads here; SVG, DXF, PDF, PNG and JPEG are`);
  const bytes = await readFile(file).catch(unreadable(file));
  const name = path.basename(file);
  const ofPdf = async (): Promise<DrawingFile> => {
    const page = options.page === undefined ? 1 : Number(options.page);
    if (!Number.isInteger(page)) throw new UsageError(`--page ${options.page ?? ''}: a page is a number, from 1`);
    const { text, notes } = valueOr(await pdfAsSvg(bytes, page), file);
    return { kind: 'svg', name, text, told: notes };
  };
  const drawing: DrawingFile = isPdf(bytes)
    ? await ofPdf()
    : ending === 'png' || ending.startsWith('jp')
      ? { kind: 'picture', name, picture: valueOr((ending === 'png' ? pictureOfPng : pictureOfJpeg)(bytes), file) }
      : { kind: ending === 'dxf' ? 'dxf' : 'svg', name, text: valueOr(drawingText(bytes), file) };
  const gapMm = lengthOption(options.gap, 'gap') ?? usualIntake.gapMm;
  const intake = { ...usualIntake, gapMm, layers: options.layers?.split(',') ?? null };
  const asStated = valueOr(takeDrawing(drawing, intake), file);
  const widthMm = lengthOption(options.width, 'width');
  const scale = widthMm === null ? 1 : widthMm / asStated.widthMm;
  const taken = valueOr(takeDrawing(drawing, { ...intake, scale, gapMm: gapMm * scale }), file);
  const size = `${taken.widthMm.toFixed(1)} × ${taken.heightMm.toFixed(1)} mm`;
  const told = [size, ...(widthMm === null && !taken.sizeStated ? ['its size is not stated: give --width'] : [])];
  terminal.complain(`${[...told, ...taken.changes, ...taken.notes].map((line) => `${file}: ${line}`).join('\n')}\n`);
  return valueOr(applyChange(design, [set(artworkOf(design, options.of).drawing, asArtwork(taken, name))]), file);
};

const asLines = (text: string): string => (text.endsWith('\n') ? text : `${text}\n`);

/** Tells what was chosen, and prints the design. */
const printSolved = async (start: Design, index: number, options: Options, terminal: Terminal): Promise<number> => {
  const judge = createJudge(shelfFor(start, await catalogueOf(options, terminal)), await shippedFonts());
  const { design, clean, sentence } = finish(solveSign(start, index, judge));
  terminal.complain(`${sentence}\n`);
  terminal.print(asLines(printDesign(design)));
  return clean ? 0 : 1;
};

type Command = (file: string | undefined, options: Options, terminal: Terminal, argument?: string) => Promise<number>;

const commands: Readonly<Record<string, Command>> = {
  evaluate: async (file, options, terminal) => {
    const evaluation = await evaluateFile(file, options, terminal);
    terminal.print(asLines(options.json === true ? evaluationJson(evaluation) : evaluationText(evaluation)));
    return 0;
  },
  export: async (file, options, terminal) => {
    const { to } = options;
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    const evaluation = await evaluateFile(file, options, terminal);
    const written = await exportTo(evaluation, to, await catalogueOf(options, terminal), terminal);
    terminal.print(asLines(written.join('\n')));
    return 0;
  },
  new: (build, options, terminal) => printSolved(newFromOptions(build, options), 0, options, terminal),
  solve: async (file, options, terminal) => {
    const design = await loadDesign(file, terminal);
    return printSolved(design, assemblyIndex(design, options.of), options, terminal);
  },
  apply: async (file, options, terminal, name) => {
    const design = await loadDesign(file, terminal);
    const evaluation = valueOr(
      evaluate(design, await catalogueOf(options, terminal), await shippedFonts()),
      file ?? '',
    );
    const known = evaluation.findings.flatMap(({ id, fixes }) => fixes.map((fix) => [`${id}/${fix.id}`, fix] as const));
    const fix = known.find(([own]) => own === name)?.[1];
    if (fix === undefined)
      throw new UsageError(
        known.length === 0
          ? 'nothing that Vitrum tried mends anything here'
          : `there is no fix “${name ?? ''}”; there is ${known.map(([own]) => own).join(', ')}`,
      );
    terminal.print(asLines(printDesign(valueOr(applyChange(design, fix.change), file ?? ''))));
    return 0;
  },
  shelf: async (kind, options, terminal) => {
    terminal.print(asLines(shelfText(await catalogueOf(options, terminal), kind, options.json === true)));
    return 0;
  },
  light: async (file, { to }, terminal) => {
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    terminal.print(asLines((await writeAll(lightMaps(await lightFile(file, terminal)), to)).join('\n')));
    return 0;
  },
  check: async (file, options, terminal) => {
    const { findings, unknownFields } = await evaluateFile(file, options, terminal);
    terminal.print(
      asLines([findingsText(findings), unknownFieldsText(unknownFields)].filter((text) => text !== '').join('\n')),
    );
    return findings.some(({ severity }) => severity === 'stop') ? 1 : 0;
  },
  artwork: async (file, options, terminal) => {
    terminal.print(asLines(printDesign(await withDrawing(await loadDesign(file, terminal), options, terminal))));
    return 0;
  },
  demo: (name, _, terminal) => {
    const design = Object.entries(demoDesigns).find(([known]) => known === name)?.[1];
    if (design === undefined)
      throw new UsageError(`there is no demo “${name ?? ''}”; there is ${Object.keys(demoDesigns).join(', ')}`);
    terminal.print(asLines(printDesign(design)));
    return Promise.resolve(0);
  },
};

/** Runs one command line; returns the exit code: 0 fine, 1 the check failed, 2 it could not be done. */
export const main = async (argv: readonly string[], terminal: Terminal = processTerminal): Promise<number> => {
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        json: { type: 'boolean' },
        to: { type: 'string' },
        drawing: { type: 'string' },
        width: { type: 'string' },
        gap: { type: 'string' },
        page: { type: 'string' },
        layers: { type: 'string' },
        of: { type: 'string' },
        fixes: { type: 'boolean' },
        shelf: { type: 'string' },
        says: { type: 'string' },
        height: { type: 'string' },
        cap: { type: 'string' },
        from: { type: 'string' },
        outdoors: { type: 'boolean' },
        surroundings: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
    const [name, file, argument] = positionals;
    if (values.help === true || name === undefined) {
      terminal.print(usage);
      return name === undefined && values.help !== true ? 2 : 0;
    }
    const command = commands[name];
    if (command === undefined) throw new UsageError(`there is no command “${name}”\n\n${usage}`);
    return await command(file, values, terminal, argument);
  } catch (error) {
    const plain = error instanceof UsageError || (error as NodeJS.ErrnoException).code !== undefined;
    if (!plain) throw error;
    terminal.complain(`${(error as Error).message}\n`);
    return 2;
  }
};
