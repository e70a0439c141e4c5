import { mkdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { parseArgs } from 'node:util';
import {
  benchPack,
  benchZip,
  createEvaluator,
  demoDesigns,
  evaluate,
  fileName,
  fullGrid,
  lightMaps,
  maxDesignCharacters,
  parseDesign,
  printDesign,
  problemLine,
  shippedCatalogue,
  type Design,
  type Evaluation,
  type PackFile,
  type Problem,
  type Result,
} from '@vitrum/core';
import { shippedFonts } from './fonts.js';
import { evaluationJson, evaluationText, findingsText } from './report.js';

const usage = `vitrum: illuminated signs, evaluated without a screen

  vitrum evaluate FILE [--json]   figures and findings of a design
  vitrum export FILE --to DIR     SVG, PDF, CSV, PNG and a ZIP of all
  vitrum light FILE --to DIR      the luminance map in full: PNG, CSV, 16-bit PNG, PFM
  vitrum check FILE               exit code 1 when something stops the build
  vitrum demo NAME                print a demo design: ${Object.keys(demoDesigns).join(', ')}

FILE may be - for standard input.
`;

/** A failure to be told in plain words; ends the command with code 2. */
class UsageError extends Error {}

const fail = (problems: readonly Problem[], file: string): never => {
  throw new UsageError(problems.map((problem) => `${file}: ${problemLine(problem)}`).join('\n'));
};

const readText = async (file: string): Promise<string> => {
  if (file !== '-') return readFile(file, 'utf8');
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of process.stdin as AsyncIterable<Buffer>) {
    size += chunk.length;
    if (size > maxDesignCharacters * 4) break;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
};

const valueOr = <T>(result: Result<T>, file: string): T => (result.ok ? result.value : fail(result.problems, file));

const loadDesign = async (file: string | undefined): Promise<Design> => {
  if (file === undefined) throw new UsageError('name the design file');
  const text = await readText(file).catch((error: NodeJS.ErrnoException) => {
    throw new UsageError(`${file}: cannot be read (${error.code ?? error.message})`);
  });
  return valueOr(parseDesign(text), file);
};

const evaluateFile = async (file: string | undefined): Promise<Evaluation> => {
  const design = await loadDesign(file);
  return valueOr(evaluate(design, shippedCatalogue, await shippedFonts()), file ?? '');
};

/** In full resolution, without trying fixes. */
const lightFile = async (file: string | undefined): Promise<Evaluation> => {
  const design = await loadDesign(file);
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

const print = (text: string): void => void process.stdout.write(text.endsWith('\n') ? text : `${text}\n`);

const commands: Readonly<
  Record<string, (file: string | undefined, options: { json?: boolean; to?: string }) => Promise<number>>
> = {
  evaluate: async (file, { json }) => {
    const evaluation = await evaluateFile(file);
    print(json === true ? evaluationJson(evaluation) : evaluationText(evaluation));
    return 0;
  },
  export: async (file, { to }) => {
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    print((await exportTo(await evaluateFile(file), to)).join('\n'));
    return 0;
  },
  light: async (file, { to }) => {
    if (to === undefined) throw new UsageError('say where to: --to DIR');
    print((await writeAll(lightMaps(await lightFile(file)), to)).join('\n'));
    return 0;
  },
  check: async (file) => {
    const { findings } = await evaluateFile(file);
    print(findingsText(findings));
    return findings.some(({ severity }) => severity === 'stop') ? 1 : 0;
  },
  demo: (name) => {
    const design = Object.entries(demoDesigns).find(([known]) => known === name)?.[1];
    if (design === undefined)
      throw new UsageError(`there is no demo “${name ?? ''}”; there is ${Object.keys(demoDesigns).join(', ')}`);
    print(printDesign(design));
    return Promise.resolve(0);
  },
};

/** Runs one command line; returns the exit code: 0 fine, 1 the check failed, 2 it could not be done. */
export const main = async (argv: readonly string[]): Promise<number> => {
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: { json: { type: 'boolean' }, to: { type: 'string' }, help: { type: 'boolean', short: 'h' } },
    });
    const [name, file] = positionals;
    if (values.help === true || name === undefined) {
      print(usage);
      return name === undefined && values.help !== true ? 2 : 0;
    }
    const command = commands[name];
    if (command === undefined) throw new UsageError(`there is no command “${name}”\n\n${usage}`);
    return await command(file, values);
  } catch (error) {
    const plain = error instanceof UsageError || (error as NodeJS.ErrnoException).code !== undefined;
    if (!plain) throw error;
    process.stderr.write(`${(error as Error).message}\n`);
    return 2;
  }
};
