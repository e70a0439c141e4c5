import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import { set, type FieldRef, type Frozen } from '../../document/design/index.js';
import { fieldsIn, inDesign, type AssemblyResults, type SignResults } from '../results/index.js';
import type { Candidate, Remedy } from './types.js';

/** Below this a strip is meant for sockets and batteries of its own voltage (V). */
const leastUsualV = 12;

/** Kinds that are only proposed in place of their like: pixels want data, 5 V its own supplies. */
const isLike = (strip: Strip, now: Strip): boolean =>
  (strip.addressable === true) === (now.addressable === true) &&
  (strip.voltageV >= leastUsualV || strip.voltageV === now.voltageV);

/** Strips that suit the brief: colour, white and protection. */
export const suitableStrips = (
  { design, materials }: Pick<AssemblyResults, 'design' | 'materials'>,
  catalogue: Catalogue,
): readonly Strip[] => {
  const { light, exposure } = design.brief;
  return catalogue.strips.filter(
    (strip) =>
      (light.kind === 'rgb' ? strip.colour !== 'white' : strip.whitesK.includes(light.cctK)) &&
      (exposure === 'indoors' || strip.protection !== 'bare') &&
      isLike(strip, materials.strip),
  );
};

/** So many kinds are tried one by one: they do not grow steadily, as a depth does. */
const mostKinds = 8;

/** At most so many of a list, evenly over it, its first and last among them. */
export const evenlyOver = <T>(items: readonly T[], most = mostKinds): readonly T[] =>
  items.length <= most
    ? items
    : Array.from({ length: most }, (_, index) => items[Math.round((index * (items.length - 1)) / (most - 1))]!);

/** Other strips for an assembly, each a candidate, in the order given. */
export const changeStrip = (
  results: Pick<AssemblyResults, 'index' | 'assembly'>,
  strips: readonly Strip[],
): Remedy => ({
  id: 'change-strip',
  candidates: evenlyOver(strips).map((strip) => ({
    label: strip.name,
    change: [set(fieldsIn(results).light.stripId, strip.id)],
  })),
});

/** A single change as a remedy. */
export const oneChange = <Value>(id: string, label: string, field: FieldRef<Value>, value: Frozen<Value>): Remedy => ({
  id,
  candidates: [{ label, change: [set(field, value)] } satisfies Candidate],
});

/** Series wiring given up. */
export const allInParallel: Remedy = oneChange(
  'all-parallel',
  'Wire all segments in parallel',
  inDesign.power.arrangement,
  'parallel',
);

/** How far the light may differ before a strip is no longer taken for the like of another (share of its lumens). */
const likeLumens = 0.35;

/** Strip of about the same light on a higher voltage, which halves the current: the likest first. For a sign of one assembly. */
export const higherVoltage = ({ assemblies }: SignResults, catalogue: Catalogue): readonly Remedy[] => {
  const [own, ...others] = assemblies;
  if (own === undefined || others.length > 0) return [];
  const { strip } = own.materials;
  const unlike = ({ lumensPerM }: Strip): number => Math.abs(lumensPerM - strip.lumensPerM) / strip.lumensPerM;
  const strips = suitableStrips(own, catalogue)
    .filter((other) => other.voltageV > strip.voltageV && unlike(other) < likeLumens)
    .sort((a, b) => unlike(a) - unlike(b));
  return strips.length === 0 ? [] : [{ ...changeStrip(own, strips), id: 'higher-voltage' }];
};

/** One supply more, or two, each with leads and chains of its own. */
export const moreSupplies = ({ circuit: { supplyCount } }: SignResults): Remedy => ({
  id: 'more-supplies',
  candidates: [1, 2]
    .map((more) => supplyCount + more)
    .map((count) => ({ label: `${count} supplies, a lead each`, change: [set(inDesign.power.supplyCount, count)] })),
});
