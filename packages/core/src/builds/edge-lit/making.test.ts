import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns, newDesign } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import type { TraceReport } from '../common/trace-report.js';
import { atEdgesAlone, isSheetSide } from './sheet-light.js';
import { panelTrace } from './trace-check.js';
import { passesFor } from './areas.js';
import { usualHolder } from './holders.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const panel = (change: Change = {}) => evaluatedCoarsely(changed(quietRoom, inAssembly(change)), fonts);
const detail = (results: ReturnType<typeof panel>, id: string): string => {
  const found = results.buildList.steps.find((step) => step.id === id);
  if (found === undefined) throw new Error(`no step ${id}`);
  return `${found.title}. ${found.detail}`;
};
const bought = (results: ReturnType<typeof panel>, id: string): number =>
  results.parts.bought.find((part) => part.id === id)?.quantity ?? 0;

describe('making a panel', () => {
  it('goes as deep in as many passes as its tool wants', () => {
    expect(passesFor(panel().areas[0]!)).toBe(2);
    expect(passesFor(panel({ 'artwork.depthMm': 0.15 }).areas[0]!)).toBe(1);
    expect(detail(panel(), 'lettering')).toContain('in 2 passes');
    expect(detail(panel({ 'artwork.depthMm': 0.1 }), 'lettering')).toContain('in 1 pass.');
  });

  it('says how each tool begins, with what can hurt', () => {
    const steps = ['engrave-beam', 'engrave-bit', 'engrave-hand', 'sand-through'].map((toolId) =>
      panel({ 'artwork.toolId': toolId, 'artwork.depthMm': 0.03 }).buildList.steps.find(
        ({ id }) => id === 'lettering',
      )!,
    );
    expect(new Set(steps.map(({ detail: words }) => words)).size).toBe(4);
    expect(steps.every(({ caution }) => (caution ?? '').length > 20)).toBe(true);
  });

  it('polishes every lit edge, and finishes the others as they are to be', () => {
    const results = panel({
      holder: usualHolder('frame', {
        widthMm: 240,
        heightMm: 160,
        thicknessMm: 6,
        stripWidthMm: 5,
        stripHeightMm: 1.6,
        gapMm: 0.5,
      }),
      hanging: { way: 'feet' },
      'light.edges': ['bottom', 'top'],
      'sheet.unlit': { left: 'white', right: 'polished', bottom: 'black' },
    });
    expect(detail(results, 'edges')).toContain('top, bottom');
    expect(detail(results, 'edge-left')).toContain('white tape');
    // What is lit is not taped, and polished is no step of its own.
    expect(results.buildList.steps.filter(({ id }) => id.startsWith('edge-')).map(({ id }) => id)).toEqual([
      'edge-left',
    ]);
    expect(bought(results, 'edge-polish')).toBeCloseTo(0.48, 9);
  });

  it('buys a board or paint for behind it, film for a stencil, feet for a base', () => {
    expect(bought(panel(), 'rubber-foot')).toBe(4);
    expect(bought(panel(), 'behind-black')).toBe(0);
    expect(bought(panel({ 'sheet.behind': 'black' }), 'behind-black')).toBeCloseTo(0.24 * 0.16, 9);
    expect(bought(panel({ 'artwork.toolId': 'sand-through', 'artwork.depthMm': 0.03 }), 'blast-resist')).toBeCloseTo(
      0.0384,
      9,
    );
  });

  it('stands by itself, its centre low and in the middle; framed it hangs', () => {
    const { hang } = panel();
    expect(hang).toMatchObject({ way: 'stands', fixings: [] });
    const [body] = hang!.bodies;
    expect(Math.abs(body!.centre[2] - 35)).toBeLessThan(1);
    expect(body!.centre[1]).toBeLessThan(0);
    const mirror = evaluatedCoarsely(demoDesigns['hat-mirror'], fonts);
    expect(mirror.hang?.way).toBe('brackets');
    expect(mirror.hang!.fixings.length).toBeGreaterThan(1);
    expect(mirror.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it('weighs what its parts weigh', () => {
    const { cut } = panel();
    const sheet = cut.find(({ id }) => id === 'sheet')!;
    expect(sheet.kg).toBeCloseTo(0.24 * 0.16 * 0.006 * 1190, 2);
    const block = cut.find(({ id }) => id === 'base')!;
    expect(block.kg).toBeLessThan(0.27 * 0.07 * 0.04 * 700);
    expect(block.kg).toBeGreaterThan(0.7 * 0.27 * 0.07 * 0.04 * 700);
  });

  it('is glued in where it is to be, and oiled where the wood shows its grain', () => {
    const { finishing } = panel({ 'holder.fit': 'glued', 'holder.playMm': 0.15 });
    expect(finishing.bonds.find(({ id }) => id === 'sheet')?.holds).toBe(true);
    expect(finishing.surfaces.map(({ name }) => name)).toEqual(['outside of the base']);
    expect(finishing.surfaces[0]!.layers[0]!.paint.kind).toBe('oil');
    expect(panel().finishing.bonds).toEqual([]);
  });

  it('begins framed where it is large, in a base where it is not', () => {
    const start = (widthMm: number, heightMm: number) => {
      const design = newDesign('edge-lit', {
        name: 'New',
        text: 'OPEN',
        readingDistanceMm: 3000,
        sizesMm: { widthMm, heightMm },
      });
      const [own] = design.assemblies;
      return own?.build === 'edge-lit' ? own : null;
    };
    expect(start(240, 160)?.holder.kind).toBe('base');
    expect(start(1200, 400)?.holder.kind).toBe('frame');
    expect(start(1200, 400)?.light.edges).toEqual(['bottom', 'top']);
    expect(start(1800, 900)?.sheet.paneId).toContain('large');
    expect(start(2000, 300)?.holder.boardId).toBe('ply-18');
  });
});

describe('photons one by one through a panel', () => {
  it('agree with its rays on what comes out of the artwork, at the edges, and on what is lost', () => {
    const results = panel();
    const seen: TraceReport[] = [];
    for (const report of panelTrace(results)) {
      seen.push(report);
      if (report.photons >= 60_000) break;
    }
    const last = seen.at(-1)!;
    expect(Math.abs(last.apartShare)).toBeLessThan(0.02 + 3 * last.outErrorShare);
    for (const { traced, quick } of last.shares) expect(Math.abs(traced - quick)).toBeLessThan(0.015);
    expect(last.imbalanceShare).toBeLessThan(1e-9);
  });

  it('come to an end by themselves', () => {
    const reports = [...panelTrace(panel({ 'light.gapMm': 8, 'holder.slotMm': 10, 'artwork.depthMm': 0.01 }))];
    expect(reports.at(-1)!.done).toBe(true);
    expect(reports.slice(0, -1).every(({ done }) => !done)).toBe(true);
  }, 120_000);
});

describe('strip under a case', () => {
  const counter = demoDesigns['counter-top'];
  const under = (mm: number) => evaluatedCoarsely(changed(counter, inAssembly({ 'holder.underMm': mm })), fonts);

  it('lies in rows along it, whole cuts, and looks down', () => {
    const { runs, geometry, materials } = under(4300);
    const rows = runs.segments.filter(({ on }) => on === 'back');
    // 717 mm of case without 60: seven rows of 24 or 25 cuts of 25 mm, all of 172.
    expect(rows).toHaveLength(Math.ceil(4300 / (geometry.outside.widthMm - 60)));
    expect(rows.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBeCloseTo(4300, 6);
    expect(
      Math.max(...rows.map(({ lengthMm }) => lengthMm)) - Math.min(...rows.map(({ lengthMm }) => lengthMm)),
    ).toBeLessThan(26);
    const { cutPitchMm } = materials.strip;
    for (const { lengthMm, normal, from, to } of rows) {
      expect(Math.abs(lengthMm / cutPitchMm - Math.round(lengthMm / cutPitchMm))).toBeLessThan(1e-6);
      expect(normal).toEqual([0, 0, -1]);
      expect(from[2]).toBeLessThan(geometry.rearZMm);
      expect(Math.max(Math.abs(from[0]), Math.abs(to[0]))).toBeLessThanOrEqual(geometry.outside.widthMm / 2 - 30);
    }
  });

  it('is fed, bought and warm, and takes nothing from the sheet', () => {
    const [none, some] = [under(0), under(4300)];
    const perM = some.materials.strip.wattsPerM;
    const more = (some.runs.stripMm - none.runs.stripMm) / 1000;
    expect(more).toBeGreaterThan(4);
    expect(some.circuit.watts - none.circuit.watts).toBeGreaterThan(0.8 * perM * more);
    expect(Math.abs(some.glow.patches.meanCdM2 / none.glow.patches.meanCdM2 - 1)).toBeLessThan(0.05);
    expect(some.glow.emittedLm / none.glow.emittedLm).toBeGreaterThan(0.95);
    expect(none.glow.underLm).toBe(0);
    const wanted = more * some.materials.strip.lumensPerM;
    expect(some.glow.underLm / wanted).toBeGreaterThan(0.85);
    expect(some.glow.underLm / wanted).toBeLessThanOrEqual(1);
    expect(detail(some, 'strip')).toContain('never leave it coiled');
    expect(some.cut.find(({ id }) => id === 'case-bottom')!.note).toContain('hole of 8 mm');
  });

  it('colours nothing of the sheet, however far it is from its supply', () => {
    const rgb = { 'light.stripId': 'rgb-24v-60', 'holder.underMm': 4300 };
    const { runs, share } = evaluatedCoarsely(
      changed(counter, { ...inAssembly(rgb), 'brief.light': { kind: 'rgb', colour: '#ff8040' } }),
      fonts,
    );
    const alone = atEdgesAlone(runs, share);
    runs.leds.segment.forEach((segment, led) => {
      const group = share.groupOfLed[led]!;
      const lit = isSheetSide(runs.segments[segment]!.on);
      alone.groupShares.forEach((shares, channel) =>
        expect(shares[group]).toBe(lit ? share.groupShares[channel]![group] : 0),
      );
    });
    expect(alone.groupShares.some((shares) => shares.includes(0))).toBe(true);
  });
});
