import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { wiringCsv } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** The wiring table as objects by its heads. */
const tableOf = (design: Design): readonly Readonly<Record<string, string>>[] => {
  const [head, ...rows] = wiringCsv(evaluatedCoarsely(design, fonts))
    .trim()
    .split('\r\n')
    .map((line) => [...line.matchAll(/("(?:[^"]|"")*"|[^,]*)(?:,|$)/g)].map(([, cell]) => cell!.replace(/^"|"$/g, '')));
  return rows.map((row) => Object.fromEntries(head!.map((name, column) => [name, row[column]!])));
};

describe('the wiring table', () => {
  it('of three colours names each core by its jacket, in the lead and inside', () => {
    const rows = tableOf(demoDesigns.slipway);
    for (const row of rows) expect(row.cores).toBe('plus black, red red, green green, blue blue');
    expect(rows[0]).toMatchObject({ from: 'supply', to: 'lead' });
    expect(rows[0]!.joint).toMatch(/^12 V, .* beside the supply$/);
  });

  it('of pixels has data in the wires it goes along, and none in a feed besides', () => {
    const rows = tableOf(changed(demoDesigns['net-loft'], { 'power.injections': [{ segment: 2, end: 'end' }] }));
    const fed = rows.find(({ to, from }) => from === 'lead' && to === 'segment 2 end')!;
    expect(fed.cores).toBe('plus red, minus black');
    expect(rows.filter(({ cores }) => cores!.includes('data green'))).toHaveLength(4);
    // A wire of data alone carries no current and is the thinnest there is.
    const alone = rows.find(({ cores }) => cores === 'data green')!;
    expect(Number(alone.A)).toBe(0);
    expect(Number(alone['mm²'])).toBe(0.35);
  });

  it('of pairs in series has one core a wire', () => {
    const rows = tableOf(
      changed(dispensary, { ...inAssembly({ 'light.rowCount': 2 }), 'power.arrangement': 'series-pairs' }),
    );
    expect(rows.slice(1).map(({ from, to, cores }) => `${from} > ${to}: ${cores}`)).toEqual([
      'lead > segment 1 start: plus red',
      'segment 1 start > segment 2 start: link white',
      'lead > segment 2 start: minus black',
    ]);
    expect(rows[0]!.joint).toContain('48 V');
  });

  it('states the fuse of the supply, and of a chain whose wire needs one of its own', () => {
    const rows = tableOf(demoDesigns['net-loft']);
    const { circuit } = evaluatedCoarsely(demoDesigns['net-loft'], fonts);
    expect(Number(rows[0]!['fuse A'])).toBe(circuit.fuseA);
    for (const { number, fuseA } of circuit.chains)
      if (fuseA !== null)
        expect(rows.find(({ from, chain }) => from === 'lead' && Number(chain) === number)!['fuse A']).toBe(
          String(fuseA),
        );
  });

  it('of two supplies has a lead each', () => {
    const rows = tableOf(changed(dispensary, { 'power.supplyCount': 2, 'power.chainsBegin': [2] }));
    expect(rows.slice(0, 2).map(({ from }) => from)).toEqual(['supply 1', 'supply 2']);
  });
});
