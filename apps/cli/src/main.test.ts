import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { demoDesigns } from '@vitrum/core';
import { encode } from 'fast-png';
import jpeg from 'jpeg-js';
import { main } from './main.js';

const program = fileURLToPath(new URL('../bin/vitrum.mjs', import.meta.url));
let folder = '';
beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'vitrum-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The program as a shell starts it. */
const started = (args: readonly string[], input = '') => {
  const { status, stdout, stderr } = spawnSync('node', [program, ...args], { encoding: 'utf8', input });
  return { status, stdout, stderr };
};

/** The same without a process of its own. */
const vitrum = async (args: readonly string[], input = '') => {
  const [stdout, stderr]: [string[], string[]] = [[], []];
  const status = await main(args, {
    input: Readable.from([Buffer.from(input)]),
    print: (text) => void stdout.push(text),
    complain: (text) => void stderr.push(text),
  });
  return { status, stdout: stdout.join(''), stderr: stderr.join('') };
};

/** A PDF of one page of 200 × 100 points, drawn by these operators. */
const pdfOf = (operators: string): string =>
  [
    '%PDF-1.4',
    '1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj',
    '2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj',
    '3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Contents 4 0 R>>endobj',
    `4 0 obj<</Length ${operators.length}>>stream\n${operators}\nendstream endobj`,
    'trailer<</Root 1 0 R>>\n%%EOF',
  ].join('\n');

/** A black plate on white paper, four fifths as large. */
const plate = (width: number, height: number): Uint8Array =>
  Uint8Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [(at % width) / width, Math.floor(at / width) / height];
    return Math.abs(x - 0.5) < 0.4 && Math.abs(y - 0.5) < 0.4 ? 0 : 255;
  });

const file = (name: string, content: string): string => {
  const target = path.join(folder, name);
  writeFileSync(target, content);
  return target;
};

describe('vitrum', () => {
  it('demo prints a design that evaluate reads from standard input, each started by a shell', () => {
    const demo = started(['demo', 'dispensary']);
    expect(JSON.parse(demo.stdout)).toEqual(demoDesigns.dispensary);
    const evaluated = started(['evaluate', '-', '--fixes'], demo.stdout);
    expect(evaluated.status).toBe(0);
    expect(evaluated.stdout).toContain('The rows show as bands from 3 m');
    expect(evaluated.stdout).toContain('Five rows');
  });

  it('evaluate tries no fixes unless it is asked for them; apply applies one by its name', async () => {
    const target = file('dots.json', JSON.stringify(demoDesigns.dispensary));
    expect((await vitrum(['evaluate', target])).stdout).not.toContain('dots-show/');
    expect((await vitrum(['evaluate', target, '--fixes'])).stdout).toContain('dots-show/add-rows: Five rows');
    const applied = await vitrum(['apply', target, 'dots-show/add-rows']);
    expect(JSON.parse(applied.stdout)).toMatchObject({ assemblies: [{ light: { rowCount: 5 } }] });
    const none = await vitrum(['apply', target, 'dots-show/pray']);
    expect([none.status, none.stderr]).toEqual([2, expect.stringContaining('there is no fix “dots-show/pray”')]);
  });

  it('new answers a build and its questions with a design that is solved, and solve chooses anew', async () => {
    const made = await vitrum(['new', 'lightbox', '--says', 'OPEN', '--width', '24in', '--height', '200']);
    expect([made.status, made.stderr]).toEqual([0, expect.stringContaining('neither stops nor disappoints')]);
    const design = JSON.parse(made.stdout) as { assemblies: { case: { widthMm: number } }[] };
    expect(design.assemblies[0]!.case.widthMm).toBeCloseTo(609.6, 6);
    const again = await vitrum(['solve', '-'], made.stdout);
    expect(again.status).toBe(0);
    expect(JSON.parse(again.stdout)).toMatchObject({ assemblies: design.assemblies });
    const outdoors = ['--outdoors', '--surroundings', 'low'];
    const out = await vitrum(['new', 'lightbox', '--says', 'OPEN', ...outdoors]);
    expect(JSON.parse(out.stdout)).toMatchObject({ brief: { exposure: 'outdoors', surroundings: 'low' } });
  });

  it.each([
    [['new', 'moon', '--says', 'A'], 'there is no build “moon”'],
    [['new', 'lightbox'], 'say what the sign says'],
    [['new', 'lightbox', '--says', 'A', '--width', '3 mm'], '--width'],
    [['new', 'lightbox', '--says', 'A', '--surroundings', 'moon'], 'country, low, town, city'],
    [['shelf', 'moons'], 'there is no list “moons”'],
  ])('%j ends with 2 and a sentence of its own', async (args, sentence) => {
    const { status, stderr } = await vitrum(args);
    expect([status, stderr]).toEqual([2, expect.stringContaining(sentence)]);
  });

  it('shelf lists the catalogue, and takes one of the user’s own', async () => {
    const { stdout } = await vitrum(['shelf', 'strips']);
    expect(stdout).toContain('white-24v-120');
    const { strips } = JSON.parse((await vitrum(['shelf', '--json'])).stdout) as { strips: { id: string }[] };
    const own = strips.map((strip) => (strip.id === 'white-24v-120' ? { ...strip, name: 'Our own strip' } : strip));
    const shelf = file('shelf.json', JSON.stringify({ strips: own }));
    expect((await vitrum(['shelf', 'strips', '--shelf', shelf])).stdout).toContain('Our own strip');
    const wrong = file('wrong.json', JSON.stringify({ strips: [{ id: 'mine', name: 'Mine' }] }));
    const refused = await vitrum(['shelf', '--shelf', wrong]);
    expect([refused.status, refused.stderr]).toEqual([2, expect.stringContaining('strips.mine.')]);
    const unknown = file('unknown.json', JSON.stringify({ moons: [] }));
    expect((await vitrum(['shelf', '--shelf', unknown])).stderr).toContain('there is no list “moons”');
    expect((await vitrum(['shelf', '--shelf', file('broken.json', '{')])).stderr).toContain('not valid JSON');
  });

  it('ends quietly when whoever reads its answer stops', () => {
    const target = file('pipe.json', JSON.stringify(demoDesigns.dispensary));
    const { stderr } = spawnSync('sh', ['-c', `node ${program} evaluate ${target} --json | head -c 10`], {
      encoding: 'utf8',
    });
    expect(stderr).toBe('');
  });

  it('evaluate --json is JSON with figures, findings and energy that balances', async () => {
    const target = file('box.json', JSON.stringify(demoDesigns['ticket-hall']));
    const { stdout } = await vitrum(['evaluate', target, '--json']);
    const { figures, assemblies } = JSON.parse(stdout) as {
      figures: unknown[];
      assemblies: { light: { balance: Record<string, number> } }[];
    };
    expect(figures).toHaveLength(9);
    const { balance } = assemblies[0]!.light;
    expect(
      (balance['outLm']! + balance['absorbedFaceLm']! + balance['absorbedCaseLm']!) / balance['emittedLm']!,
    ).toBeCloseTo(1, 6);
  });

  it('reads what version 1 wrote, and tells fields that it does not know', async () => {
    const old = readFileSync(new URL('../../../packages/core/src/testing/version-1/dispensary.json', import.meta.url));
    const { power, ...rest } = JSON.parse(old.toString()) as { power: object };
    const target = file('old.json', JSON.stringify({ ...rest, power: { ...power, joints: 'clip' } }));
    const checked = await vitrum(['check', target]);
    expect(checked.status).toBe(0);
    expect(checked.stdout).toContain('UNKNOWN power.joints');
    expect((await vitrum(['evaluate', target])).stdout).toContain('UNKNOWN power.joints');
    const { unknownFields } = JSON.parse((await vitrum(['evaluate', target, '--json'])).stdout) as {
      unknownFields: string[];
    };
    expect(unknownFields).toEqual(['power.joints']);
  });

  it('check ends with 1 when something stops the build, else with 0', async () => {
    const bare = structuredClone(demoDesigns['ticket-hall']) as unknown as { brief: { exposure: string } };
    bare.brief.exposure = 'outdoors';
    expect((await vitrum(['check', file('wet.json', JSON.stringify(bare))])).status).toBe(1);
    expect((await vitrum(['check', file('dry.json', JSON.stringify(demoDesigns['ticket-hall']))])).status).toBe(0);
  });

  it('artwork puts a drawing in the place of text, sized, and tells what was put right', async () => {
    const design = file('box.json', JSON.stringify(demoDesigns['rye-and-salt']));
    const drawing = file(
      'plate.svg',
      '<svg viewBox="0 0 100 50"><g id="a"><rect width="100" height="50"/></g><g id="b"><rect x="200" width="9" height="9"/></g><text>x</text></svg>',
    );
    const made = await vitrum(['artwork', design, '--drawing', drawing, '--width', '1 ft', '--layers', 'a']);
    expect(made.status).toBe(0);
    expect(made.stderr).toContain('304.8 × 152.4 mm');
    expect(made.stderr).toContain('text was left out');
    const evaluated = await vitrum(['evaluate', '-', '--json'], made.stdout);
    expect(evaluated.status).toBe(0);
    const { assemblies } = JSON.parse(made.stdout) as { assemblies: { artwork: { drawing: { rings: number[][] } } }[] };
    expect(assemblies[0]!.artwork.drawing.rings).toHaveLength(1);
    const scan = path.join(folder, 'scan.png');
    writeFileSync(scan, encode({ width: 40, height: 20, channels: 1, depth: 8, data: plate(40, 20) }));
    const traced = await vitrum(['artwork', design, '--drawing', scan, '--width', '100']);
    expect(traced.stderr).toContain('100.0 × ');
    expect(traced.status).toBe(0);
    const photo = path.join(folder, 'scan.jpg');
    const rgba = Uint8Array.from(plate(40, 20)).reduce<number[]>((all, grey) => [...all, grey, grey, grey, 255], []);
    writeFileSync(photo, jpeg.encode({ width: 40, height: 20, data: Uint8Array.from(rgba) }, 95).data);
    const photographed = await vitrum(['artwork', design, '--drawing', photo, '--width', '100']);
    expect(photographed.stderr).toContain('100.0 × ');
    const page = file('ring.pdf', pdfOf('0 g 20 20 160 60 re 60 40 80 20 re f*'));
    const printed = await vitrum(['artwork', design, '--drawing', page]);
    expect(printed.stderr).toContain('56.4 × 21.2 mm');
    expect(printed.status).toBe(0);
    const unsized = await vitrum(['artwork', design, '--drawing', drawing]);
    expect(unsized.stderr).toContain('give --width');
  });

  it.each([
    [['--drawing', 'x.doc'], 'is no drawing that Vitrum reads here'],
    [['--drawing', 'plate.pdf', '--page', '2'], 'there is no page 2: this PDF has 1 page'],
    [['--drawing', 'plate.pdf', '--page', 'two'], '--page two: a page is a number'],
    [['--drawing', 'nowhere.svg'], 'cannot be read (ENOENT)'],
    [[], 'name the drawing'],
    [['--drawing', 'bad.svg'], 'not sound SVG'],
    [['--drawing', 'plate.svg', '--width', 'wide'], '--width wide'],
  ])('artwork says what is wrong with %j, and ends with 2', async (options, sentence) => {
    const design = file('box.json', JSON.stringify(demoDesigns['rye-and-salt']));
    file('bad.svg', '<svg><rect');
    file('plate.pdf', pdfOf('0 0 9 9 re f'));
    file('plate.svg', '<svg width="9mm" viewBox="0 0 9 9"><rect width="9" height="9"/></svg>');
    const places = options.map((each) =>
      /^(bad|plate|nowhere)\.(svg|pdf)$/.test(each) ? path.join(folder, each) : each,
    );
    const { status, stderr } = await vitrum(['artwork', design, ...places]);
    expect([status, stderr]).toEqual([2, expect.stringContaining(sentence)]);
  });

  it('artwork asks which assembly is meant where a sign has several, and takes it by its id', async () => {
    const lantern = demoDesigns['lantern-rooms'];
    const sign = file('sign.json', JSON.stringify(lantern));
    const drawing = file('dot.svg', '<svg width="9mm" viewBox="0 0 9 9"><rect width="9" height="9"/></svg>');
    const ids = lantern.assemblies.map(({ id }) => id);
    const unsaid = await vitrum(['artwork', sign, '--drawing', drawing]);
    expect([unsaid.status, unsaid.stderr]).toEqual([2, expect.stringContaining(`--of ${ids.join(' or ')}`)]);
    const none = await vitrum(['artwork', sign, '--drawing', drawing, '--of', 'moon']);
    expect([none.status, none.stderr]).toEqual([2, expect.stringContaining('no assembly “moon”')]);
    const made = await vitrum(['artwork', sign, '--drawing', drawing, '--of', ids[1]!]);
    const { assemblies } = JSON.parse(made.stdout) as { assemblies: { artwork: { drawing?: object } }[] };
    expect(assemblies.map(({ artwork }) => (artwork.drawing ?? null) !== null)).toEqual([false, true]);
  });

  it('export writes every file and a ZIP of all', async () => {
    const target = path.join(folder, 'out');
    expect(
      (await vitrum(['export', file('rye.json', JSON.stringify(demoDesigns['rye-and-salt'])), '--to', target])).status,
    ).toBe(0);
    expect(readdirSync(target)).toEqual(
      expect.arrayContaining([
        'design.json',
        'parts.csv',
        'parts',
        'strip-template-a4.pdf',
        'rye-salt-counter-box.zip',
      ]),
    );
    expect(readdirSync(path.join(target, 'parts'))).toEqual(
      expect.arrayContaining(['top.svg', 'back.svg', 'face.svg', 'film.svg']),
    );
    expect(JSON.parse(readFileSync(path.join(target, 'design.json'), 'utf8'))).toEqual(demoDesigns['rye-and-salt']);
  });

  it('lights a design in full and writes its maps', async () => {
    const target = path.join(folder, 'light');
    const { status } = await vitrum(['light', '-', '--to', target], JSON.stringify(demoDesigns['rye-and-salt']));
    expect(status).toBe(0);
    expect(readdirSync(target).sort()).toEqual([
      'face-dusk.png',
      'luminance-16.png',
      'luminance.csv',
      'luminance.pfm',
      'read-me.txt',
    ]);
  });

  it.each([
    [['evaluate', '/no/such/file'], 'cannot be read'],
    [['evaluate'], 'name the design file'],
    [['fly', 'x'], 'no command “fly”'],
    [['demo', 'moon'], 'dispensary'],
    [['export', '-', '--to', 'x'], 'not valid JSON'],
    [['evaluate', '-', '--loud'], '--loud'],
  ])('%j ends with 2 and a sentence', async (args, message) => {
    const { status, stderr } = await vitrum(args, '{broken');
    expect(status).toBe(2);
    expect(stderr).toContain(message);
    expect(stderr).not.toContain('at file:');
  });

  it('ends as a process with the code and the sentence', () => {
    const { status, stdout, stderr } = started(['evaluate', '-', '--loud'], '{}');
    expect([status, stdout, stderr]).toEqual([2, '', expect.stringContaining('--loud')]);
  });

  it('names each wrong field of a design', async () => {
    const { stderr } = await vitrum(
      ['evaluate', '-'],
      JSON.stringify({ ...demoDesigns.dispensary, brief: { ...demoDesigns.dispensary.brief, quantity: 'two' } }),
    );
    expect(stderr).toContain('brief.quantity: must be a number, and is "two"');
  });
});
