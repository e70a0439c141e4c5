import { Delaunay } from 'd3-delaunay';
import { inOutline, measureLine, ringArea, solidParts, type Outline, type Point } from '../outlines/index.js';

/** A branch of the medial axis: the middle of a stroke, with the width of the stroke at each point (mm). */
export interface MedialLine {
  readonly points: readonly Point[];
  readonly widths: readonly number[];
  readonly closed: boolean;
}

/** The boundary is looked at this closely (mm), and on small letters at so many places at the least. */
const sampleMm = 1.5;
const leastSamples = 240;
/** Points in all that one part may have. */
const mostSamples = 6000;
/**
 * A Voronoi vertex belongs to the axis when the boundary between its feet is this much longer than the straight way: what
 * comes from corners and from the roughness of sampling is told from strokes by it.
 */
const salience = 1.35;
/** Twigs shorter than this share of the stroke’s width at their root are no strokes. */
const twigWidths = 0.75;

/** Middles this close are one (mm). */
const togetherMm = 0.05;

interface Sample {
  readonly at: Point;
  readonly ring: number;
  /** Along its ring (mm), and the length of that. */
  readonly mm: number;
  readonly roundMm: number;
}

const samplesOf = (part: Outline): readonly Sample[] => {
  const rings = part.map((ring) => measureLine(ring, true));
  const total = rings.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const step = Math.max(Math.min(sampleMm, total / leastSamples), total / mostSamples);
  return rings.flatMap((line, ring) => {
    const count = Math.max(12, Math.ceil(line.lengthMm / step));
    return Array.from({ length: count }, (_, at): Sample => {
      const mm = (at * line.lengthMm) / count;
      return { at: line.station(mm).at, ring, mm, roundMm: line.lengthMm };
    });
  });
};

/** The way along the boundary between two samples of one ring; endless between two rings. */
const alongBoundary = (a: Sample, b: Sample): number => {
  if (a.ring !== b.ring) return Infinity;
  const way = Math.abs(a.mm - b.mm);
  return Math.min(way, a.roundMm - way);
};

interface Graph {
  readonly points: readonly Point[];
  readonly widths: readonly number[];
  readonly next: Map<number, Set<number>>;
}

const join = ({ next }: Graph, a: number, b: number): void => {
  for (const [from, to] of [
    [a, b],
    [b, a],
  ] as const)
    next.set(from, (next.get(from) ?? new Set()).add(to));
};

/** Voronoi edges between boundary samples that are far apart along the boundary, both ends inside the part. */
const skeletonOf = (part: Outline): Graph => {
  const samples = samplesOf(part);
  const delaunay = Delaunay.from(samples.map(({ at }) => [at[0], at[1]] as [number, number]));
  const { triangles, halfedges } = delaunay;
  const count = triangles.length / 3;
  const points: Point[] = [];
  const widths: number[] = [];
  const inside: boolean[] = [];
  for (let triangle = 0; triangle < count; triangle += 1) {
    const [a, b, c] = [0, 1, 2].map((corner) => samples[triangles[3 * triangle + corner]!]!.at) as [
      Point,
      Point,
      Point,
    ];
    const [bx, by, cx, cy] = [b[0] - a[0], b[1] - a[1], c[0] - a[0], c[1] - a[1]];
    const d = 2 * (bx * cy - by * cx);
    const [b2, c2] = [bx * bx + by * by, cx * cx + cy * cy];
    const middle: Point = d === 0 ? [a[0], a[1]] : [a[0] + (cy * b2 - by * c2) / d, a[1] + (bx * c2 - cx * b2) / d];
    points.push(middle);
    widths.push(2 * Math.hypot(middle[0] - a[0], middle[1] - a[1]));
    inside.push(d !== 0 && inOutline(middle, part));
  }
  // Where four or more samples lie on one circle, several triangles share a middle: one node.
  const known = new Map<string, number>();
  const node = points.map(([x, y], at) => {
    const key = `${Math.round(x / togetherMm)},${Math.round(y / togetherMm)}`;
    const first = known.get(key) ?? at;
    known.set(key, first);
    return first;
  });
  const graph: Graph = { points, widths, next: new Map() };
  for (let edge = 0; edge < halfedges.length; edge += 1) {
    const twin = halfedges[edge]!;
    if (twin < edge) continue;
    const [one, other] = [(edge / 3) | 0, (twin / 3) | 0];
    if (!inside[one] || !inside[other]) continue;
    const [p, q] = [samples[triangles[edge]!]!, samples[triangles[edge % 3 === 2 ? edge - 2 : edge + 1]!]!];
    const straight = Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]);
    if (alongBoundary(p, q) > salience * straight + 2 * sampleMm && node[one] !== node[other])
      join(graph, node[one]!, node[other]!);
  }
  return graph;
};

interface Branch {
  readonly nodes: readonly number[];
  readonly closed: boolean;
}

/** Branches of a graph: from a node that is no mere way through to the next such node; rings of ways through stand alone. */
const branchesOf = ({ next }: Graph): readonly Branch[] => {
  const isKnot = (node: number): boolean => next.get(node)!.size !== 2;
  const walked = new Set<string>();
  const key = (a: number, b: number): string => (a < b ? `${a},${b}` : `${b},${a}`);
  const walk = (from: number, first: number): readonly number[] => {
    const nodes = [from];
    let [before, here] = [from, first];
    for (;;) {
      walked.add(key(before, here));
      nodes.push(here);
      if (isKnot(here) || here === from) return nodes;
      const on = [...next.get(here)!].find((node) => node !== before);
      if (on === undefined || walked.has(key(here, on))) return nodes;
      [before, here] = [here, on];
    }
  };
  const found: Branch[] = [];
  for (const [node, ways] of next)
    if (isKnot(node))
      for (const way of ways) if (!walked.has(key(node, way))) found.push({ nodes: walk(node, way), closed: false });
  for (const [node, ways] of next)
    for (const way of ways) {
      if (walked.has(key(node, way))) continue;
      const nodes = walk(node, way);
      found.push({ nodes: nodes[nodes.length - 1] === node ? nodes.slice(0, -1) : nodes, closed: true });
    }
  return found;
};

const lengthOf = ({ points }: Graph, nodes: readonly number[]): number =>
  nodes.reduce(
    (sum, node, at) =>
      at === 0
        ? 0
        : sum +
          Math.hypot(points[node]![0] - points[nodes[at - 1]!]![0], points[node]![1] - points[nodes[at - 1]!]![1]),
    0,
  );

/** Takes twigs away until none is left. Mutates the graph. */
const prune = (graph: Graph): void => {
  for (let turn = 0; turn < 8; turn += 1) {
    const twigs = branchesOf(graph).filter(({ nodes, closed }) => {
      if (closed) return false;
      const [first, last] = [nodes[0]!, nodes[nodes.length - 1]!];
      const [loose, root] = graph.next.get(first)!.size === 1 ? [first, last] : [last, first];
      if (graph.next.get(loose)!.size !== 1 || graph.next.get(root)!.size < 3) return false;
      return lengthOf(graph, nodes) < twigWidths * graph.widths[root]!;
    });
    if (twigs.length === 0) return;
    for (const { nodes } of twigs)
      for (let at = 1; at < nodes.length; at += 1) {
        graph.next.get(nodes[at]!)?.delete(nodes[at - 1]!);
        graph.next.get(nodes[at - 1]!)?.delete(nodes[at]!);
      }
    for (const [node, ways] of [...graph.next]) if (ways.size === 0) graph.next.delete(node);
  }
};

/** Knots nearer to each other than this share of the stroke’s width are one: strokes that cross. */
const oneKnotWidths = 0.2;

/** Draws knots that lie close together into one. Mutates the graph. */
const mergeKnots = (graph: Graph): void => {
  const { next } = graph;
  const drop = (a: number, b: number): void => {
    next.get(a)?.delete(b);
    next.get(b)?.delete(a);
  };
  for (;;) {
    const short = branchesOf(graph).find(({ nodes, closed }) => {
      const [first, last] = [nodes[0]!, nodes[nodes.length - 1]!];
      const knots = !closed && first !== last && next.get(first)!.size > 2 && next.get(last)!.size > 2;
      return knots && lengthOf(graph, nodes) < oneKnotWidths * graph.widths[first]!;
    });
    if (short === undefined) return;
    const [kept, gone] = [short.nodes[0]!, short.nodes[short.nodes.length - 1]!];
    for (let at = 1; at < short.nodes.length; at += 1) drop(short.nodes[at - 1]!, short.nodes[at]!);
    for (const way of [...next.get(gone)!]) {
      drop(gone, way);
      if (way !== kept) join(graph, kept, way);
    }
    for (const [node, ways] of [...next]) if (ways.size === 0) next.delete(node);
  }
};

/** Two branches that meet head on in a knot are one stroke: joined where they turn the least. */
const throughKnots = (graph: Graph, branches: readonly Branch[]): readonly Branch[] => {
  const open = branches.filter(({ closed }) => !closed).map(({ nodes }) => [...nodes]);
  const closed = branches.filter((branch) => branch.closed);
  const away = (nodes: readonly number[]): Point => {
    const reach = nodes[Math.min(nodes.length - 1, 6)]!;
    const [a, b] = [graph.points[nodes[0]!]!, graph.points[reach]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  };
  /** Branches that meet within 40° of straight go on as one. */
  const straight = -0.76;
  for (;;) {
    let best: {
      readonly i: number;
      readonly j: number;
      readonly a: number[];
      readonly b: number[];
      readonly turn: number;
    } | null = null;
    for (let i = 0; i < open.length; i += 1)
      for (let j = i + 1; j < open.length; j += 1)
        for (const a of [open[i]!, [...open[i]!].reverse()])
          for (const b of [open[j]!, [...open[j]!].reverse()]) {
            if (a[0] !== b[0]) continue;
            const [u, v] = [away(a), away(b)];
            const turn = u[0] * v[0] + u[1] * v[1];
            if (turn < straight && (best === null || turn < best.turn)) best = { i, j, a, b, turn };
          }
    if (best === null) return [...open.map((nodes) => ({ nodes, closed: false })), ...closed];
    const { i, j, a, b } = best;
    open.splice(j, 1);
    open[i] = [...[...a].reverse(), ...b.slice(1)];
  }
};

/**
 * The medial axis of the solid parts of an outline, as lines with the width of the stroke at each point: the Voronoi
 * diagram of samples of the boundary, less what comes from corners (J. Brandt & R. Algazi, CVGIP: Image Understanding 55
 * (1992) 329–338). Right to about the spacing of the samples, 1.5 mm or less.
 */
export const medialAxis = (outline: Outline): readonly MedialLine[] =>
  solidParts(outline)
    .filter((part) => ringArea(part[0]!) > 0)
    .flatMap((part) => {
      const graph = skeletonOf(part);
      prune(graph);
      mergeKnots(graph);
      return throughKnots(graph, branchesOf(graph)).map(({ nodes, closed }) => ({
        points: nodes.map((node) => graph.points[node]!),
        widths: nodes.map((node) => graph.widths[node]!),
        closed,
      }));
    });

/** How far the smoothed middle looks each way (points). */
const smoothOver = 3;

const smoothed = ({ points, closed }: MedialLine): readonly Point[] =>
  points.map((point, at) => {
    const reach = closed ? smoothOver : Math.min(smoothOver, at, points.length - 1 - at);
    if (reach === 0) return point;
    let [x, y] = [0, 0];
    for (let step = -reach; step <= reach; step += 1) {
      const [px, py] = points[(at + step + points.length) % points.length]!;
      x += px;
      y += py;
    }
    return [x / (2 * reach + 1), y / (2 * reach + 1)];
  });

/** Of the lines of a medial axis what runs in strokes at least `leastWidthMm` wide, smoothed, for strip to follow. */
export const wideStrokes = (axis: readonly MedialLine[], leastWidthMm: number): readonly MedialLine[] =>
  axis.flatMap((line): readonly MedialLine[] => {
    const points = smoothed(line);
    if (line.widths.every((width) => width >= leastWidthMm)) return [{ ...line, points }];
    const runs: MedialLine[] = [];
    let from = -1;
    for (let at = 0; at <= points.length; at += 1) {
      const wide = at < points.length && line.widths[at]! >= leastWidthMm;
      if (wide && from < 0) from = at;
      if (wide || from < 0) continue;
      if (at - from > 2)
        runs.push({ points: points.slice(from, at), widths: line.widths.slice(from, at), closed: false });
      from = -1;
    }
    return runs;
  });
