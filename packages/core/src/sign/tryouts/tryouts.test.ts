import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { applyChange, type Design } from '../design/index.js';
import { dispensary, testFonts, pageEvaluator, coarseEvaluator } from '../../testing/harness.js';
import {
  checkAxes,
  faceOptions,
  solve,
  sweep,
  sweepSize,
  type Solution,
  type SweepAxes,
  type TryPoint,
} from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const quick = () => pageEvaluator(fonts).quick;
/** For what tries a great many points. */
const coarsely = () => coarseEvaluator(fonts).quick;
const face = (id: string) =>
  faceOptions(dispensary, 0, shippedCatalogue).find(({ change }) => change.some(({ value }) => value === id))!;

const plan: SweepAxes = {
  assembly: 0,
  depthsMm: [60, 100, 140],
  rowCounts: [2, 5],
  faces: [face('opal-3'), face('diffusing-3')],
  liningIds: ['matt-white'],
};

const all = <T>(work: Generator<T, void>): readonly T[] => [...work];

const solved = (work: Generator<number, Solution>): Solution => {
  for (let turn = work.next(); ; turn = work.next()) if (turn.done === true) return turn.value;
};

const applied = (design: Design, point: TryPoint): Design => {
  const changed = applyChange(design, point.change);
  if (!changed.ok) throw new Error(changed.problems[0]?.message);
  return changed.value;
};

describe('a sweep', () => {
  it('tries every combination, and each point is what the design becomes', () => {
    const points = all(sweep(dispensary, plan, quick())).filter((point) => point !== null);
    expect(points).toHaveLength(sweepSize(plan));
    const point = points[4]!;
    const evaluated = quick()(applied(dispensary, point));
    const own = evaluated.ok ? evaluated.value.assemblies[0]! : undefined;
    if (!evaluated.ok || own?.build !== 'lightbox') throw new Error('the point makes no design');
    expect(own.geometry.inside.depthMm).toBe(point.depthMm);
    expect(evaluated.value.cost.perSign).toBeCloseTo(point.costPerSign, 6);
    expect(own.glow.evenness.minOverMean).toBeCloseTo(point.minOverMean, 6);
    expect(point.picture.width).toBeLessThanOrEqual(120);
    expect(point.picture.data).toHaveLength(point.picture.width * point.picture.height * 4);
  });

  it('shows what physics says: deeper and closer hide more, and fail less', () => {
    const points = all(sweep(dispensary, plan, quick())).filter((point) => point !== null);
    const at = (depthMm: number, rows: number) =>
      points.find((point) => point.depthMm === depthMm && point.rows === rows && point.face.startsWith('Opal'))!;
    expect(at(140, 2).visibility).toBeLessThan(at(60, 2).visibility);
    expect(at(100, 5).visibility).toBeLessThan(at(100, 2).visibility);
    expect(at(60, 2).fails).toContain('no dots or bands');
    expect(at(100, 5).fails).toEqual([]);
  });

  it('leaves out what makes no case, and refuses plans that are empty, absurd or endless', () => {
    const points = all(sweep(dispensary, { ...plan, depthsMm: [5] }, quick()));
    expect(points.every((point) => point === null)).toBe(true);
    const refused = (change: Partial<SweepAxes>) => {
      const checked = checkAxes({ ...plan, ...change }, dispensary);
      return checked.ok ? [] : checked.problems.map(({ path }) => path);
    };
    expect(refused({ faces: [] })).toEqual(['faces']);
    expect(refused({ depthsMm: [Number.NaN] })).toEqual(['depthsMm']);
    expect(refused({ depthsMm: Array.from({ length: 900 }, (_, index) => index + 20) })).toEqual(['']);
  });
});

describe('solving', () => {
  const room = {
    assembly: 0,
    faces: [face('opal-3'), face('opal-5')],
    liningIds: ['matt-white'],
    fewestRows: 3,
    mostRows: 8,
    shallowestMm: 30,
    deepestMm: 160,
  };

  it('finds the shallowest case: a millimetre less fails, and it says what', () => {
    const { point, binding, sentence } = solved(solve(dispensary, 'shallowest', room, coarsely()));
    expect(point!.fails).toEqual([]);
    expect(binding.length).toBeGreaterThan(0);
    expect(sentence).toContain(binding[0]!);
    const shallower = coarsely()(
      applied(applied(dispensary, point!), {
        ...point!,
        change: [{ path: 'assemblies.0.case.depthInsideMm', value: point!.depthMm - 1 }],
      }),
    );
    expect(shallower.ok).toBe(true);
    const brute = all(
      sweep(
        dispensary,
        {
          assembly: 0,
          depthsMm: [point!.depthMm - 6, point!.depthMm - 3],
          rowCounts: [3, 4, 5, 6, 7, 8],
          faces: room.faces,
          liningIds: room.liningIds,
        },
        coarsely(),
      ),
    );
    expect(brute.filter((each) => each !== null && each.fails.length === 0)).toEqual([]);
  });

  it('finds fewer LEDs when it may be deeper, and a cheaper one no dearer than either', () => {
    const [shallow, few, cheap] = (['shallowest', 'fewest LEDs', 'cheapest'] as const).map(
      (goal) => solved(solve(dispensary, goal, room, coarsely())).point!,
    );
    expect(few!.ledCount).toBeLessThan(shallow!.ledCount);
    expect(few!.depthMm).toBeGreaterThan(shallow!.depthMm);
    expect(cheap!.costPerSign).toBeLessThanOrEqual(Math.min(few!.costPerSign, shallow!.costPerSign) + 1e-6);
  });

  it('says so when nothing will do', () => {
    const none = solved(solve(dispensary, 'cheapest', { ...room, mostRows: 2, deepestMm: 60 }, coarsely()));
    expect(none.point).toBeNull();
    expect(none.sentence).toContain('Nothing within these bounds will do');
  });
});
