import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { Step } from '../../making/steps/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const made = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(lateSoup, inAssembly({ 'artwork.toolId': 'bit-3', ...change })), fonts);
const listOf = (change: Readonly<Record<string, unknown>> = {}): readonly Step[] => made(change).buildList.steps;
const told = (steps: readonly Step[], id: string): Step => {
  const found = steps.find((each) => each.id === id);
  if (found === undefined) throw new Error(`${id} is not told; ${steps.map((each) => each.id).join(', ')} are`);
  return found;
};

const clear = { 'carrier.kind': 'clear', 'carrier.boardId': 'clear-acrylic-10', 'groove.coverId': null };
const layers = { 'carrier.kind': 'two-layer', 'carrier.boardId': 'ply-12' };

describe('the build list of strip in a groove', () => {
  it('tries before it cuts, lays dry before paint, tests before it fixes, soaks before it covers', () => {
    const order = listOf().map(({ id }) => id);
    const before = (first: string, second: string) => {
      expect(order).toEqual(expect.arrayContaining([first, second]));
      expect(order.indexOf(first)).toBeLessThan(order.indexOf(second));
    };
    before('bench-test', 'test-groove');
    before('test-groove', 'lettering');
    before('lettering', 'outline');
    before('holes', 'dry-lay');
    before('dry-lay', 'prime-edges');
    before('test-pieces', 'strip');
    before('strip', 'soak');
    before('soak', 'cover');
    before('cover', 'even');
    expect(new Set(order).size).toBe(order.length);
  });

  it('speaks of this very board: width, depth, passes, pieces and holes', () => {
    const results = made();
    const { groove } = results.geometry;
    const { steps } = results.buildList;
    expect(told(steps, 'lettering').detail).toContain(`${Math.round(10 * groove.widthMm) / 10} mm wide`);
    // Half of 3 mm at a pass.
    expect(told(steps, 'lettering').detail).toContain(`in ${Math.ceil(groove.depthMm / 1.5)} passes`);
    expect(told(steps, 'holes').title).toBe(`Drill ${results.runs.holes.length} wire holes`);
    expect(told(steps, 'strip').title).toContain(`${results.runs.segments.length} segments`);
    expect(told(steps, 'soak').detail).toContain(`${results.circuit.amps.toFixed(2)} A at 24 V`);
    expect(told(steps, 'even').detail).toContain('From 2500 mm');
  });

  it('cuts two layers through, and glues the back on behind', () => {
    const steps = listOf(layers);
    expect(told(steps, 'lettering').title).toBe('Cut the lines through the front layer');
    expect(told(steps, 'lettering').detail).toContain('Middles of closed lines fall out');
    expect(told(steps, 'layers').waitMinutes).toBeGreaterThan(0);
    expect(listOf().map(({ id }) => id)).not.toContain('layers');
  });

  it('routs a clear sheet from behind, and drills nothing through it', () => {
    const steps = listOf(clear);
    expect(told(steps, 'lettering').title).toBe('Rout the grooves from behind');
    const ids = steps.map(({ id }) => id);
    for (const id of ['holes', 'cover', 'prime-edges', 'layers']) expect(ids).not.toContain(id);
    expect(told(steps, 'solder').detail).toContain('on the back of the sheet');
    expect(told(steps, 'solder').detail).not.toContain('hole');
  });

  it('joins a board in halves before anything is laid in it', () => {
    const order = listOf({ 'carrier.splits': [{ xMm: -9, yMm: 0, angleDeg: 90 }] }).map(({ id }) => id);
    expect(order.indexOf('seams')).toBeGreaterThan(order.indexOf('outline'));
    expect(order.indexOf('seams')).toBeLessThan(order.indexOf('strip'));
  });

  it('says how strip lies and by what it is held', () => {
    expect(told(listOf(), 'strip').detail).toContain('Flat on the floor');
    expect(told(listOf({ 'groove.lies': 'edge', 'groove.coverId': null }), 'strip').detail).toContain('On its edge');
    expect(told(listOf({ 'light.hold': 'clips' }), 'strip').detail).toContain('clips or dabs');
  });

  it('goes slowly where walls are thin, and says how thin', () => {
    const near = {
      'lines.drawn': {
        name: 'bars',
        scale: 1,
        lines: [0, 14].map((y) => ({ points: [-100, y, 100, y], closed: false })),
      },
      'lines.ends': [],
    };
    const results = made(near);
    const wall = results.geometry.walls.between!.mm;
    expect(wall).toBeGreaterThan(0);
    expect(told(results.buildList.steps, 'lettering').detail).toContain(
      `${Math.round(10 * wall) / 10} mm at the least`,
    );
  });

  it.each([
    ['bench-test', 'coiled'],
    ['lettering', 'eye, ear and dust protection'],
    ['lead', 'licensed electrician'],
    ['soak', 'unattended'],
  ])('warns at %s: %s', (id, words) => {
    expect(told(listOf(), id).caution).toContain(words);
  });

  it('takes longer the more there is to rout, drill and lay', () => {
    const minutes = (change: Readonly<Record<string, unknown>>) => made(change).buildList.workMinutes;
    const one = {
      'lines.drawn': { name: 'bar', scale: 1, lines: [{ points: [-100, 0, 100, 0], closed: false }] },
      'lines.ends': [],
    };
    expect(minutes(one)).toBeLessThan(minutes({}));
    expect(minutes({ 'carrier.boardId': 'ply-18', 'groove.depthMm': 14 })).toBeGreaterThan(minutes({}));
  });
});
