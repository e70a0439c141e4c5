import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, evaluated, evaluatedCoarsely, inAssembly, reedBed, testFonts } from '../../testing/harness.js';
import { findingOn } from '../../testing/mended.js';
import { layersFigures } from './figures.js';
import { pilesOf, pileWords } from './parts.js';
import type { LayersResults } from './results.js';
import type { SheetDesign } from './schema.js';
import { layersSeeds } from './seeds.js';
import { layersTemplates } from './templates.js';
import { layersToFinish } from './to-finish.js';

let fonts: FontBook;
let own: ReturnType<typeof evaluated<typeof reedBed>>;
beforeAll(async () => {
  fonts = await testFonts();
  own = evaluated(reedBed, fonts);
});

const sheets = reedBed.assemblies[0]!.scene.sheets;
const withSheets = (kept: readonly SheetDesign[], rest: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(reedBed, inAssembly({ 'scene.sheets': kept, ...rest })), fonts);
const stepOf = ({ buildList }: Pick<typeof own, 'buildList'>, id: string) =>
  buildList.steps.find((step) => step.id === id || step.id.endsWith(`-${id}`));

describe('parts of a scene', () => {
  it('are a sheet each, as large and as heavy as its outline, numbered from the back', () => {
    const cut = own.cut.filter(({ id }) => id.startsWith('sheet-'));
    expect(cut.map(({ name }) => name)).toEqual(['Far bank', 'Far reeds', 'Otter', 'Near reeds', 'Bank']);
    cut.forEach((part, at) => {
      const { outline, stock } = own.scene.sheets[at]!;
      const bounds = outlineBounds(outline)!;
      expect(part.widthMm).toBeCloseTo(bounds.width, 6);
      expect(part.heightMm).toBeCloseTo(bounds.height, 6);
      // 3 mm of plywood at 650 kg/m³.
      expect(part.kg).toBeCloseTo((Math.abs(outlineArea(outline)) * 3 * 650) / 1e9, 9);
      expect(part.note).toContain(`sheet ${at + 1} of 5 from the back`);
      expect(part.kerfMm).toBeGreaterThan(0);
      expect(stock.id).toBe('ply-3');
    });
  });

  it('carry marks where what stands on them has its feet', () => {
    const marks = own.cut
      .filter(({ id }) => id.startsWith('sheet-'))
      .map(
        ({ layers }) => layers.filter(({ operation }) => operation === 'mark').flatMap(({ shapes }) => shapes).length,
      );
    const feet = own.scene.sheets.flatMap(({ carried }) => carried.flatMap(({ posts }) => posts));
    expect(marks.reduce((sum, each) => sum + each, 0)).toBe(feet.filter(({ on }) => on !== null).length);
  });

  it('take spacers by their kind, as many as all piles have', () => {
    const bought = own.bought.filter(({ id }) => shippedCatalogue.spacers.some((spacer) => spacer.id === id));
    const wanted = new Map<string, number>();
    for (const { pieces } of pilesOf(own.scene))
      for (const { spacer, count } of pieces) wanted.set(spacer.id, (wanted.get(spacer.id) ?? 0) + count);
    expect(Object.fromEntries(bought.map(({ id, quantity }) => [id, quantity]))).toEqual(Object.fromEntries(wanted));
    for (const pile of pilesOf(own.scene)) expect(pileWords(pile)).toMatch(/\d mm/);
  });
});

describe('steps of a scene', () => {
  it('try everything dry before paint, and glue from the back on', () => {
    const ids = own.buildList.steps.map(({ id }) => id);
    const at = (id: string): number => ids.findIndex((each) => each === id || each.endsWith(`-${id}`));
    expect(at('sheets')).toBeGreaterThan(-1);
    expect(at('dry-stack')).toBeGreaterThan(at('sheets'));
    expect(at('sheet-edges')).toBeGreaterThan(at('dry-stack'));
    const stacked = own.buildList.steps.filter(({ id }) => /stack-\d/.test(id));
    expect(stacked).toHaveLength(5);
    expect(stacked[0]!.title).toContain('Far bank');
    expect(stacked.at(-1)!.title).toContain('Bank');
    expect(at('touch-up')).toBeGreaterThan(at('stack-5'));
    expect(ids.some((id) => id === 'lettering')).toBe(false);
  });

  it('tell the longest brad that comes out nowhere', () => {
    const brads = own.buildList.steps.flatMap(({ detail }) => /Brads .*: (\d+) mm/.exec(detail)?.[1] ?? []).map(Number);
    expect(brads.length).toBeGreaterThan(0);
    own.scene.sheets.forEach(({ carried, stock }, at) => {
      const through = carried
        .flatMap(({ posts }) => posts)
        .map(({ pile, on }) => stock.thicknessMm + pile.heightMm + (on === null ? own.geometry.back.thicknessMm : 3));
      if (brads[at] !== undefined && through.length > 0)
        expect(brads[at]).toBeLessThanOrEqual(Math.min(...through) - 2);
    });
  });

  it('leave paint and spacers out where there is nothing to paint and nothing to carry', () => {
    const glowing = withSheets([{ ...sheets[0]!, materialId: 'opal-3', heightMm: 0 }]);
    expect(stepOf(glowing, 'sheet-edges')).toBeUndefined();
    expect(glowing.finishing.surfaces.some(({ id }) => id === 'sheets')).toBe(false);
    const empty = withSheets([]);
    expect(stepOf(empty, 'sheets')).toBeUndefined();
    expect(layersToFinish(empty as unknown as LayersResults).bonds.some(({ id }) => id === 'spacers')).toBe(false);
  });
});

describe('paint and glue of a scene', () => {
  it('are both sides of every painted sheet, and two beads a foot', () => {
    const { surfaces, bonds } = layersToFinish(own);
    const area = own.scene.sheets.reduce((sum, { outline }) => sum + Math.abs(outlineArea(outline)), 0) / 1e6;
    expect(surfaces.find(({ id }) => id === 'sheets')!.m2).toBeCloseTo(2 * area, 9);
    const feet = own.scene.sheets.flatMap(({ carried }) => carried.flatMap(({ posts }) => posts)).length;
    expect(bonds.find(({ id }) => id === 'spacers')!.mm).toBe(60 * feet);
  });
});

describe('templates and figures of a scene', () => {
  it('are one to trace it all from, and a plan for each sheet that stands on spacers', () => {
    const found = layersTemplates(own);
    expect(found['scene-to-trace']).toBeDefined();
    const plans = Object.keys(found).filter((name) => name.startsWith('spacers-'));
    expect(plans).toHaveLength(
      own.scene.sheets.filter(({ carried }) => carried.some(({ posts }) => posts.length > 0)).length,
    );
    for (const { widthMm, heightMm } of Object.values(found)) {
      expect(widthMm).toBeGreaterThan(own.geometry.inside.widthMm - 1);
      expect(heightMm).toBeGreaterThan(own.geometry.inside.heightMm - 1);
    }
  });

  it('say how deep it is, its weakest step, and that the strip is hidden', () => {
    const figures = layersFigures(own);
    const of = (id: string) => figures.find((figure) => figure.id === id)!;
    expect(of('depth').text).toBe('74 mm');
    expect(of('strip-hidden').text).toBe('hidden');
    expect(of('layers-told').value).toBeGreaterThan(10);
    expect(of('luminance').unit).toBe('cd/m²');
    const alone = withSheets([]);
    expect(layersFigures(alone as unknown as LayersResults).find(({ id }) => id === 'layers-told')!.text).toBe(
      'one layer',
    );
  });
});

describe('a scene made again', () => {
  it('keeps its sheets, and takes strips whose light the map knows, within the room before the foremost', () => {
    const aim = { leastCdM2: 5, wantedCdM2: 40, mostCdM2: 2000, dayAndNight: false };
    const seeds = layersSeeds(own, shippedCatalogue, aim);
    expect(seeds.length).toBeGreaterThan(1);
    for (const { change } of seeds) {
      expect(change.some(({ path }) => path.endsWith('light.stripId'))).toBe(true);
      expect(change.every(({ path }) => !path.includes('scene'))).toBe(true);
    }
  });
});

describe('LEDs that show near the rim', () => {
  it('are found on a window close to few of them, and mended by finer strip', () => {
    const near = changed(
      reedBed,
      inAssembly({
        'light.stripId': 'white-24v-60',
        'light.fromBackMm': 58,
        'scene.sheets': [sheets[0]!, { ...sheets[4]!, materialId: 'opal-3' }],
      }),
    );
    const finding = findingOn(near, fonts, 'scallops-show');
    expect(finding!.numbers[0]!.value).toBeGreaterThan(1);
    expect(finding!.fixes.map(({ id }) => id)).toContain('change-strip');
    expect(findingOn(reedBed, fonts, 'scallops-show')).toBeNull();
  });
});
