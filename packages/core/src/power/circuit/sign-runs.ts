import { placed3, unplaced3, type Placing } from '../../base/placing/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { Brief, SegmentRef } from '../../document/design/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';
import { routeLengthMm, straight, type Route, type Router } from './route.js';

/** What the circuit has to know of an assembly: its strip where it lies, how wires find their way in it, and its place. */
export interface WiredAssembly {
  readonly id: string;
  readonly strip: Strip;
  readonly runs: LightRuns;
  /** Where its wires come in, and how they run inside, both as the assembly itself has it. */
  readonly entry: Point3;
  readonly router: Router;
  readonly placing: Placing;
}

/** A segment of strip in the sign. */
export interface WiredSegment extends Segment {
  readonly ref: SegmentRef;
  /** What it is called on drawings and in words: 3, or B3 where there are several assemblies. */
  readonly label: string;
  /** Index of its assembly, and its own among the runs there. */
  readonly assembly: number;
  readonly index: number;
  readonly strip: Strip;
  /** What it is set to, where that is not the light of the brief. */
  readonly light: Brief['light'] | null;
}

/** All strip of a sign, assembly after assembly, in the sign’s own axes. */
export interface SignRuns {
  readonly segments: readonly WiredSegment[];
  readonly assemblies: readonly WiredAssembly[];
  /** Index of the first segment of each assembly. */
  readonly firstSegment: readonly number[];
  /** Where the lead comes in: at the first assembly. */
  readonly entry: Point3;
}

const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** What an assembly is called: A, B, C; nothing where there is but one. */
export const assemblyLabel = (index: number, count: number): string =>
  count < 2 ? '' : (letters[index] ?? `${index + 1}-`);

/** Strip of all assemblies of a sign, with the places of each brought to the sign’s axes. */
export const signRunsOf = (assemblies: readonly WiredAssembly[]): SignRuns => {
  const firstSegment: number[] = [];
  const segments: WiredSegment[] = [];
  assemblies.forEach(({ id, strip, runs, placing }, assembly) => {
    firstSegment.push(segments.length);
    const letter = assemblyLabel(assembly, assemblies.length);
    runs.segments.forEach((segment, index) => {
      segments.push({
        ...segment,
        from: placed3(placing, segment.from),
        to: placed3(placing, segment.to),
        path: segment.path.map((point) => placed3(placing, point)),
        ref: { assembly: id, segment: segment.number },
        label: `${letter}${segment.number}`,
        assembly,
        index,
        strip: segment.own?.strip ?? strip,
        light: segment.own?.light ?? null,
      });
    });
  });
  const [first] = assemblies;
  return {
    segments,
    assemblies,
    firstSegment,
    entry: first === undefined ? [0, 0, 0] : placed3(first.placing, first.entry),
  };
};

/** The segment that a reference names; −1 when there is none. */
export const segmentIndexOf = (
  segments: readonly Pick<WiredSegment, 'ref'>[],
  { assembly, segment }: SegmentRef,
): number => segments.findIndex(({ ref }) => ref.assembly === assembly && ref.segment === segment);

export const sameSegment = (one: SegmentRef, other: SegmentRef): boolean =>
  one.assembly === other.assembly && one.segment === other.segment;

const joined = (one: Route, other: Route): Route => ({
  path: [...one.path, ...other.path.slice(1)],
  holes: [...one.holes, ...other.holes],
});

/** A router of an assembly, between places of the sign. */
const inSign =
  ({ router, placing }: WiredAssembly): Router =>
  (from, to) => {
    const { path, holes } = router(unplaced3(placing, from), unplaced3(placing, to));
    return { path: path.map((at) => placed3(placing, at)), holes: holes.map((at) => placed3(placing, at)) };
  };

/**
 * The way of a wire between two places, each in one of the assemblies: inside one by its own router; from one to another
 * by the place where the wires of each come in, straight between those.
 */
export const signRoute = ({ assemblies }: SignRuns, from: Point3, fromIn: number, to: Point3, toIn: number): Route => {
  const [one, other] = [assemblies[fromIn]!, assemblies[toIn]!];
  if (fromIn === toIn) return inSign(one)(from, to);
  const [out, into] = [placed3(one.placing, one.entry), placed3(other.placing, other.entry)];
  const isOut = routeLengthMm({ path: [from, out], holes: [] }) === 0;
  const leaving: Route = isOut ? { path: [from], holes: [] } : inSign(one)(from, out);
  return joined(joined(leaving, straight(out, into)), inSign(other)(into, to));
};
