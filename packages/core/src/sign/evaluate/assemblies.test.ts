import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, dispensary, sound, testFonts } from '../../testing/harness.js';
import { packOf } from '../../testing/packs.js';
import { flaws } from '../../testing/soundness.js';
import { commissionSteps } from '../commissioning/index.js';
import { demoDesigns } from '../demo/index.js';
import { applyChange, copyAssembly, type Design } from '../design/index.js';
import { createEvaluator, finish, type Evaluation } from './index.js';

let fonts: FontBook;
let twice: Evaluation;
let once: Evaluation;
let lantern: Evaluation;

/** A design with its first assembly once more. */
const doubled = (design: Design): Design => {
  const result = applyChange(design, copyAssembly(design, 0).change);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

beforeAll(async () => {
  fonts = await testFonts();
  const evaluator = () => createEvaluator(shippedCatalogue, fonts);
  once = sound(evaluator().quick(dispensary));
  twice = sound(evaluator().quick(doubled(dispensary)));
  lantern = sound(evaluator().quick(demoDesigns['lantern-rooms']));
});

describe('a sign of two boxes alike', () => {
  it('has each lit as it would be alone, but for what longer wires lose', () => {
    const [alone] = once.assemblies;
    for (const { glow, cut, runs } of twice.assemblies) {
      expect(glow.evenness.meanCdM2 / alone!.glow.evenness.meanCdM2).toBeCloseTo(1, 1);
      expect(glow.evenness.minOverMean).toBeCloseTo(alone!.glow.evenness.minOverMean, 2);
      expect(cut).toHaveLength(alone!.cut.length);
      expect(runs).toEqual(alone!.runs);
    }
    expect(flaws(twice)).toEqual([]);
  });

  it('draws twice as much from supplies that both share', () => {
    expect(twice.circuit.nominalWatts).toBeCloseTo(2 * once.circuit.nominalWatts, 9);
    expect(twice.circuit.shares.map(({ watts }) => watts).reduce((sum, watts) => sum + watts)).toBeLessThanOrEqual(
      twice.circuit.watts + 1e-9,
    );
    expect(twice.circuit.segments.map(({ label }) => label)).toEqual([
      ...once.circuit.segments.map(({ label }) => `A${label}`),
      ...once.circuit.segments.map(({ label }) => `B${label}`),
    ]);
    expect(twice.circuit.residualA).toBeLessThan(1e-6);
  });

  it('is cut from sheets that both share, and names the parts of each apart', () => {
    expect(twice.parts.kg).toBeGreaterThan(1.9 * once.parts.kg);
    expect(twice.parts.cut).toHaveLength(2 * once.parts.cut.length);
    expect(new Set(twice.parts.cut.map(({ id }) => id)).size).toBe(twice.parts.cut.length);
    const sheets = ({ packing }: Evaluation) => packing.sheets.reduce((sum, each) => sum + each.sheets, 0);
    expect(sheets(twice)).toBeLessThanOrEqual(2 * sheets(once));
    expect(twice.cost.perSign).toBeGreaterThan(1.4 * once.cost.perSign);
    expect(twice.cost.perSign).toBeLessThan(2 * once.cost.perSign);
  });

  it('tells the findings of each apart', () => {
    const rows = twice.findings.filter(({ rule }) => rule === 'dots-show');
    expect(rows.map(({ assembly }) => assembly)).toEqual([0, 1]);
    expect(new Set(twice.findings.map(({ id }) => id)).size).toBe(twice.findings.length);
  });

  it('works out anew only what an edit of one of them changes', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    const first = sound(evaluator.quick(doubled(dispensary)));
    const edited = changed(doubled(dispensary), { 'assemblies.1.artwork.capHeightMm': 60 });
    const second = sound(evaluator.quick(edited));
    expect(second.assemblies[0]!.glow).toBe(first.assemblies[0]!.glow);
    expect(second.assemblies[0]!.cut).toBe(first.assemblies[0]!.cut);
    expect(second.circuit).toBe(first.circuit);
    expect(second.assemblies[1]!.lettering).not.toEqual(first.assemblies[1]!.lettering);
  });
});

describe('a box with halo letters on its front', () => {
  it('has the letters before the front of the box, and wires between both', () => {
    const [box, letters] = lantern.assemblies;
    expect(letters!.placing.zMm).toBeCloseTo(box!.section.frontZMm, 9);
    expect(lantern.depthMm).toBeCloseTo(letters!.placing.zMm + letters!.geometry.outside.depthMm, 9);
    const chains = lantern.circuit.chains.map(({ segments }) =>
      [...new Set(segments.map((segment) => lantern.circuit.segments[segment]!.assembly))].sort(),
    );
    expect(chains.flat()).toEqual(expect.arrayContaining([0, 1]));
    expect(lantern.circuit.supplyCount).toBe(1);
    expect(flaws(lantern)).toEqual([]);
  });

  it('is measured segment by segment, and warm in each', () => {
    const steps = commissionSteps(lantern);
    const named = steps.filter(({ id }) => id === 'segment').map(({ title }) => title);
    expect(named[0]).toBe('Segment A1 alone');
    expect(named.at(-1)).toMatch(/^Segment B\d+ alone$/);
    expect(new Set(steps.filter(({ stage }) => stage === 'soak').map(({ at }) => at?.assembly))).toEqual(
      new Set(['box', 'letters']),
    );
  });

  it('has one pack, whose files say which of both they are of', async () => {
    const names = (await packOf(lantern)).map(({ path }) => path);
    expect(new Set(names).size).toBe(names.length);
    for (const id of ['box', 'letters']) expect(names.some((name) => name.startsWith(`parts/${id}-`))).toBe(true);
  });

  it('can be turned and moved without changing its light', () => {
    const moved = changed(demoDesigns['lantern-rooms'], {
      'assemblies.1.place.turnDeg': 12,
      'assemblies.1.place.xMm': 30,
    });
    const now = sound(createEvaluator(shippedCatalogue, fonts).quick(moved));
    const [, before, after] = [null, lantern.assemblies[1]!, now.assemblies[1]!];
    expect(after.placing.turnRad).toBeCloseTo((12 * Math.PI) / 180, 9);
    expect(after.glow.evenness.meanCdM2 / before.glow.evenness.meanCdM2).toBeCloseTo(1, 1);
    expect(now.bounds.height).toBeGreaterThan(0);
  });

  it('tries its fixes whatever was evaluated before it, with a catalogue that came over the wire', () => {
    const catalogue = structuredClone(shippedCatalogue);
    const evaluator = createEvaluator(catalogue, fonts);
    sound(evaluator.evaluate(dispensary));
    const strips = ['white-12v-60', 'zigzag-12v-120', 'white-12v-60'];
    for (const stripId of strips) {
      const design = changed(demoDesigns['lantern-rooms'], { 'assemblies.0.light.stripId': stripId });
      const { packing } = sound(evaluator.evaluate(design));
      expect(new Set(packing.reels.map((reel) => reel.stripId)).size).toBe(packing.reels.length);
      expect(finish(evaluator.fixes()).length).toBeGreaterThan(0);
    }
  });
});
