import { mkdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { parseArgs } from 'node:util';
import {
  applyChange,
  asArtwork,
  benchPack,
  benchZip,
  createEvaluator,
  demoDesigns,
  evaluate,
  fieldsOf,
  fileName,
  fullGrid,
  lightMaps,
  maxDesignCharacters,
  parseDesign,
  parseLength,
  printDesign,
  problemLine,
  set,
  shippedCatalogue,
  takeDrawing,
  usualIntake,
  type AnyAssembly,
  type Design,
  type Evaluation,
  type PackFile,
  type Problem,
  type Result,
} from '@vitrum/core';
import { shippedFonts } from './fonts.js';
import { evaluationJson, evaluationText, findingsText, unknownFieldsText } from './report.js';
import { processTerminal, type Terminal } from './terminal.js';

const usage = `vitrum: illuminated signs, evaluated without a screen

  vitrum evaluate FILE [--json]   figures and findings of a design
  vitrum export FILE --to DIR     SVG, PDF, CSV, PNG and a ZIP of all
  vitrum light FILE --to DIR      the luminance map in full: PNG, CSV, 16-bit PNG, PFM
  vitrum check FILE               exit code 1 when something stops the build
  vitrum artwork FILE --drawing SVG|DXF [--width LENGTH] [--gap LENGTH] [--layers A,B] [--of ID]
                                  the design with the drawing in the place of the text of its
                                  assembly, told by its id where there are several
  vitrum demo NAME                print a demo design: ${Object.keys(demoDesigns).join(', ')}

FILE may be - for standard input.
`;

interface Options {
  readonly json?: boolean | undefined;
  readonly to?: string | undefined;
  readonly drawing?: string | undefined;
  readonly width?: string | undefined;
  readonly gap?: string | undefined;
  readonly layers?: string | undefined;
  readonly of?: string | undefined;
}

/** A failure to be told in plain words; ends the command with code 2. */
class UsageError extends Error {}

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

const valueOr = <T>(result: Result<T>, file: string): T => (result.ok ? result.value : fail(result.problems, file));

const loadDesign = async (file: string | undefined, terminal: Terminal): Promise<Design> => {
  if (file === undefined) throw new UsageError('name the design file');
  const text = await readText(file, terminal).catch((error: NodeJS.ErrnoException) => {
    throw new UsageError(`${file}: cannot be read (${error.code ?? error.message})`);
  });
  return valueOr(parseDesign(text), file);
};

const evaluateFile = async (file: string | undefined, terminal: Terminal): Promise<Evaluation> => {
  const design = await loadDesign(file, terminal);
  return valueOr(evaluate(design, shippedCatalogue, await shippedFonts()), file ?? '');
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

const exportTo = async (evaluation: Evaluation, folder: string): Promise<readonly string[]> => {
  const files = await benchPack(evaluation);
  const zip = { path: `${fileName(evaluation.design.name)}.zip`, bytes: await benchZip(evaluation) };
  return writeAll([...files, zip], folder);
};

const lengthOption = (text: string | undefined, name: string): number | null =>
  text === undefined ? null : valueOr(parseLength(text, 'mm'), `--${name} ${text}`);

/** The artwork of the assembly of an id; of the only one when none is told. */
const artworkOf = ({ assemblies }: Design, id: string | undefined) => {
  const ids = assemblies.map((own) => own.id);
  if (id === undefined && ids.length > 1) throw new UsageError(`say of which assembly: --of ${ids.join(' or ')}`);
  const index = id === undefined ? 0 : ids.indexOf(id);
  if (index < 0) throw new UsageError(`there is no assembly “${id}”; there is ${ids.join(', ')}`);
  return fieldsOf<AnyAssembly>(`assemblies.${index}`).artwork;
};

/** The design with a drawing file in the place of its text, as wide as wanted; what was put right goes to standard error. */
const withDrawing = async (design: Design, options: Options, terminal: Terminal): Promise<Design> => {
  const { drawing: file } = options;
  if (file === undefined) throw new UsageError('name the drawing: --drawing FILE.svg or FILE.dxf');
  const kind = /\.(svg|dxf)$/i.exec(file)?.[1]?.toLowerCase() as 'svg' | 'dxf' | undefined;
  if (kind === undefined) throw new UsageError(`${file}: is no drawing that Vitrum reads here; SVG and DXF are`);
  const text = await readText(file, terminal).catch((error: NodeJS.ErrnoException) => {
    throw new UsageError(`${file}: cannot be read (${error.code ?? error.message})`);
  });
  const name = path.basename(file);
  const gapMm = lengthOption(options.gap, 'gap') ?? usualIntake.gapMm;
  const intake = { ...usualIntake, gapMm, layers: options.layers?.split(',') ?? null };
  const asStated = valueOr(takeDrawing({ kind, name, text }, intake), file);
  const widthMm = lengthOption(options.width, 'width');
  const scale = widthMm === null ? 1 : widthMm / asStated.widthMm;
  const taken = valueOr(takeDrawing({ kind, name, text }, { ...intake, scale, gapMm: gapMm * scale }), file);
  const size = `${taken.widthMm.toFixed(1)} × ${taken.heightMm.toFixed(1)} mm`;
  const told = [size, ...(widthMm === null && !taken.sizeStated ? ['its size is not stated: give --width'] : [])];
  terminal.complain(`${[...told, ...taken.changes, ...taken.notes].map((line) => `${file}: ${line}`).join('\n')}\n`);
  return valueOr(applyChange(design, [set(artworkOf(design, options.of).drawing, asArtwork(taken, name))]), file);
};

const asLines = (text: string): string => (text.endsWith('\n') ? text : `${text}\n`);

type Command = (file: string | undefined, options: Options, terminal: Terminal) => Promise<number>;

const commands: Readonly<Record<string, Command>> = {
  evaluate: async (file, { json }, terminal) => {
    const evaluation = await evaluateFile(file, terminal);
    terminal.print(asLines(json === true ? evaluationJson(evaluation) : evaluationText(evaluation)));
    return 0;
  },
  export: async (file, { to }, terminal) => {
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    terminal.print(asLines((await exportTo(await evaluateFile(file, terminal), to)).join('\n')));
    return 0;
  },
  light: async (file, { to }, terminal) => {
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    terminal.print(asLines((await writeAll(lightMaps(await lightFile(file, terminal)), to)).join('\n')));
    return 0;
  },
  check: async (file, _, terminal) => {
    const { findings, unknownFields } = await evaluateFile(file, terminal);
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
        layers: { type: 'string' },
        of: { type: 'string' },
        help: { type: 'boolean', short: 'h' },
      },
    });
    const [name, file] = positionals;
    if (values.help === true || name === undefined) {
      terminal.print(usage);
      return name === undefined && values.help !== true ? 2 : 0;
    }
    const command = commands[name];
    if (command === undefined) throw new UsageError(`there is no command “${name}”\n\n${usage}`);
    return await command(file, values, terminal);
  } catch (error) {
    const plain = error instanceof UsageError || (error as NodeJS.ErrnoException).code !== undefined;
    if (!plain) throw error;
    terminal.complain(`${(error as Error).message}\n`);
    return 2;
  }
};
