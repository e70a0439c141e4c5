import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { leadHoleMm } from './lead-entry.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const throughBack = (change: Readonly<Record<string, unknown>>) => {
  const design = changed(dispensary, { ...inAssembly(change), 'brief.leadExit': 'back' });
  const { parts, runs, materials } = evaluatedCoarsely(design, fonts);
  const back = parts.cut.find(({ id }) => id === 'back')!;
  const holes = back.layers.flatMap(({ operation, shapes }) => (operation === 'drill' ? shapes : []));
  const lead = holes.find((shape) => shape.kind === 'hole' && shape.diameterMm === leadHoleMm);
  if (lead?.kind !== 'hole') throw new Error('no hole for the lead');
  const y = lead.y - back.heightMm / 2;
  const rows = runs.segments.map(({ from }) => from[1]);
  return { x: lead.x - back.widthMm / 2, y, rows, stripMm: materials.strip.widthMm };
};

describe('a lead through the back', () => {
  it.each([1, 3, 5, 9])('goes beside the middle one of %d rows, clear of strip', (rowCount) => {
    const { x, y, rows, stripMm } = throughBack({ 'light.rowCount': rowCount });
    expect(rows.some((row) => Math.abs(row) < 1e-6)).toBe(true);
    expect(x).toBe(0);
    expect(Math.min(...rows.map((row) => Math.abs(row - y)))).toBeGreaterThanOrEqual(leadHoleMm / 2 + stripMm / 2);
    // No farther than it must be.
    expect(Math.abs(y)).toBeLessThan(leadHoleMm / 2 + stripMm / 2 + 4);
  });

  it('goes through the middle where no strip is there', () => {
    expect(throughBack({ 'light.rowCount': 2 }).y).toBe(0);
  });

  it('goes past a block in the middle', () => {
    const block = { widthMm: 240, heightMm: 120, depthMm: 60, offsetXMm: 0, offsetYMm: 0 };
    const { y } = throughBack({ 'case.block': block, 'light.layout': 'block', 'case.depthInsideMm': 120 });
    expect(Math.abs(y)).toBeGreaterThan(60 + leadHoleMm / 2);
  });
});
