import { buildOf, usualSizes, type Assembly } from '../../builds/index.js';
import type { DesignChange, DesignOf, Placement, SegmentRef } from '../../document/design/index.js';
import { set } from '../../document/design/index.js';
import { inDesign } from '../../judging/results/index.js';
type Design = DesignOf<Assembly>;

const ids = ({ assemblies }: Design): readonly string[] => assemblies.map(({ id }) => id);

/** An id that no assembly of the design has yet: `assembly-2`. */
const freeId = (design: Design): string => {
  const taken = new Set(ids(design));
  let number = design.assemblies.length + 1;
  while (taken.has(`assembly-${number}`)) number += 1;
  return `assembly-${number}`;
};

/** The change, and the id of the assembly that it brings. */
export interface AssemblyAdded {
  readonly id: string;
  readonly change: DesignChange;
}

const withAdded = (design: Design, assembly: Assembly, place: Placement): AssemblyAdded => {
  const id = freeId(design);
  return {
    id,
    change: [set(inDesign.assemblies, [...design.assemblies, { ...assembly, id, place }])],
  };
};

/** One more assembly, of this build as a new job of it would begin, of the usual sizes and with the words of the brief. */
export const addAssembly = (design: Design, build: string, place: Placement): AssemblyAdded => {
  const { name, brief } = design;
  const answers = {
    name,
    text: brief.text,
    readingDistanceMm: brief.readingDistanceMm,
    sizesMm: usualSizes(buildOf({ build }).sizes),
  };
  // A build starts with assemblies of its own.
  const [own] = buildOf({ build }).start(answers).assemblies;
  return withAdded(design, own as Assembly, place);
};

/** Right and down of what was copied, so that both are seen (mm). */
const copyOffsetMm = 60;

/** The same assembly once more, beside the first. Throws at an index that is none. */
export const copyAssembly = (design: Design, index: number): AssemblyAdded => {
  const assembly = design.assemblies[index];
  if (assembly === undefined) throw new RangeError(`there is no assembly ${index}`);
  const { place } = assembly;
  return withAdded(design, assembly, {
    ...place,
    xMm: place.xMm + copyOffsetMm,
    yMm: place.yMm - copyOffsetMm,
  });
};

/**
 * Takes an assembly away, with all that was said of its segments and measured on it. What stood on it stands where it was
 * on what is below. The last one stays.
 */
export const removeAssembly = (design: Design, index: number): DesignChange => {
  const gone = design.assemblies[index];
  if (gone === undefined || design.assemblies.length === 1) return [];
  const { power, proof } = design;
  const isLeft = ({ assembly }: Pick<SegmentRef, 'assembly'>): boolean => assembly !== gone.id;
  const [cos, sin] = [Math.cos((gone.place.turnDeg * Math.PI) / 180), Math.sin((gone.place.turnDeg * Math.PI) / 180)];
  const below = (place: Placement): Placement => ({
    ...place,
    on: gone.place.on,
    xMm: gone.place.xMm + place.xMm * cos - place.yMm * sin,
    yMm: gone.place.yMm + place.xMm * sin + place.yMm * cos,
    turnDeg: ((place.turnDeg + gone.place.turnDeg + 540) % 360) - 180,
  });
  const assemblies = design.assemblies
    .filter((each) => each !== gone)
    .map((each) => (each.place.on === gone.id ? { ...each, place: below(each.place) } : each));
  const lists = (['chainsBegin', 'chainsCarryOn', 'fedBackward', 'fedForward'] as const).flatMap((list) =>
    power[list]?.some((each) => !isLeft(each)) === true ? [set(inDesign.power[list], power[list].filter(isLeft))] : [],
  );
  const zones = power.zones
    ?.map((zone) => ({ ...zone, segments: zone.segments.filter(isLeft) }))
    .filter(({ segments }) => segments.length > 0);
  return [
    set(inDesign.assemblies, assemblies),
    ...lists,
    ...(power.injections === undefined ? [] : [set(inDesign.power.injections, power.injections.filter(isLeft))]),
    ...(zones === undefined ? [] : [set(inDesign.power.zones, zones)]),
    ...(power.seriesPairs === undefined
      ? []
      : [
          set(
            inDesign.power.seriesPairs,
            power.seriesPairs.filter(({ first, second }) => isLeft(first) && isLeft(second)),
          ),
        ]),
    ...(proof === undefined
      ? []
      : [
          set(inDesign.proof, {
            ...proof,
            readings: proof.readings.filter(({ at }) => at === undefined || isLeft(at)),
          }),
        ]),
  ];
};
