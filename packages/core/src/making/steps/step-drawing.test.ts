import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('the drawing beside a step', () => {
  it.each(Object.keys(demoDesigns) as (keyof typeof demoDesigns)[])('is there for every step of %s', (name) => {
    const { buildList, assemblies, circuit, parts } = signEvaluatedCoarsely(demoDesigns[name], fonts);
    const names = new Set(parts.cut.map((part) => part.name));
    for (const { shows, assembly, id } of buildList.steps) {
      expect([id, assembly < assemblies.length]).toEqual([id, true]);
      // A chain that stands out is there, and so are the parts that are cut.
      if (shows.chain !== undefined) expect(circuit.chains.map(({ number }) => number)).toContain(shows.chain);
      for (const part of shows.parts ?? []) expect(names).toContain(part);
    }
  });

  it('shows strip where strip is laid, one chain where one is wired, sheets where boards are cut', () => {
    const { buildList } = signEvaluatedCoarsely(demoDesigns.slipway, fonts);
    const view = (id: string) => buildList.steps.find((step) => step.id === id)?.shows;
    expect(view('strip')).toEqual({ view: 'strip' });
    expect(view('chain-1')).toEqual({ view: 'wires', chain: 1 });
    expect(view('rip')?.view).toBe('sheets');
    expect(view('rip')?.parts).toContain('Top return');
    expect(view('face')?.parts).toHaveLength(1);
    expect(view('even')).toEqual({ view: 'lit' });
  });

  it('tells of the assembly that a step belongs to', () => {
    const { buildList } = signEvaluatedCoarsely(demoDesigns['lantern-rooms'], fonts);
    const assemblies = new Set(buildList.steps.map(({ assembly }) => assembly));
    expect([...assemblies].sort()).toEqual([0, 1]);
  });
});
