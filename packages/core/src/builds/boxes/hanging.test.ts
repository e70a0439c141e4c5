import { beforeAll, describe, expect, it } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import type { FontBook } from '../../artwork/lettering/index.js';
import { tiledPdf } from '../../making/templates/index.js';
import { templatesOf } from '../../files/exports/index.js';
import { hungSection } from '../../making/hanging/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  inAssembly,
  signEvaluatedCoarsely,
  testFonts,
} from '../../testing/harness.js';
import { testPaper } from '../../testing/packs.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { createEvaluator } from '../../sign/evaluate/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const hung = (hanging: unknown, more: Readonly<Record<string, unknown>> = {}) =>
  changed(dispensary, { ...inAssembly({ hanging }), ...more });
const found = (hanging: unknown, rule: string, more: Readonly<Record<string, unknown>> = {}) =>
  findingOn(hung(hanging, more), fonts, rule);
const mended = (hanging: unknown, rule: string, fix: string, more: Readonly<Record<string, unknown>> = {}) =>
  mendedBy(hung(hanging, more), fonts, rule, fix);

describe('what hangs of a box', () => {
  it.each(Object.entries(demoDesigns))('%s: weighs as its parts do, and its centre is within it', (_, design) => {
    const { assemblies, parts } = signEvaluatedCoarsely(design, fonts);
    const hangs = assemblies.flatMap(({ hang }) => hang ?? []);
    expect(hangs.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(parts.kg, 6);
    for (const { bodies, way, fixings } of hangs) {
      expect(way).not.toBeNull();
      expect(fixings.every(({ use }) => use <= 1)).toBe(true);
      for (const { bounds, centre, depthMm } of bodies) {
        expect(centre[0]).toBeGreaterThan(bounds.x);
        expect(centre[0]).toBeLessThan(bounds.x + bounds.width);
        expect(centre[1]).toBeGreaterThan(bounds.y);
        expect(centre[2]).toBeGreaterThan(0);
        // Letters that stand on a box draw its weight forward of it at most by their own depth.
        expect(centre[2]).toBeLessThan(depthMm + 40);
      }
    }
  });

  it('counts what stands on it', () => {
    const { assemblies } = signEvaluatedCoarsely(demoDesigns['lantern-rooms'], fonts);
    const alone = signEvaluatedCoarsely(
      { ...demoDesigns['lantern-rooms'], assemblies: demoDesigns['lantern-rooms'].assemblies.slice(0, 1) },
      fonts,
    );
    expect(assemblies[1]!.hang).toBeNull();
    expect(assemblies[0]!.hang!.kg).toBeGreaterThan(alone.assemblies[0]!.hang!.kg + 0.3);
    // They stand before its face, off it by their posts: box 97 mm deep, 26 mm of posts, half of 12 mm.
    const [letters] = assemblies[1]!.cut;
    expect(letters!.thicknessMm).toBe(12);
    const before = assemblies[0]!.hang!;
    const own = alone.assemblies[0]!.hang!;
    const added = before.kg - own.kg;
    const carried = (before.kg * before.centre[2] - own.kg * own.centre[2]) / added;
    const { depthMm } = own.bodies[0]!;
    // Between them stands what the circuit of the letters adds to the box itself.
    expect(carried).toBeGreaterThan(0.8 * depthMm);
    expect(carried).toBeLessThan(depthMm + 26 + 12);
    // Letters above the middle lift its centre.
    expect(assemblies[0]!.hang!.centre[1]).toBeGreaterThan(alone.assemblies[0]!.hang!.centre[1]);
  });

  it('has fixings that no strip runs under, and holes for them in the back', () => {
    const { hang, cut, runs, materials } = evaluatedCoarsely(hung({ way: 'keyholes' }), fonts);
    for (const { at } of hang!.fixings)
      for (const { from } of runs.segments)
        expect(Math.abs(at[1] - from[1])).toBeGreaterThan(materials.strip.widthMm / 2 + 5);
    const back = cut.find(({ id }) => id === 'back')!;
    const holes = back.layers.flatMap(({ shapes }) => shapes).filter((shape) => shape.kind === 'hole');
    // Two plates, two bolts each: the back is too thin for screws.
    expect(hang!.held!.by).toBe('bolt');
    expect(holes.filter(({ diameterMm }) => diameterMm === 3.2)).toHaveLength(4);
    expect(hang!.fixings).toHaveLength(2);
  });

  it('stands off its wall in the slice by its cleat, or by nothing in a recess as deep', () => {
    const slice = (recessMm: number) => {
      const own = evaluatedCoarsely(hung({ way: 'cleat' }, inAssembly({ 'case.recessMm': recessMm })), fonts);
      return { own, section: hungSection(own.section, own.hang, own.placing) };
    };
    const [proud, flush] = [slice(0), slice(12)];
    expect(proud.own.section.rearZMm - proud.section.rearZMm).toBe(12 + 8);
    expect(flush.own.section.rearZMm - flush.section.rearZMm).toBe(8);
    expect(flush.own.geometry.outside.depthMm).toBe(proud.own.geometry.outside.depthMm + 12);
    expect(proud.section.shapes.filter(({ role }) => role === 'batten')).toHaveLength(3);
    expect(flush.section.shapes.filter(({ role }) => role === 'batten')).toHaveLength(2);
  });

  it('has a wall template, a page at least, where it is drilled; none on feet', async () => {
    const template = (hanging: unknown) => templatesOf(signEvaluatedCoarsely(hung(hanging), fonts))['wall-template'];
    const pdf = await PDFDocument.load(await tiledPdf(template({ way: 'keyholes' })!, 'a4', await testPaper()));
    expect(pdf.getPageCount()).toBeGreaterThan(6);
    expect(template({ way: 'feet' })).toBeUndefined();
  });

  it('names a fixing that nobody knows with its field', () => {
    expect(() => evaluatedCoarsely(hung({ way: 'keyholes', fixingId: 'chewing-gum' }), fonts)).toThrow(
      /assemblies\.0\.hanging\.fixingId “chewing-gum” is not in the catalogue/,
    );
  });
});

describe('findings of hanging', () => {
  it('nothing to hang it by: found with its weight, mended by any way that suits', () => {
    const { finding, gone } = mended(null, 'nothing-to-hang-by', 'hang-keyholes');
    expect(finding.severity).toBe('fix');
    expect(finding.numbers[0]).toMatchObject({ label: 'weight', unit: 'kg' });
    expect(gone).toBe(true);
    expect(mended(null, 'nothing-to-hang-by', 'hang-cleat').gone).toBe(true);
    expect(found({ way: 'keyholes' }, 'nothing-to-hang-by')).toBeNull();
  });

  it('a way that the place does not take', () => {
    const { finding, gone } = mended({ way: 'keyholes' }, 'nothing-to-hang-by', 'hang-feet', {
      'brief.place': 'counter',
    });
    expect(finding.what).toContain('its place does not take');
    expect(gone).toBe(true);
    expect(mended({ way: 'feet' }, 'nothing-to-hang-by', 'hang-chain', { 'brief.place': 'ceiling' }).gone).toBe(true);
  });

  it('a fixing below its load: a stop, mended by a stronger one or by more', () => {
    const board = { 'brief.wall': { kind: 'board' } };
    const heavy = { ...board, ...inAssembly({ 'case.returnBoardId': 'oak-18', 'case.backBoardId': 'ply-12' }) };
    const weak = { way: 'chain', fixingId: 'board-plug', count: 2 };
    const place = { ...heavy, 'brief.place': 'ceiling', ...inAssembly({ 'case.heightMm': 500, 'case.widthMm': 1600 }) };
    const { finding, gone } = mended(weak, 'fixings-overloaded', 'stronger-fixing', place);
    expect(finding.severity).toBe('stop');
    expect(finding.numbers.find(({ unit }) => unit === '%')!.value).toBeGreaterThan(100);
    expect(gone).toBe(true);
    expect(mended(weak, 'fixings-overloaded', 'more-fixings', place).gone).toBe(true);
  });

  it('a back too weak for its plates: mended by glue blocks', () => {
    const thin = inAssembly({ 'case.backBoardId': 'composite-3', 'case.widthMm': 1600, 'case.heightMm': 500 });
    const { finding, gone } = mended({ way: 'keyholes', count: 2 }, 'back-too-weak', 'glue-blocks', thin);
    expect(finding.numbers[0]!.value).toBeGreaterThan(finding.numbers[1]!.value);
    expect(gone).toBe(true);
  });

  it('upper fixings that are not level: levelled, or placed again', () => {
    const crooked = {
      way: 'keyholes',
      pinned: [
        { xMm: -300, yMm: 100 },
        { xMm: 300, yMm: 104 },
      ],
    };
    const { finding, gone } = mended(crooked, 'fixings-not-level', 'level-fixings');
    expect(finding.numbers[0]!.value).toBeCloseTo(4, 9);
    expect(gone).toBe(true);
    expect(mended(crooked, 'fixings-not-level', 'place-fixings').gone).toBe(true);
    expect(found({ way: 'keyholes' }, 'fixings-not-level')).toBeNull();
  });

  it('a cleat that misses the studs: shorter shift where that is enough, another way else', () => {
    // Studs at −190 and 410 want 2 × (410 + 40) = 900 mm; between the returns there are 816.
    const wall = { 'brief.wall': { kind: 'studs', studPitchMm: 600, studAtMm: 410 } };
    expect(found({ way: 'cleat' }, 'cleat-misses-studs', wall)!.numbers[0]!.value).toBe(816);
    // At −300 and 300 they want 2 × (300 + 40 + 20) = 720.
    const even = { 'brief.wall': { kind: 'studs', studPitchMm: 600, studAtMm: 300 } };
    expect(found({ way: 'cleat' }, 'cleat-misses-studs', even)).toBeNull();
    const narrow = { 'brief.wall': { kind: 'studs', studPitchMm: 600 } };
    const { finding, gone } = mended({ way: 'cleat' }, 'cleat-misses-studs', 'hang-keyholes', narrow);
    expect(finding.why).toContain('not found yet');
    expect(gone).toBe(true);
  });

  it('a back shut in by the cleat between the returns', () => {
    const shut = { way: 'cleat', matedTo: 'returns' };
    const { finding, gone } = mended(shut, 'back-shut-in', 'mate-on-back');
    expect(finding.numbers[0]).toMatchObject({ value: 40, unit: 'mm' });
    expect(gone).toBe(true);
    expect(found({ way: 'cleat' }, 'back-shut-in')).toBeNull();
  });

  it('a cleat thicker than the recess that was made for it', () => {
    const { finding, gone } = mended({ way: 'cleat', cleatMm: 18 }, 'cleat-proud', 'deeper-recess', {
      ...inAssembly({ 'case.recessMm': 12 }),
    });
    expect(finding.numbers[0]).toMatchObject({ value: 6, unit: 'mm' });
    expect(gone).toBe(true);
    expect(found({ way: 'cleat' }, 'cleat-proud')).toBeNull();
  });

  it('no room above to hook it on', () => {
    const { finding, gone } = mended({ way: 'cleat', roomAboveMm: 10 }, 'no-room-to-lift', 'thinner-cleat');
    expect(finding.numbers.map(({ value }) => value)).toEqual([15, 10]);
    expect(gone).toBe(true);
    expect(found({ way: 'cleat', roomAboveMm: 16 }, 'no-room-to-lift')).toBeNull();
  });

  it('feet on which it tips', () => {
    const { finding, gone } = mended({ way: 'feet', footMm: 30 }, 'tips-over', 'deeper-feet', {
      'brief.place': 'counter',
    });
    expect(finding.numbers[0]!.value).toBeLessThan(10);
    expect(gone).toBe(true);
    expect(found({ way: 'feet' }, 'tips-over', { 'brief.place': 'counter' })).toBeNull();
  });

  it('fixings both on one side of its weight let it hang crooked', () => {
    const aside = {
      way: 'keyholes',
      pinned: [
        { xMm: -380, yMm: 100 },
        { xMm: -300, yMm: 100 },
      ],
    };
    const { finding, gone } = mended(aside, 'hangs-crooked', 'place-fixings');
    // Half a millimetre of play each way over 80 mm, on 900 mm: 900 × 1 / 80.
    expect(finding.numbers[0]!.value).toBeCloseTo(11.25, 6);
    expect(gone).toBe(true);
  });

  it('a fixing dragged onto strip: found as a hole that collides, and placed anew', () => {
    const { runs } = evaluatedCoarsely(dispensary, fonts);
    const yMm = runs.segments[0]!.from[1];
    const onStrip = {
      way: 'keyholes',
      pinned: [
        { xMm: -200, yMm },
        { xMm: 200, yMm },
      ],
    };
    const { finding, gone } = mended(onStrip, 'holes-collide', 'fixings-elsewhere');
    expect(finding.what).toContain('strip');
    expect(gone).toBe(true);
  });

  it('plates that carry more than they may: a stop, mended by more of them', () => {
    const heavy = inAssembly({
      'case.widthMm': 2200,
      'case.heightMm': 900,
      'case.returnBoardId': 'oak-18',
      'case.backBoardId': 'ply-12',
    });
    const { finding, gone } = mended({ way: 'keyholes', count: 2 }, 'hardware-overloaded', 'more-fixings', heavy);
    expect(finding.severity).toBe('stop');
    expect(finding.numbers[0]!.value).toBeGreaterThan(10);
    expect(finding.numbers[1]!.value).toBe(10);
    expect(gone).toBe(true);
    expect(found({ way: 'keyholes' }, 'hardware-overloaded')).toBeNull();
  });

  it('a fixing that the wall does not take: told how many go into what', () => {
    const named = { way: 'keyholes', fixingId: 'timber-screw' };
    const { finding, gone } = mended(named, 'wrong-fixing', 'cheapest-fixing');
    expect(finding.numbers[0]).toMatchObject({ value: 2, unit: 'fixings' });
    expect(finding.why).toContain('masonry');
    expect(gone).toBe(true);
    expect(found({ way: 'keyholes', fixingId: 'plug-8' }, 'wrong-fixing')).toBeNull();
  });

  it('a wall for which the shop has no fixing at all: a stop, and no way on the wall is taken for one', () => {
    const shop = {
      ...shippedCatalogue,
      fixings: shippedCatalogue.fixings.filter(({ holdsIn }) => !holdsIn.includes('board')),
    };
    const asked = (kind: string) => {
      const design = hung({ way: 'keyholes' }, { 'brief.wall': { kind } });
      const result = createEvaluator(shop, fonts).quick(design);
      if (!result.ok) throw new Error('refused');
      return result.value.findings.find(({ rule }) => rule === 'nothing-holds');
    };
    expect(asked('board')).toMatchObject({ severity: 'stop', what: 'No fixing on the shelf holds in board' });
    expect(asked('masonry')).toBeUndefined();
  });

  it('a sign that is too low to hide its cleat', () => {
    const low = inAssembly({ 'case.heightMm': 90, 'artwork.capHeightMm': 30, 'light.rowCount': 1 });
    const { finding, gone } = mended({ way: 'cleat', cleatMm: 18 }, 'cleat-shows', 'hang-keyholes', low);
    // Two battens of 54 mm, hooked 18 mm into each other.
    expect(finding.numbers[1]!.value).toBe(90);
    expect(gone).toBe(true);
    expect(found({ way: 'cleat' }, 'cleat-shows')).toBeNull();
  });

  it('a mate between the returns counts for a cleat alone: plates are still judged by the back', () => {
    const { hang } = evaluatedCoarsely(hung({ way: 'keyholes', matedTo: 'returns' }), fonts);
    expect(hang!.back).not.toBeNull();
    expect(evaluatedCoarsely(hung({ way: 'cleat', matedTo: 'returns' }), fonts).hang!.back).toBeNull();
    // Blocks are no help to a cleat, whose screws stand all along.
    expect(evaluatedCoarsely(hung({ way: 'cleat', blocks: true }), fonts).hang).toMatchObject({
      blocks: false,
      takesBlocks: false,
    });
  });
});
