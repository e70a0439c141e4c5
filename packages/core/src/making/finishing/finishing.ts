import type { Catalogue, Glue, Paint, Stuff } from '../../document/catalogue/index.js';
import type { Brief, FinishingDesign } from '../../document/design/index.js';
import { usualLayers } from './systems.js';
import type { Coated, FinishedSurface, Finishing, GluedBond, Layer, Supplies, Surface, ToFinish } from './types.js';

/** Hands-on time (min), typical: to set up and clean, and for a square metre of one coat. */
const setUpMin = { brush: 8, spray: 6 } as const;
const minPerM2 = { brush: 14, spray: 8 } as const;
/** Sanding between coats, a square metre. */
const sandMinPerM2 = 10;
/** Glue is bought with so much over what joints take. */
const glueWaste = 0.2;

/** Litres of so many coats: area × coats / what a litre covers, with what goes past. */
export const litresOf = ({ m2PerL, wasteShare }: Paint, m2: number, coats: number): number =>
  ((m2 * coats) / m2PerL) * (1 + wasteShare);

const coatedWith = (surface: Surface, layers: readonly Layer[], { paints }: Catalogue): readonly Coated[] => {
  const known = layers.flatMap(({ paintId, coats }) => {
    const paint = paints.find(({ id }) => id === paintId);
    return paint === undefined ? [] : [{ paint, coats }];
  });
  return known.map(({ paint, coats }, at): Coated => {
    const under = known.slice(0, at);
    const primed = under.some((below) => below.paint.kind === 'primer' && below.paint.onto.includes(surface.stuff));
    const sides = surface.turned ? 2 : 1;
    const sanding = paint.sandGrit === null ? 0 : sandMinPerM2 * surface.m2;
    return {
      paint,
      coats,
      litres: litresOf(paint, surface.m2, coats),
      letsGo: !primed && !paint.onto.includes(surface.stuff),
      workMin: Math.ceil(coats * (setUpMin[paint.by] + minPerM2[paint.by] * surface.m2 + sanding)),
      waitMin: coats * paint.recoatMin * sides,
    };
  });
};

const holdsBoth = ({ holds }: Glue, [a, b]: readonly [Stuff, Stuff]): boolean => holds.includes(a) && holds.includes(b);

/** Glues that hold both, those that stay in the joint first where it is seen; the cheapest for the joint. */
export const gluesFor = (
  between: readonly [Stuff, Stuff],
  fine: boolean,
  { glues }: Pick<Catalogue, 'glues'>,
): readonly Glue[] => {
  const cost = ({ price, ml, mlPerM }: Glue): number => (price / ml) * mlPerM;
  const messy = ({ squeezesOut }: Glue): number => (fine && squeezesOut ? 1 : 0);
  return glues.filter((glue) => holdsBoth(glue, between)).sort((a, b) => messy(a) - messy(b) || cost(a) - cost(b));
};

/** What an order wants of each paint and glue, in cans and tubes, and what is left of the last. */
const suppliesOf = (
  surfaces: readonly FinishedSurface[],
  bonds: readonly GluedBond[],
  quantity: number,
  atHand: FinishingDesign['atHand'],
): readonly Supplies[] => {
  const wanted = new Map<string, Omit<Supplies, 'count' | 'left' | 'atHand'>>();
  const add = (itemId: string, name: string, unit: Supplies['unit'], needed: number, each: number): void => {
    wanted.set(itemId, { itemId, name, unit, needed: (wanted.get(itemId)?.needed ?? 0) + needed * quantity, each });
  };
  for (const { layers } of surfaces)
    for (const { paint, litres } of layers) add(paint.id, paint.name, 'L', litres, paint.canL);
  for (const { glue, ml } of bonds) if (glue !== null) add(glue.id, glue.name, 'ml', ml, glue.ml);
  return [...wanted.values()].map((item) => {
    const count = Math.ceil(item.needed / item.each - 1e-9);
    const given = atHand?.find(({ itemId }) => itemId === item.itemId)?.count ?? null;
    return { ...item, count, left: count * item.each - item.needed, atHand: given };
  });
};

/** Paint and glue of an assembly, by what its build says is to be finished and what its design chooses. */
export const finishingOf = (
  { surfaces, bonds, shutsIn }: ToFinish,
  design: FinishingDesign | undefined,
  brief: Pick<Brief, 'exposure' | 'quantity'>,
  catalogue: Catalogue,
): Finishing => {
  const finished = surfaces.map((surface): FinishedSurface => {
    const own = design?.coats?.find((each) => each.surface === surface.id)?.layers;
    return {
      ...surface,
      layers: coatedWith(surface, surface.fixed ?? own ?? usualLayers(surface, brief), catalogue),
    };
  });
  const glued = bonds
    .filter(({ mm }) => mm > 0)
    .map((bond): GluedBond => {
      const [usual] = gluesFor(bond.between, bond.fine, catalogue);
      const own = design?.glues?.find((each) => each.bond === bond.id)?.glueId;
      const glue = catalogue.glues.find(({ id }) => id === own) ?? usual ?? null;
      return {
        ...bond,
        glue,
        ml: glue === null ? 0 : (bond.mm / 1000) * glue.mlPerM * (1 + glueWaste),
        holds: glue !== null && holdsBoth(glue, bond.between),
      };
    });
  return {
    surfaces: finished,
    bonds: glued,
    supplies: suppliesOf(finished, glued, brief.quantity, design?.atHand),
    insideFirst: design?.insideAfterGlueUp === undefined ? shutsIn : !design.insideAfterGlueUp,
    shutsIn,
    betweenCoatsMin: design?.betweenCoatsMin ?? null,
  };
};

/** Items of paint and glue that a design names and nobody knows, with where. */
export const finishingIds = (
  design: FinishingDesign | undefined,
): readonly { readonly kind: 'paints' | 'glues'; readonly id: string; readonly path: string }[] => [
  ...(design?.coats ?? []).flatMap(({ layers }, at) =>
    layers.map(({ paintId }, layer) => ({
      kind: 'paints' as const,
      id: paintId,
      path: `finishing.coats.${at}.layers.${layer}.paintId`,
    })),
  ),
  ...(design?.glues ?? []).map(({ glueId }, at) => ({
    kind: 'glues' as const,
    id: glueId,
    path: `finishing.glues.${at}.glueId`,
  })),
];
