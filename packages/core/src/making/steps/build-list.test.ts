import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import type { Step } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const stepsOf = (change: Readonly<Record<string, unknown>>): readonly Step[] =>
  evaluated(changed(dispensary, change), fonts).buildList.steps;
const step = (steps: readonly Step[], id: string): Step => steps.find((each) => each.id === id)!;

describe('the build list', () => {
  it('tries the strip before anything is cut, soaks before closing, and hangs last', () => {
    const order = stepsOf({}).map(({ id }) => id);
    const before = (first: string, second: string) => expect(order.indexOf(first)).toBeLessThan(order.indexOf(second));
    before('bench-test', 'rip');
    before('glue-up', 'lining');
    before('strip', 'solder');
    before('soak', 'close');
    expect(order.at(-1)).toBe('hang');
    expect(new Set(order).size).toBe(order.length);
  });

  it('speaks of this very box: sizes, segments, currents', () => {
    const steps = stepsOf(inAssembly({ 'light.rowCount': 4 }));
    expect(step(steps, 'rip').detail).toContain('Top return 900 mm × 90 mm');
    expect(step(steps, 'strip').title).toBe('Cut and lay 4 segments of strip');
    expect(step(steps, 'glue-up').detail).toContain(`${Math.round(Math.hypot(900, 300) * 10) / 10} mm`);
    expect(step(steps, 'soak').detail).toMatch(/Expect \d\.\d\d A at 24 V/);
    expect(step(steps, 'even').detail).toContain('From 3000 mm');
  });

  it('takes longer the more there is to lay, wire and letter', () => {
    const minutes = (change: Readonly<Record<string, unknown>>) =>
      evaluated(changed(dispensary, change), fonts).buildList.workMinutes;
    expect(minutes(inAssembly({ 'light.rowCount': 5 }))).toBeGreaterThan(minutes({}));
    expect(minutes({ 'brief.text': 'OPEN' })).toBeLessThan(minutes({}));
  });

  it('waits for paint and glue, not for film', () => {
    const wait = (liningId: string) => step(stepsOf(inAssembly({ 'case.liningId': liningId })), 'lining').waitMinutes;
    expect(wait('matt-white')).toBeGreaterThan(0);
    expect(wait('white-film')).toBe(0);
    expect(step(stepsOf(inAssembly({ 'case.liningId': 'bare-ply' })), 'lining').detail).toContain('Nothing to do');
  });

  it('says what each step asks of the shop: where, by how many, after what', () => {
    const steps = stepsOf({});
    expect(step(steps, 'rip').work).toMatchObject({ place: 'saw', people: 1, whole: false });
    expect(step(steps, 'glue-up').work).toMatchObject({ place: 'bench', whole: true, holds: false });
    expect(step(steps, 'lining').work).toMatchObject({ place: 'paint', holds: true });
    // Nobody leaves a new sign lit by itself.
    expect(step(steps, 'soak').work).toMatchObject({ attended: true, holds: true });
    expect(step(steps, 'hang').work).toMatchObject({ place: 'site', people: 2 });
    // The face is lettered while the case dries.
    expect(step(steps, 'lettering').work.after).toEqual(['face']);
    // Plates are bolted on before strip lies over the nuts, and once it is painted.
    expect(step(steps, 'strip').work.after).toEqual(expect.arrayContaining(['hang-plates', 'lettering']));
    expect(step(steps, 'hang-plates').work.after).toEqual(['lining']);
    const before = new Set<string>();
    for (const { id, work } of steps) {
      expect(work.after.every((each) => before.has(each))).toBe(true);
      before.add(id);
    }
  });

  it('warns of heights on a wall and of coiled strip everywhere', () => {
    const steps = stepsOf({});
    expect(step(steps, 'hang').caution).toContain('Two people');
    expect(step(steps, 'bench-test').caution).toContain('coiled');
    const standing = stepsOf({ 'brief.place': 'counter', ...inAssembly({ hanging: { way: 'feet' } }) });
    expect(step(standing, 'hang').title).toBe('Set it in place');
  });

  it.each([
    ['film-knife', null],
    ['laser', 'chlorine'],
    ['bit-3', 'eye, ear and dust'],
  ])('warns where letters are cut with %s', (toolId, words) => {
    const { caution } = step(stepsOf(inAssembly({ 'artwork.toolId': toolId })), 'lettering');
    if (words === null) expect(caution).toBeNull();
    else expect(caution).toContain(words);
  });
});
