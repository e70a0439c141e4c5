import { memoizeLast, sum } from '../../base/maths/index.js';
import { inPlace, placed, placed3, placedRect, type Placing } from '../../base/placing/index.js';
import { buildOf } from '../../builds/index.js';
import { findItem, type Catalogue } from '../../document/catalogue/index.js';
import type { Problem } from '../../base/result.js';
import type { Design } from '../design/index.js';
import type { Brief, HangingDesign } from '../../document/design/index.js';
import { finishingIds } from '../../making/finishing/index.js';
import { centreOfAll, hangOf, hangParts, wallOf, type Hang, type HungBody } from '../../making/hanging/index.js';
import { sumParts, type BoughtPart } from '../../making/parts/index.js';
import type { WiredAssembly } from './light-sign.js';

/** A body in the axes of the sign. */
const inSign = (placing: Placing, body: HungBody): HungBody => ({
  ...body,
  bounds: placedRect(placing, body.bounds),
  centre: placed3(placing, body.centre),
  hold: placedRect(placing, body.hold),
  own: body.own?.map((at) => placed(placing, at)) ?? null,
});

/** What of the wiring hangs, spread over what hangs by weight: strip and wires lie all over it. */
const withWiring = (bodies: readonly HungBody[], kg: number): readonly HungBody[] => {
  const all = sum(bodies.map((body) => body.kg));
  return bodies.map((body) => ({ ...body, kg: body.kg + (all > 0 ? (kg * body.kg) / all : kg / bodies.length) }));
};

/** Bodies with what stands on them: each thing on the one behind its middle, else on the nearest. */
const carrying = (bodies: readonly HungBody[], carried: readonly HungBody[]): readonly HungBody[] => {
  const far = ({ x, y, width, height }: HungBody['bounds'], [px, py]: HungBody['centre']): number =>
    Math.hypot(Math.max(x - px, 0, px - x - width), Math.max(y - py, 0, py - y - height));
  const on = carried.map(({ centre }) =>
    bodies.reduce(
      (best, { bounds }, index) => (far(bounds, centre) < far(bodies[best]!.bounds, centre) ? index : best),
      0,
    ),
  );
  return bodies.map((body, index) => {
    const loads = [body, ...carried.filter((_, at) => on[at] === index)];
    return { ...body, kg: sum(loads.map(({ kg }) => kg)), centre: centreOfAll(loads) };
  });
};

/** The assembly on the wall that carries each, itself for those that hang there. */
const rootsOf = (wired: readonly WiredAssembly[]): readonly number[] => {
  const roots: number[] = [];
  for (const [index, { assembly }] of wired.entries()) {
    const below = wired.findIndex(({ id }) => id === assembly.place.on);
    roots.push(below < 0 ? index : roots[below]!);
  }
  return roots;
};

/** A body that stands on an assembly, its centre as far off that one’s rear as it is. */
const before = (root: WiredAssembly, own: WiredAssembly, body: HungBody): HungBody => {
  const { standsOffMm } = buildOf(own).hanging(own.assembly);
  // In the axes of the sign it counts from where the root’s light does, and without its own posts.
  const [x, y, z] = body.centre;
  return { ...body, centre: [x, y, z + standsOffMm - root.section.rearZMm] };
};

/** What is remembered of one place in the list of assemblies. */
const stagesOfPlace = (catalogue: Catalogue) => ({
  // Bodies are put together anew each time; where they come out alike they keep their identity.
  bodies: memoizeLast((bodies: readonly HungBody[]) => bodies),
  hang: memoizeLast(
    (
      assembly: string,
      way: Hang['way'],
      ways: Hang['ways'],
      design: HangingDesign | null,
      standsOffMm: number,
      wall: Brief['wall'],
      bodies: readonly HungBody[],
    ): Hang => {
      const facts = { assembly, way, ways, design, wall: wallOf({ wall }), standsOffMm };
      // What it hangs by hangs too, and is known only once it is chosen.
      const { cut, bought } = hangParts(hangOf({ ...facts, bodies }, catalogue), inPlace, catalogue);
      return hangOf({ ...facts, bodies: withWiring(bodies, sumParts(cut, bought).kg) }, catalogue);
    },
  ),
});

/** How each assembly of a sign hangs: null for those that stand on another. */
export const signHanging = (catalogue: Catalogue) => {
  const places: ReturnType<typeof stagesOfPlace>[] = [];
  return (
    brief: Brief,
    wired: readonly WiredAssembly[],
    wiring: readonly BoughtPart[],
    finishes: readonly (readonly BoughtPart[])[],
  ): readonly (Hang | null)[] => {
    const roots = rootsOf(wired);
    const hungKg = (parts: readonly BoughtPart[]): number => sum(parts.map(({ hangs, kg }) => (hangs ? kg : 0)));
    const wiringKg = hungKg(wiring);
    const bodies = wired.map((each, index) => {
      const own = buildOf(each).work.hung(each);
      const besides = (index === 0 ? wiringKg : 0) + hungKg(finishes[index] ?? []);
      return withWiring(own, besides).map((body) => inSign(each.placing, body));
    });
    return wired.map((each, index) => {
      if (roots[index] !== index) return null;
      const carried = bodies.flatMap((own, at) =>
        at !== index && roots[at] === index ? own.map((body) => before(each, wired[at]!, body)) : [],
      );
      const { usual, ways, standsOffMm } = buildOf(each).hanging(each.assembly);
      const design = each.assembly.hanging ?? null;
      const way = design !== null && ways.includes(design.way) ? design.way : usual;
      const own = (places[index] ??= stagesOfPlace(catalogue));
      return own.hang.run(
        each.id,
        way,
        ways,
        design,
        standsOffMm,
        brief.wall,
        own.bodies.run(carrying(bodies[index]!, carried)),
      );
    });
  };
};

/** Fixings, paints and glues that a design names and nobody knows. */
export const unknownItems = ({ assemblies }: Design, catalogue: Catalogue): readonly Problem[] =>
  assemblies.flatMap(({ hanging, finishing }, index) => {
    const named = [
      ...(hanging?.fixingId === undefined
        ? []
        : [{ items: catalogue.fixings, id: hanging.fixingId, path: 'hanging.fixingId' }]),
      ...finishingIds(finishing).map(({ kind, id, path }) => ({ items: catalogue[kind], id, path })),
    ];
    return named.flatMap(({ items, id, path }) => {
      const found = findItem<{ readonly id: string; readonly name: string }>(items, id, `assemblies.${index}.${path}`);
      return found.ok ? [] : found.problems;
    });
  });
