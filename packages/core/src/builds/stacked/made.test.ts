import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, ringLength } from '../../base/outlines/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { changed, evaluated, evaluatedCoarsely, inAssembly, smokeHouse, testFonts } from '../../testing/harness.js';
import { newStacked } from './demos.js';
import { stackedFigures } from './figures.js';
import { leadEntryOf, leadSlot } from './lead-entry.js';
import { ledgeRings } from './parts.js';
import type { StackedResults } from './results.js';
import { bandOf, roomOf, shapeOfRoom, sunkMm } from './room.js';
import { stackedSectionAt } from './section.js';
import { stackedSeeds } from './seeds.js';
import { stackedTemplates } from './templates.js';
import { stackedToFinish } from './to-finish.js';

let fonts: FontBook;
let own: ReturnType<typeof evaluated<typeof smokeHouse>>;
beforeAll(async () => {
  fonts = await testFonts();
  own = evaluated(smokeHouse, fonts);
});

type Change = Readonly<Record<string, unknown>>;
const made = (change: Change) => evaluatedCoarsely(changed(smokeHouse, inAssembly(change)), fonts);
const asResults = (found: unknown): StackedResults => found as StackedResults;

describe('the slice of a stack', () => {
  it('is base, rings on both sides, lid with what is let in, at their heights', () => {
    const { shapes, rearZMm, frontZMm } = own.section;
    expect([rearZMm, frontZMm]).toEqual([-6, 27]);
    const of = (role: string) => shapes.filter((shape) => shape.role === role);
    expect(of('back')).toHaveLength(1);
    // Three opaque rings, cut on both sides of the room.
    expect(of('return')).toHaveLength(6);
    const bands = of('face').filter(({ material }) => material.includes('5 mm'));
    expect(bands).toHaveLength(2);
    const zs = bands[0]!.ring.map(([z]) => z);
    expect([Math.min(...zs), Math.max(...zs)]).toEqual([12, 17]);
    // Letters are flush with the front, 3 mm of 4.
    const letters = of('face').filter(({ material }) => material.includes('3 mm'));
    expect(letters.length).toBeGreaterThan(0);
    for (const { ring } of letters) expect(Math.max(...ring.map(([z]) => z))).toBe(27);
    for (const { ring } of letters) expect(Math.min(...ring.map(([z]) => z))).toBe(24);
  });

  it('meets strip where it goes round, on edge, and the ledge that carries it', () => {
    const { geometry, materials, lid, runs } = own;
    const aside = stackedSectionAt(40, geometry, materials, lid, runs);
    const strip = aside.shapes.filter(({ role }) => role === 'strip');
    expect(strip).toHaveLength(2);
    for (const { ring } of strip) {
      const [zs, ys] = [ring.map(([z]) => z), ring.map(([, y]) => y)];
      expect(Math.max(...zs) - Math.min(...zs)).toBeCloseTo(materials.strip.widthMm, 9);
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(materials.strip.heightMm, 9);
    }
    const out = made({ 'light.facing': 'out' });
    expect(out.section.shapes.filter(({ role }) => role === 'block')).toHaveLength(2);
    expect(ledgeRings(out.geometry, out.materials)).toBe(2);
    expect(out.cut.find(({ id }) => id === 'ledge')!.count).toBe(2);
  });
});

describe('steps of a stack', () => {
  const idsOf = (found: Pick<typeof own, 'buildList'>) => found.buildList.steps.map(({ id }) => id);
  const detailOf = (found: Pick<typeof own, 'buildList'>, id: string): string =>
    found.buildList.steps.find((step) => step.id === id)?.detail ?? '';

  it('try the fit, stack dry, glue, sand together, let in, and peel the films last', () => {
    const ids = idsOf(own);
    const order = [
      'ladder',
      'plates',
      'lettering',
      'dry-stack',
      'rings',
      'edges',
      'letters',
      'lid',
      'strip',
      'soak',
      'close',
    ];
    const places = order.map((id) => ids.indexOf(id));
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(detailOf(own, 'rings')).toContain('3 pins Ø 6 mm');
    expect(detailOf(own, 'rings')).toContain('11 mm long and no longer');
    expect(detailOf(own, 'plates')).toContain('grain');
    expect(detailOf(own, 'close')).toContain('Films of letters and edges last');
    expect(detailOf(own, 'lead')).toContain('slot in ring 1 at the bottom');
  });

  it('say where the loops run, and that a narrow wall shuts the strip in', () => {
    expect(detailOf(own, 'strip')).toContain('on the inside of the rings');
    const both = made({ 'light.facing': 'both', 'light.loops': 2 });
    expect(detailOf(both, 'strip')).toContain('looking out and in');
    const narrow = made({ 'plates.wallMm': 6 });
    expect(detailOf(narrow, 'lid')).toContain('too narrow for screws');
    expect(narrow.cut.find(({ id }) => id === 'base')!.note).toContain('glued on');
    const behind = evaluatedCoarsely({ ...smokeHouse, brief: { ...smokeHouse.brief, leadExit: 'back' } }, fonts);
    expect(detailOf(behind, 'lead')).toContain('Through the hole in the base');
  });

  it('leave out letters where the lid has none', () => {
    const plain = evaluatedCoarsely(
      changed({ ...smokeHouse, brief: { ...smokeHouse.brief, text: ' ' } }, inAssembly({ 'artwork.text': ' ' })),
      fonts,
    );
    const ids = idsOf(plain);
    for (const id of ['ladder', 'lettering', 'letters']) expect(ids).not.toContain(id);
    expect(plain.lid.inlay).toBeNull();
    expect(plain.cut.find(({ id }) => id === 'lid')!.note).toBe('no letters');
    // It is judged by its band then.
    expect(plain.glow.evenness.meanCdM2).toBeCloseTo(plain.glow.bands[0]!.meanCdM2, 6);
    expect(Object.keys(stackedTemplates(asResults(plain)))).toEqual(['strip-template']);
  });
});

describe('paint, glue and weight of a stack', () => {
  it('are lid and opaque edges, and two beads between every two plates', () => {
    const { surfaces, bonds } = stackedToFinish(own);
    const round = ringLength(own.geometry.outline[0]!);
    // Base 6, rings 6 + 6 + 6, lid 4: 28 mm of edge are opaque.
    const edges = (round * 28) / 1e6;
    expect(surfaces.find(({ id }) => id === 'front')!.m2).toBeCloseTo(
      Math.abs(outlineArea(own.lid.solid)) / 1e6 + edges,
      9,
    );
    expect(surfaces.find(({ id }) => id === 'front')!.masked).toContain('glowing edges');
    expect(bonds.filter(({ id }) => id.startsWith('ring-')).map(({ what }) => what)).toEqual([
      'ring 2 on ring 1',
      'ring 3 on ring 2',
      'ring 4 on ring 3',
      'the lid on the last ring',
    ]);
    for (const { id, mm } of bonds) if (id.startsWith('ring-')) expect(mm).toBeCloseTo(2 * round, 6);
  });

  it('hang by the base, the weight where the plates have theirs', () => {
    const [body] = own.hang!.bodies;
    const plates = own.cut.reduce((sum, { kg, count, hangs }) => sum + (hangs === false ? 0 : kg * count), 0);
    expect(body!.kg).toBeGreaterThan(plates);
    expect(body!.kg).toBeLessThan(plates + 0.4);
    expect(body!.centre[2]).toBeGreaterThan(8);
    expect(body!.centre[2]).toBeLessThan(25);
    // Fixings find the square within the round room, clear of its wall.
    const { hold } = body!;
    expect(Math.hypot(hold.x, hold.y)).toBeLessThan(126);
    const wide = made({ 'plates.shape': 'rectangle' }).hang!.bodies[0]!.hold;
    expect(wide.width).toBeGreaterThan(hold.width);
  });
});

describe('the lead of a stack', () => {
  it.each([
    ['left', [-1, 0]],
    ['right', [1, 0]],
    ['top', [0, 1]],
    ['bottom', [0, -1]],
  ] as const)('comes in at the wall %s, by a slot through it', (exit, [x, y]) => {
    const [ex, ey] = leadEntryOf(exit, own.geometry);
    expect(ex).toBeCloseTo(x * 125, -1);
    expect(ey).toBeCloseTo(y * 125, -1);
    const bounds = outlineBounds([leadSlot(exit, [ex, ey, 4], 14)!])!;
    expect(Math.min(bounds.width, bounds.height)).toBeCloseTo(8, 6);
    // It goes on past the outer edge.
    const far = Math.max(...[bounds.x, bounds.y, bounds.x + bounds.width, bounds.y + bounds.height].map(Math.abs));
    expect(far).toBeGreaterThan(140);
  });

  it('goes through the base within the room, by no slot', () => {
    const [x, y, z] = leadEntryOf('back', own.geometry);
    expect(Math.hypot(x, y)).toBeLessThan(118);
    expect(z).toBe(0);
    expect(leadSlot('back', [x, y, z], 14)).toBeNull();
  });
});

describe('the room as light sees it', () => {
  const of = (materials = own.materials) =>
    roomOf(own.geometry, materials, own.stack, own.lid.pockets, 14, own.lid.strokeMm);

  it('has opal as wide as the ring, and letters at the end of pockets where the lid is thick', () => {
    const room = of();
    expect(room.bands.map(({ passes }) => passes > 0)).toEqual([false, false, true, false]);
    // 14 mm of a stuff of which 5 pass a third: less than that, and more than its power by thickness.
    const { passes, reflects } = bandOf(own.materials.rings[2]!, 14);
    expect(passes).toBeLessThan(0.32);
    expect(passes).toBeGreaterThan(0.32 ** (14 / 5) / 2);
    expect(passes + reflects).toBeLessThan(1);
    expect(sunkMm(own.materials)).toBe(1);
    const thick = shippedCatalogue.boards.find(({ id }) => id === 'ply-12')!;
    const deep = of({ ...own.materials, lid: { ...own.materials.lid, thicknessMm: thick.thicknessMm } });
    expect(deep.inlay.passes).toBeLessThan(0.85 * room.inlay.passes);
  });

  it('is cut anew when its shape changes, and not when its paint does', () => {
    const room = of();
    expect(shapeOfRoom({ ...room, baseReflects: 0.3, lid: { reflects: 0.2, passes: 0 } })).toBe(shapeOfRoom(room));
    expect(shapeOfRoom({ ...room, bands: room.bands.slice(1) })).not.toBe(shapeOfRoom(room));
  });
});

describe('figures and ways of a stack', () => {
  it('tell room, band and letters with their units', () => {
    const figures = stackedFigures(asResults(own));
    expect(figures.map(({ id }) => id)).toEqual(['depth', 'evenness', 'dots-vanish', 'band', 'luminance', 'daylight']);
    expect(figures[0]!.text).toBe('23 mm');
    expect(figures.find(({ id }) => id === 'band')!.text).toMatch(/^\d+ cd\/m²$/);
    const dark = made({ 'plates.rings': [{ id: 'ring-1', materialId: 'ply-12' }] });
    expect(stackedFigures(asResults(dark)).map(({ id }) => id)).not.toContain('band');
  });

  it('are tried with strips that go in the height, plates left as they are', () => {
    const aim = { leastCdM2: 100, wantedCdM2: 600, mostCdM2: 3000, dayAndNight: false };
    const seeds = stackedSeeds(asResults(own), shippedCatalogue, aim);
    expect(seeds.length).toBeGreaterThan(1);
    for (const { change } of seeds)
      expect(change.every(({ path }) => !path.includes('plates') && !path.includes('lid'))).toBe(true);
    const low = made({ 'plates.rings': [{ id: 'ring-1', materialId: 'ply-12' }] });
    const loops = stackedSeeds(asResults(low), shippedCatalogue, aim).map(
      ({ change }) => change.find(({ path }) => path.endsWith('loops'))!.value,
    );
    // Two loops of 5 mm and three millimetres beside them do not go into 12.
    expect(loops.every((each) => each === 1)).toBe(true);
  });

  it('start round, or as a rectangle where they are long, letters within the rings', () => {
    for (const [widthMm, heightMm, shape] of [
      [280, 280, 'round'],
      [400, 300, 'round'],
      [800, 200, 'rectangle'],
      [120, 500, 'rectangle'],
    ] as const) {
      const design = newStacked({ name: 'N', text: 'OPEN', readingDistanceMm: 2500, sizesMm: { widthMm, heightMm } });
      expect(design.assemblies[0]!.plates.shape).toBe(shape);
      expect(evaluatedCoarsely(design, fonts).lid.overWallShare).toBeLessThan(0.003);
    }
  });
});
