import { describe, expect, it } from '@jest/globals';
import { allBuilds } from '../../builds/index.js';
import type { DesignChange } from '../../document/design/index.js';
import { placedOn } from '../../base/placing/index.js';
import { dispensary } from '../../testing/harness.js';
import { demoDesigns } from '../demo/index.js';
import { addAssembly, applyChange, copyAssembly, readDesign, removeAssembly, type Design } from './index.js';

const after = (design: Design, change: DesignChange): Design => {
  const result = applyChange(design, change);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};
const onWall = { on: null, xMm: 0, yMm: -300, turnDeg: 0 };
const lantern = demoDesigns['lantern-rooms'];
const ids = ({ assemblies }: Design): readonly string[] => assemblies.map(({ id }) => id);

describe('assemblies of a design', () => {
  it.each(allBuilds.map(({ name }) => name))('take one of the build “%s” in, with an id of its own', (build) => {
    const { id, change } = addAssembly(dispensary, build, onWall);
    const design = after(dispensary, change);
    expect(design.assemblies).toHaveLength(2);
    expect(design.assemblies[0]).toBe(dispensary.assemblies[0]);
    expect(design.assemblies[1]).toMatchObject({ id, build, place: onWall });
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toEqual({ ok: true, value: design });
  });

  it('never share an id, whichever were taken away before', () => {
    const two = after(dispensary, addAssembly(dispensary, 'halo', onWall).change);
    const three = after(two, copyAssembly(two, 1).change);
    const less = after(three, removeAssembly(three, 1));
    const again = after(less, copyAssembly(less, 0).change);
    expect(new Set(ids(again)).size).toBe(3);
  });

  it('are copied beside where they stand, and otherwise alike', () => {
    const { change } = copyAssembly(lantern, 1);
    const [, letters, copy] = after(lantern, change).assemblies;
    expect(copy).toEqual({
      ...letters,
      id: copy!.id,
      place: { ...letters!.place, xMm: letters!.place.xMm + 60, yMm: letters!.place.yMm - 60 },
    });
    expect(() => copyAssembly(lantern, 7)).toThrow('no assembly 7');
  });

  it('stay one at least', () => {
    expect(removeAssembly(dispensary, 0)).toEqual([]);
    expect(removeAssembly(lantern, 5)).toEqual([]);
  });

  it('leave nothing behind that names what is gone', () => {
    const named = (assembly: string, segment: number) => ({ assembly, segment });
    const wired = after(lantern, [
      { path: 'power.chainsBegin', value: [named('box', 2), named('letters', 3)] },
      { path: 'power.fedForward', value: [named('letters', 1)] },
      {
        path: 'power.injections',
        value: [
          { ...named('letters', 2), end: 'end' },
          { ...named('box', 1), end: 'end' },
        ],
      },
      {
        path: 'power.zones',
        value: [
          { segments: [named('letters', 1)], level: 0.4 },
          { segments: [named('letters', 2), named('box', 1)], level: 0.7 },
        ],
      },
      {
        path: 'power.seriesPairs',
        value: [
          { first: named('box', 1), second: named('letters', 1) },
          { first: named('box', 2), second: named('box', 3) },
        ],
      },
      {
        path: 'proof',
        value: {
          readings: [
            { id: 'full-amps', value: 2, on: '2026-11-27' },
            { id: 'segment', at: named('letters', 1), value: 0.2, on: '2026-11-27' },
            { id: 'soak-strip', at: { assembly: 'box' }, value: 40, on: '2026-11-27' },
          ],
        },
      },
    ]);
    const left = after(wired, removeAssembly(wired, 1));
    expect(JSON.stringify(left)).not.toContain('"letters"');
    expect(left.power).toMatchObject({
      chainsBegin: [named('box', 2)],
      fedForward: [],
      injections: [{ ...named('box', 1), end: 'end' }],
      zones: [{ segments: [named('box', 1)], level: 0.7 }],
      seriesPairs: [{ first: named('box', 2), second: named('box', 3) }],
    });
    expect(left.proof!.readings.map(({ id }) => id)).toEqual(['full-amps', 'soak-strip']);
  });

  it('stand where they stood when what they stood on is taken away', () => {
    const turned = after(lantern, [
      { path: 'assemblies.0.place', value: { on: null, xMm: 100, yMm: 20, turnDeg: 30 } },
      { path: 'assemblies.1.place', value: { on: 'box', xMm: 40, yMm: -25, turnDeg: -50 } },
    ]);
    const inSign = ([below, own]: Design['assemblies']) => {
      const placing = ({ place }: Design['assemblies'][number]) => ({
        xMm: place.xMm,
        yMm: place.yMm,
        zMm: 0,
        turnRad: (place.turnDeg * Math.PI) / 180,
      });
      return own === undefined ? placing(below!) : placedOn(placing(below!), placing(own));
    };
    const before = inSign(turned.assemblies);
    const now = after(turned, removeAssembly(turned, 0));
    expect(now.assemblies[0]!.place.on).toBeNull();
    const { xMm, yMm, turnRad } = inSign(now.assemblies);
    expect([xMm, yMm, turnRad]).toEqual([before.xMm, before.yMm, before.turnRad].map((value) => expect.closeTo(value)));
  });

  it('are at most twelve, and stand on none that comes after', () => {
    const many = Array.from({ length: 13 }, (_, index) => ({ ...dispensary.assemblies[0]!, id: `b${index}` }));
    const problems = (assemblies: unknown) => {
      const read = readDesign({ ...dispensary, assemblies });
      return read.ok ? [] : read.problems.map(({ path }) => path);
    };
    expect(problems(many)).toContain('assemblies');
    const on = (index: number, base: string) => ({ ...many[index]!, place: { ...onWall, on: base } });
    expect(problems([on(0, 'b1'), many[1]])).toEqual(['assemblies.0.place.on']);
    expect(problems([many[0], on(1, 'b1')])).toEqual(['assemblies.1.place.on']);
    expect(problems([many[0], on(1, 'b0')])).toEqual([]);
  });
});
