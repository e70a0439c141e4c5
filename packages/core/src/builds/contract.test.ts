import { readdirSync, readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { decode } from 'fast-png';
import { strFromU8 } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import { readDxf, readSvg } from '../artwork/drawings/index.js';
import type { FontBook } from '../artwork/lettering/index.js';
import { seededRandom } from '../base/maths/index.js';
import { canonicalJson } from '../document/design/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { type PackFile } from '../files/exports/index.js';
import { demoDesigns, newDesign } from '../sign/demo/index.js';
import { parseDesign, readDesign, type Design } from '../sign/design/index.js';
import { createEvaluator } from '../sign/evaluate/index.js';
import { changedByChance } from '../testing/chance.js';
import { coarse, sound, testFonts } from '../testing/harness.js';
import { packOf } from '../testing/packs.js';
import { flaws } from '../testing/soundness.js';
import { allBuilds, usualSizes } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const start = (build: (typeof allBuilds)[number], text = 'OPEN'): Design =>
  newDesign(build.name, { name: 'New', text, readingDistanceMm: 3000, sizesMm: usualSizes(build.sizes) });

const isDrawn = (result: ReturnType<typeof readSvg>): boolean => result.ok && result.value.shapes.length > 0;

/** Whether a file is what its name says, by a reader of that format. */
const readsBack = async ({ path, bytes }: PackFile, design: Design): Promise<boolean> => {
  switch (path.split('.').at(-1)) {
    case 'json': {
      const read = parseDesign(strFromU8(bytes));
      return read.ok && canonicalJson(read.value) === canonicalJson(design);
    }
    case 'svg':
      return isDrawn(readSvg(strFromU8(bytes)));
    case 'dxf':
      return isDrawn(readDxf(strFromU8(bytes)));
    case 'csv':
      return strFromU8(bytes).trim().split('\r\n').length > 1;
    case 'png':
      return decode(bytes).width > 100;
    case 'pdf':
      return (await PDFDocument.load(bytes)).getPageCount() > 0;
    case 'stl':
      return bytes.length === 84 + 50 * new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
    default:
      return false;
  }
};

/** Where one more build is registered, the others have been through this already. */
const { onlyBuild } = globalThis as { readonly onlyBuild?: string };
const builds = allBuilds.filter(({ name }) => onlyBuild === undefined || name === onlyBuild);

it('has builds to be held against', () => expect(builds.length).toBeGreaterThan(0));

describe.each(builds.map((build) => [build.name, build] as const))('the build “%s”', (_, build) => {
  it('starts with a design that its schema takes, all questions at their usual answers, and nothing to stop it', () => {
    const design = start(build);
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toEqual({ ok: true, value: design });
    const evaluation = sound(createEvaluator(shippedCatalogue, fonts).evaluate(design));
    expect(evaluation.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(evaluation.unknownFields).toEqual([]);
    expect(flaws(evaluation)).toEqual([]);
    expect(evaluation.buildList.steps.length).toBeGreaterThan(8);
  });

  it('starts at the least and the most that its questions take, or says why not', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts, coarse);
    for (const bound of ['leastMm', 'mostMm'] as const) {
      const sizesMm = Object.fromEntries(build.sizes.map((question) => [question.id, question[bound]]));
      const answers = { name: 'New', text: 'IN', readingDistanceMm: 3000, sizesMm };
      const result = evaluator.evaluate(newDesign(build.name, answers));
      if (result.ok) expect(flaws(result.value)).toEqual([]);
      else expect(result.problems.every(({ path }) => path.startsWith('assemblies.0.'))).toBe(true);
    }
  });

  it('keeps 60 designs by chance sound, or refuses them with the field', () => {
    const random = seededRandom(60);
    const evaluator = createEvaluator(shippedCatalogue, fonts, coarse);
    let lit = 0;
    for (let turn = 0; turn < 60; turn += 1) {
      const design = changedByChance(random, start(build, 'IN'), 5);
      const result = evaluator.evaluate(design);
      if (result.ok) {
        expect([turn, flaws(result.value)]).toEqual([turn, []]);
        lit += 1;
      } else
        for (const { path, message } of result.problems)
          expect([turn, path, message]).toEqual([
            turn,
            expect.stringMatching(/^(assemblies\.0|power|brief)\./),
            expect.stringMatching(/.{10}/),
          ]);
    }
    expect(lit).toBeGreaterThan(20);
  });

  it('comes to the same after 30 edits as from scratch', () => {
    const random = seededRandom(30);
    const evaluator = createEvaluator(shippedCatalogue, fonts, coarse);
    let design = start(build, 'IN');
    for (let turn = 1; turn <= 30; turn += 1) {
      const next = changedByChance(random, design, 1);
      const kept = evaluator.evaluate(next);
      if (turn % 6 === 0) {
        const { recomputed: _kept, ...one } = kept.ok ? kept.value : { recomputed: [] };
        const scratch = createEvaluator(shippedCatalogue, fonts, coarse).evaluate(next);
        const { recomputed: _scratch, ...other } = scratch.ok ? scratch.value : { recomputed: [] };
        expect(scratch.ok).toBe(kept.ok);
        expect(other).toEqual(one);
      }
      // What cannot be built is not built upon.
      if (kept.ok) design = next;
    }
    evaluator.evaluate(design);
    expect(evaluator.evaluate(structuredClone<Design>(design))).toMatchObject({ value: { recomputed: [] } });
  });

  it('has a pack whose every file reads back', async () => {
    const design = start(build);
    const files = await packOf(sound(createEvaluator(shippedCatalogue, fonts).evaluate(design)));
    const wrong = await Promise.all(files.map(async (file) => ((await readsBack(file, design)) ? [] : [file.path])));
    expect(wrong.flat()).toEqual([]);
    expect(new Set(files.map(({ path }) => path)).size).toBe(files.length);
  });

  it('tells the numbers of its parts with what they are of', () => {
    const { parts } = sound(createEvaluator(shippedCatalogue, fonts, coarse).evaluate(start(build, 'IN')));
    // A size (a × b mm), a stretch (from a to b mm), an angle, or a number of things.
    const bare = /\d(?![\d.]*(\d| mm| ×| to \d|°| [a-z]{4,}| of \d))/;
    expect(parts.cut.filter(({ note }) => bare.test(note)).map(({ id, note }) => `${id}: ${note}`)).toEqual([]);
  });

  it('is told from the front, in the slice and in words', () => {
    const [own] = sound(createEvaluator(shippedCatalogue, fonts, coarse).evaluate(start(build))).assemblies;
    const { body, fitted } = build.work.front(own!);
    expect(body.flat().length).toBeGreaterThan(2);
    expect(fitted.width * fitted.height).toBeGreaterThan(100);
    const section = build.sectionAt(own!, 0);
    expect(section.frontZMm).toBeGreaterThan(section.rearZMm);
    expect(section.layers.length).toBeGreaterThan(2);
    const { leastMm, mostMm, mm } = build.depth(own!);
    expect(leastMm <= mm && mm <= mostMm).toBe(true);
    expect(`${build.words.name}${build.words.detail}${build.words.sizesAsk}`.length).toBeGreaterThan(30);
    expect(build.work.figures(own!).length).toBeGreaterThan(3);
    expect(build.soakPoints.length).toBeGreaterThan(0);
  });
});

/** What the demos were given since, so that they are neither too bright nor too hot, and hang. */
const madeSensible =
  /^(power\.(level|nightLevel)|brief\.surroundings|assemblies\.0\.(case\.backBoardId|light\.stripId|hanging))$|^power\.joint$/;

/** Fields that two designs do not have alike, by their dotted paths. */
const differingFields = (one: unknown, other: unknown, path = ''): readonly string[] => {
  if (Object.is(one, other)) return [];
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return [path];
  const keys = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...keys].flatMap((key) =>
    differingFields(
      (one as Readonly<Record<string, unknown>>)[key],
      (other as Readonly<Record<string, unknown>>)[key],
      path === '' ? key : `${path}.${key}`,
    ),
  );
};

describe('designs of version 1', () => {
  const folder = new URL('../testing/version-1/', import.meta.url);
  const names = readdirSync(folder).map((file) => file.replace(/\.json$/, ''));

  it.each(names)('%s opens as what ships today', (name) => {
    const text = readFileSync(new URL(`${name}.json`, folder), 'utf8');
    expect(JSON.parse(text)).toMatchObject({ version: 1 });
    const opened = parseDesign(text);
    const differs = opened.ok ? differingFields(opened.value, demoDesigns[name as keyof typeof demoDesigns]) : [''];
    expect(differs.filter((path) => !madeSensible.test(path))).toEqual([]);
  });

  it('cover every build that there was', () =>
    expect(new Set(names.map((name) => demoDesigns[name as keyof typeof demoDesigns].assemblies[0]!.build)).size).toBe(
      3,
    ));
});
