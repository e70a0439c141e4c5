import { beforeAll, describe, expect, it } from '@jest/globals';
import Module from 'manifold-3d';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { Brief } from '../../document/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { manifoldOf } from '../../testing/solid-in.js';
import { jackBodyMm, type BaseGeometry } from './base-geometry.js';
import { eyeHoleOf } from './eye-hole.js';
import { panelSolids } from './printed-base.js';
import { factsOf } from './results.js';

let fonts: FontBook;
let kernel: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  fonts = await testFonts();
  kernel = await Module();
  kernel.setup();
});

/** A printed base with a controller of the shelf inside, a jack, and an eye that looks out. */
const full = (leadExit: Brief['leadExit'] = 'back') =>
  changed(quietRoom, {
    ...inAssembly({ 'holder.make': 'printed', 'holder.heightMm': 40, 'holder.exit': 'jack', 'holder.depthMm': 80 }),
    'brief.leadExit': leadExit,
    'power.controllerId': 'rgb-infrared-3',
    'power.controllerPlace': 'inside',
    'power.sensorWindow': true,
  });

type Box = readonly [x: readonly [number, number], y: readonly [number, number], z: readonly [number, number]];

/** What lies in a base, as boxes in the axes of its print: its middle, to the front, down from its top. */
const contentsOf = (results: ReturnType<typeof evaluatedCoarsely<typeof quietRoom>>, leadExit: Brief['leadExit']) => {
  const base = results.geometry.holder as BaseGeometry;
  const { materials, assembly, circuit } = results;
  const { slot, cavity, closing, heightMm, depthMm, lengthMm, exit } = base;
  const half = (mm: number): readonly [number, number] => [-mm / 2, mm / 2];
  const shut = heightMm - closing.thicknessMm;
  const [segment] = results.runs.segments;
  const stripTop = slot.deepMm + assembly.light.gapMm;
  const { controller } = circuit.drive;
  const ends = leadExit === 'left' ? -1 : 1;
  const back: Box = [
    half(jackBodyMm.thick),
    [-depthMm / 2 + exit.bay!.wallMm, -depthMm / 2 + exit.bay!.wallMm + jackBodyMm.deep],
    [heightMm - exit.upMm - jackBodyMm.thick / 2, heightMm - exit.upMm + jackBodyMm.thick / 2],
  ];
  const side: Box = [
    [ends * (lengthMm / 2 - exit.bay!.wallMm), ends * (lengthMm / 2 - exit.bay!.wallMm - jackBodyMm.deep)].sort(
      (a, b) => a - b,
    ) as [number, number],
    half(jackBodyMm.thick),
    back[2],
  ];
  const contents: Readonly<Record<string, Box>> = {
    sheet: [half(assembly.sheet.widthMm), half(materials.pane.thicknessMm), [-100, slot.deepMm]],
    strip: [half(segment!.lengthMm), half(materials.strip.widthMm), [stripTop, stripTop + materials.strip.heightMm]],
    lid: [half(closing.widthMm - 0.4), half(closing.heightMm - 0.4), [shut, heightMm]],
    jack: leadExit === 'back' ? back : side,
    controller: [
      [-cavity.lengthMm / 2 + 2, -cavity.lengthMm / 2 + 2 + controller!.lengthMm],
      half(controller!.widthMm),
      [shut - controller!.heightMm, shut],
    ],
  };
  return contents;
};

describe('what a printed base is drawn over', () => {
  it.each(['back', 'left', 'right'] as const)('fits in three dimensions, its lead out at the %s', (leadExit) => {
    const design = mendedIn(leadExit);
    const results = evaluatedCoarsely(design, fonts);
    expect(findingOn(design, fonts, 'gear-inside')).toBeNull();
    expect(findingOn(design, fonts, 'jack-without-room')).toBeNull();
    const [body] = panelSolids(factsOf(results), eyeHoleOf(results));
    const base = manifoldOf(kernel, body!.triangles);
    expect(base.decompose()).toHaveLength(1);
    for (const [name, [x, y, z]] of Object.entries(contentsOf(results, leadExit))) {
      const box = kernel.Manifold.cube([x[1] - x[0], y[1] - y[0], z[1] - z[0]], false).translate([x[0], y[0], z[0]]);
      expect([name, Math.round(1000 * base.intersect(box).volume())]).toEqual([name, 0]);
    }
  });

  it('leaves wood or print round the screws of its lid', () => {
    const results = evaluatedCoarsely(mendedIn('back'), fonts);
    const base = results.geometry.holder as BaseGeometry;
    const solid = manifoldOf(kernel, panelSolids(factsOf(results))[0]!.triangles);
    const { closing, heightMm } = base;
    const [x, y] = [closing.widthMm / 2 - 4, closing.heightMm / 2 - 4];
    for (const [sx, sy] of [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const) {
      const boss = kernel.Manifold.cylinder(5, 3.2, 3.2, 64).translate([
        sx * x,
        sy * y,
        heightMm - closing.thicknessMm - 6,
      ]);
      const bore = (Math.PI / 4) * 2.5 ** 2 * 5;
      // The whole boss but for its bore is there.
      expect(solid.intersect(boss).volume() / (boss.volume() - bore)).toBeGreaterThan(0.99);
    }
  });
});

/** With a pocket that takes the controller, as its own fix makes it. */
const mendedIn = (leadExit: Brief['leadExit']) => {
  const design = full(leadExit);
  const finding = findingOn(design, fonts, 'gear-inside');
  const pocket = finding?.fixes.find(({ id }) => id === 'pocket');
  if (pocket === undefined) throw new Error('no pocket is offered');
  return changed(design, Object.fromEntries(pocket.change.map(({ path, value }) => [path, value])));
};

describe('a jack', () => {
  it('is bought with its plug, and has a bay for its body', () => {
    const results = evaluatedCoarsely(changed(quietRoom, inAssembly({ 'holder.exit': 'jack' })), fonts);
    expect(results.parts.bought.find(({ id }) => id === 'jack-and-plug')?.quantity).toBe(1);
    const step = results.buildList.steps.find(({ id }) => id === 'exit')!;
    expect(step.detail).toContain('bay 14 mm wide');
    expect(results.cut.find(({ id }) => id === 'base')!.note).toContain('bay for the jack 14 mm');
  });

  it('without room for its body takes a deeper base, a shallower slot, or a lead', () => {
    const shallow = changed(quietRoom, inAssembly({ 'holder.exit': 'jack', 'holder.depthMm': 48 }));
    expect(mendedBy(shallow, fonts, 'jack-without-room', 'room-for-jack').gone).toBe(true);
    const low = { 'holder.exit': 'jack', 'holder.boardId': 'oak-block-30', 'holder.slotMm': 14 };
    expect(mendedBy(changed(quietRoom, inAssembly(low)), fonts, 'jack-without-room', 'lead-instead').gone).toBe(true);
    expect(findingOn(changed(quietRoom, inAssembly({ 'holder.exit': 'jack' })), fonts, 'jack-without-room')).toBeNull();
  });
});
