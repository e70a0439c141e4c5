import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { bandLuminance } from '../../light/line/index.js';
import { colourOf, driftAt } from '../../light/glow/index.js';
import { wattsOfRuns } from '../../light/runs/index.js';
import type { Design } from '../../sign/design/index.js';
import { changed, evaluated, inAssembly, lateSoup, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import { evenWays, runsIn } from './even-ways.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const red = { layer: 'red', stripId: 'rgb-24v-60', colour: '#ff0000' };

/** Two straight lines, the upper in a layer of its own. */
const two = (layers: readonly object[]) =>
  changed(lateSoup, {
    ...inAssembly({
      'lines.drawn': {
        name: 'two',
        scale: 1,
        lines: [
          { points: [-200, 40, 200, 40], closed: false, layer: 'red' },
          { points: [-200, -40, 200, -40], closed: false, layer: 'rest' },
        ],
      },
      'lines.ends': [],
      'light.layers': layers,
      'carrier.shape': 'margin',
      'groove.coverId': 'flat-cover-12',
    }),
    'power.level': 1,
    'power.jointId': undefined,
    'brief.control': 'remote',
  });

const strip = (id: string) => shippedCatalogue.strips.find((each) => each.id === id)!;

describe('strip by layer', () => {
  it('is cut at its own marks, and each chain is of one', () => {
    const own = evaluated(two([red]), fonts);
    const { circuit, materials, runs } = own;
    const kinds = circuit.segments.map((each) => each.strip.id);
    expect(new Set(kinds)).toEqual(new Set([materials.strip.id, 'rgb-24v-60']));
    for (const { lengthMm, strip: kind } of circuit.segments) {
      expect(lengthMm / kind.cutPitchMm).toBeCloseTo(Math.round(lengthMm / kind.cutPitchMm), 6);
      expect(400 - lengthMm).toBeLessThan(kind.cutPitchMm);
    }
    for (const { segments } of circuit.chains) expect(new Set(segments.map((each) => kinds[each])).size).toBe(1);
    expect(runs.segments.find(({ own: its }) => its !== undefined)?.from[1]).toBeCloseTo(40, 6);
    // A white one and a mixed colour are switched by outputs of their own.
    expect(new Set(circuit.chains.map(({ zone }) => zone)).size).toBe(2);
  });

  it('draws what both draw, and is bought and cut from reels of both', () => {
    const own = evaluated(two([red]), fonts);
    const { circuit, materials, runs, parts, packing } = own;
    const sum = circuit.segments.reduce(
      (total, { lengthMm, strip: kind }) => total + (lengthMm / 1000) * kind.wattsPerM,
      0,
    );
    expect(wattsOfRuns(materials.strip, runs)).toBeCloseTo(sum, 9);
    expect(circuit.nominalWatts).toBeCloseTo(sum, 9);
    for (const kind of [materials.strip, strip('rgb-24v-60')]) {
      const metres = circuit.segments
        .filter((each) => each.strip.id === kind.id)
        .reduce((total, { lengthMm }) => total + lengthMm / 1000, 0);
      expect(parts.bought.find(({ id }) => id === kind.id)?.quantity).toBeCloseTo(metres, 9);
    }
    expect(packing.reels.map(({ stripId }) => stripId).sort()).toEqual([materials.strip.id, 'rgb-24v-60'].sort());
  });

  it('shines in its own colour, as bright as its own light makes it', () => {
    const { glow, geometry, share, runs, materials } = evaluated(two([red]), fonts);
    const { grid, drift } = glow;
    const upper = geometry.lines.findIndex(({ layer }) => layer === 'red');
    const ownLm = colourOf({ kind: 'rgb', colour: '#ff0000' }, strip('rgb-24v-60')).lumensPerM;
    const leds = [...runs.leds.segment.keys()].filter(
      (led) => runs.segments[runs.leds.segment[led]!]!.own !== undefined,
    );
    const mean = leds.reduce((total, led) => total + share.fluxShare[led]!, 0) / leds.length;
    const lit =
      (leds.length * ownLm * mean * glow.way.out) / strip('rgb-24v-60').ledsPerM / geometry.lines[upper]!.lengthMm;
    expect(glow.linesCdM2[upper]! / bandLuminance(lit, geometry.groove.litMm, geometry.groove.cover)).toBeCloseTo(1, 2);
    const hueAt = (y: number): readonly number[] => {
      const factors = new Float64Array(3);
      driftAt(drift!, (0 - grid.area.x) / grid.area.width, (y - grid.area.y) / grid.area.height, factors);
      return [...factors].map((factor, part) => factor * glow.hue[part]!);
    };
    expect(hueAt(40)[1]).toBeLessThan(0.02);
    expect(hueAt(40)[0]).toBeCloseTo(1 / 0.2126, 1);
    hueAt(-40).forEach((part, at) => expect(part).toBeCloseTo(glow.hue[at]!, 2));
    // Each line is even by itself: unlike brightness of two colours is no dark place.
    expect(glow.evenness.minOverMean).toBeGreaterThan(0.7);
    expect(materials.layers).toHaveLength(1);
  });

  it('has a groove for the larger of both', () => {
    const alone = evaluated(two([]), fonts);
    const both = evaluated(two([red]), fonts);
    const widest = Math.max(alone.materials.strip.widthMm, strip('rgb-24v-60').widthMm);
    expect(both.geometry.groove.stripAcrossMm).toBe(widest);
  });

  it('of another voltage cannot share a supply: found, and mended by its like', () => {
    const design = two([{ layer: 'red', stripId: 'rgb-12v-60', colour: '#ff0000' }]);
    const { finding, gone } = mendedBy(design, fonts, 'layers-differ', 'layer-strip');
    expect(finding.severity).toBe('stop');
    expect(finding.fixes[0]?.label).toContain('24 V');
    expect(gone).toBe(true);
  });

  it('is wired by zones and outputs of its own, in parallel and in groups in series', () => {
    const parallel = evaluated(two([red]), fonts).circuit;
    const { controller } = parallel.drive;
    // One output for white, three for what is mixed.
    expect(controller).not.toBeNull();
    expect(controller!.channels).toBeGreaterThanOrEqual(4);
    const cut = { segment: 1, atMm: 200 };
    const groups = evaluated(
      changed(two([{ ...red, stripId: 'coated-white-24v-60', colour: undefined }]), {
        ...inAssembly({ 'light.cuts': [cut, { segment: 2, atMm: 200 }] }),
        'power.arrangement': 'series-groups',
      }),
      fonts,
    ).circuit;
    expect(groups.pairs).toHaveLength(2);
    for (const { groups: pair } of groups.pairs)
      expect(new Set(pair.flat().map((each) => groups.segments[each]!.strip.id)).size).toBe(1);
  });

  it('is as even as its own marks let it be, and says how far its runs are from that', () => {
    const own = evaluated(
      changed(
        two([red]),
        inAssembly({
          'lines.drawn': {
            name: 'two',
            scale: 1,
            lines: [
              { points: [-180, 40, 180, 40], closed: false, layer: 'red' },
              { points: [-180, -40, 180, -40], closed: false, layer: 'rest' },
            ],
          },
        }),
      ),
      fonts,
    );
    const stretches = runsIn(own);
    expect(new Set(stretches.map(({ cutPitchMm }) => cutPitchMm))).toEqual(
      new Set([own.materials.strip.cutPitchMm, strip('rgb-24v-60').cutPitchMm]),
    );
    const [way] = evenWays(own);
    expect(way?.way.uneven).toBe(0);
    for (const { afterMm, bareMm, cuts } of way!.way.runs) expect(afterMm - bareMm).toBeGreaterThan(cuts * 10);
  });

  it('bare in the rain is told, though the rest is coated', () => {
    const wet = changed(two([{ layer: 'red', stripId: 'white-24v-60' }]), {
      ...inAssembly({ 'light.stripId': 'coated-white-24v-60' }),
      'brief.exposure': 'outdoors',
    });
    const found = evaluated(wet, fonts).findings.find(({ rule }) => rule === 'bare-outdoors');
    expect(found?.severity).toBe('stop');
    expect(found?.numbers[0]?.value).toBeCloseTo(0.4, 6);
    const dry = changed(wet, inAssembly({ 'light.layers': [{ layer: 'red', stripId: 'coated-white-24v-60' }] }));
    expect(evaluated(dry, fonts).findings.some(({ rule }) => rule === 'bare-outdoors')).toBe(false);
  });

  it('is told by the step that lays it, segment by segment, and spilt in its own colour beside a dome', () => {
    const own = evaluated(changed(two([red]), inAssembly({ 'groove.coverId': 'soft-dome-8' })), fonts);
    const laid = own.buildList.steps.find(({ id }) => id === 'strip')!;
    expect(laid.detail).toContain(`${strip('rgb-24v-60').name}: 2`);
    const { grid, drift, luminance, hue } = own.glow;
    const factors = new Float64Array(3);
    const beside = 40 + own.geometry.groove.litMm / 2 + 3;
    driftAt(drift!, -grid.area.x / grid.area.width, (beside - grid.area.y) / grid.area.height, factors);
    expect(luminance.some((cdM2) => cdM2 > 0)).toBe(true);
    // Next to the red line nearly all that falls on the board is red.
    expect(factors[0]! * hue[0]).toBeGreaterThan(4 * factors[1]! * hue[1]);
  });

  it('that is not in the catalogue is told with its field', () => {
    const design = two([{ layer: 'red', stripId: 'nothing' }]) as unknown as Design;
    const result = coarseEvaluator(fonts).evaluate(design);
    expect(result.ok ? '' : result.problems[0]!.path).toContain('light.layers.0.stripId');
  });
});
