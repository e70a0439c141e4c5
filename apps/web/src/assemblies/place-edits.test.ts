import { describe, expect, it } from '@jest/globals';
import { allBuilds, applyChange, demoDesigns, placed, type AnyAssembly, type Placement } from '@vitrum/core';
import { assemblyAt } from '../lamp-room/assembly-at';
import { moveTo } from './place-edits';
import { titleOf } from './title-of';

const onWall: Placement = { on: null, xMm: 0, yMm: 0, turnDeg: 0 };

const standing = (id: string, index: number, place: Placement, placing: object) =>
  ({ id, index, assembly: { place }, placing }) as unknown as Parameters<typeof moveTo>[1];

const turned = (xMm: number, yMm: number, turnRad: number) => ({ xMm, yMm, turnRad });

describe('moving an assembly', () => {
  it('on the wall puts it where it was let go, to half a millimetre', () => {
    const own = standing('box', 0, onWall, turned(0, 0, 0));
    expect(moveTo([own], own, [12.34, -7.9])).toEqual([
      { path: 'assemblies.0.place.xMm', value: 12.5 },
      { path: 'assemblies.0.place.yMm', value: -8 },
    ]);
  });

  it.each([0, 30, 90, -135])('on another that is turned by %d° keeps its own axes there', (deg) => {
    const below = standing('box', 0, onWall, turned(40, 25, (deg * Math.PI) / 180));
    const own = standing('letters', 1, { ...onWall, on: 'box' }, turned(0, 0, 0));
    const [x, y] = moveTo([below, own], own, placed(below.placing, [60, -20])).map(({ value }) => value);
    expect([x, y]).toEqual([60, -20]);
  });

  it('is a change that the design takes, of that assembly alone', () => {
    const sign = demoDesigns['lantern-rooms'];
    const [box, letters] = sign.assemblies as readonly AnyAssembly[];
    const below = standing(box!.id, 0, box!.place, turned(0, 0, 0));
    const own = standing(letters!.id, 1, letters!.place, turned(0, 0, 0));
    const moved = applyChange(sign, moveTo([below, own], own, [31, 17]));
    expect(moved).toMatchObject({ ok: true, value: { assemblies: [box, { place: { xMm: 31, yMm: 17 } }] } });
  });
});

describe('the assembly at a place', () => {
  const at = (id: string, widthMm: number, heightMm: number, placing: object) =>
    ({ id, placing, geometry: { outside: { widthMm, heightMm } } }) as unknown as Parameters<
      typeof assemblyAt
    >[0][number];
  const box = at('box', 400, 200, turned(0, 0, 0));
  const sign = at('sign', 100, 50, turned(50, 0, 0));
  const ribbon = at('ribbon', 300, 20, turned(0, 300, Math.PI / 4));

  it('is the foremost whose front lies there, or none on the wall', () => {
    const found = (x: number, y: number) => assemblyAt([box, sign, ribbon], [x, y])?.id ?? null;
    expect(found(-150, 0)).toBe('box');
    expect(found(60, 10)).toBe('sign');
    expect(found(0, 150)).toBeNull();
  });

  it('goes by its own axes where it is turned', () => {
    const along = 120 * Math.SQRT1_2;
    expect(assemblyAt([ribbon], [along, 300 + along])?.id).toBe('ribbon');
    expect(assemblyAt([ribbon], [along, 300 - along])).toBeNull();
  });
});

describe('what assemblies are called', () => {
  it.each(allBuilds.map(({ name, words }) => [name, words.name] as const))(
    'names a “%s” by its letter',
    (build, name) => {
      expect(titleOf({ label: 'B', build })).toBe(`B, ${name.toLowerCase()}`);
      expect(titleOf({ label: '', build })).toBe('');
    },
  );
});
