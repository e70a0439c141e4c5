import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  inAssembly,
  signEvaluatedCoarsely,
  testFonts,
} from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const wiring = (design: Design) => {
  const evaluation = signEvaluatedCoarsely(design, fonts);
  return { evaluation, steps: evaluation.buildList.steps.filter(({ id }) => /^chain-|^controller$/.test(id)) };
};

describe('the build list of the wiring', () => {
  it.each(Object.entries(demoDesigns))(
    'of %s has a step for each chain that names each of its wires and cores',
    (_, design) => {
      const { evaluation, steps } = wiring(design);
      const { circuit } = evaluation;
      expect(steps.filter(({ id }) => id.startsWith('chain-'))).toHaveLength(circuit.chains.length);
      for (const { from, to, chain, cores } of circuit.wires) {
        const { detail } = steps.find(({ id }) => id === `chain-${chain}`)!;
        expect(detail).toContain(`${from} to ${to}`);
        for (const { name, colour } of cores) expect(detail).toContain(`${name} ${colour}`);
      }
      expect(steps.every(({ minutes, detail }) => minutes > 0 && !/undefined|NaN/.test(detail))).toBe(true);
    },
  );

  it('comes before the soak, and the controller after its chains', () => {
    const { evaluation } = wiring(demoDesigns.slipway);
    const ids = evaluation.buildList.steps.map(({ id }) => id);
    expect(ids.indexOf('chain-1')).toBeGreaterThan(ids.indexOf('solder'));
    expect(ids.indexOf('controller')).toBeGreaterThan(ids.indexOf('chain-1'));
    expect(ids.indexOf('soak')).toBeGreaterThan(ids.indexOf('controller'));
  });

  it('tells what is set on a pixel controller, where an eye must look out, and what each amplifier is for', () => {
    const detail = (design: Design): string => wiring(design).steps.find(({ id }) => id === 'controller')!.detail;
    const { pixels } = evaluatedCoarsely(demoDesigns['net-loft'], fonts).circuit;
    expect(detail(demoDesigns['net-loft'])).toContain(`Set it to ${pixels} pixels`);
    expect(
      detail(changed(demoDesigns.slipway, { 'power.controllerPlace': 'inside', 'power.sensorWindow': true })),
    ).toContain('Drill 6 mm for its eye');
    expect(detail(changed(demoDesigns.slipway, { 'power.supplyCount': 2 }))).toContain('1 amplifier');
    expect(wiring(dispensary).steps.some(({ id }) => id === 'controller')).toBe(false);
  });

  it('says how pairs in series go on from one to the other, and where a chain has a fuse of its own', () => {
    const series = wiring(
      changed(dispensary, { ...inAssembly({ 'light.rowCount': 4 }), 'power.arrangement': 'series-pairs' }),
    );
    expect(series.steps[0]!.detail).toContain('(minus of the first to plus of the second)');
    const loft = wiring(demoDesigns['net-loft']);
    for (const { number, fuseA } of loft.evaluation.circuit.chains)
      if (fuseA !== null)
        expect(loft.steps.find(({ id }) => id === `chain-${number}`)!.detail).toContain(`Its own fuse, ${fuseA} A`);
    expect(loft.evaluation.circuit.chains.some(({ fuseA }) => fuseA !== null)).toBe(true);
  });
});
