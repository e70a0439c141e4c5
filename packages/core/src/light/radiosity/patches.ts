import { cumsum } from 'd3-array';
import { clamp, roundOff, sum } from '../../base/maths/index.js';
import type { Block, Box, Side } from './box.js';

/** A flat rectangle of patches: `a` and `b` are the two axes (0 x, 1 y, 2 z) it spans, standing across the third. */
export interface Panel {
  readonly side: Side;
  readonly a: 0 | 1 | 2;
  readonly b: 0 | 1 | 2;
  readonly aCount: number;
  readonly bCount: number;
  /** Where its patches begin and end along both axes (mm), ascending: one more each than there are patches. */
  readonly aEdges: Float64Array;
  readonly bEdges: Float64Array;
  /** Where it stands on the axis across, and which way it looks along it. */
  readonly at: number;
  readonly looks: 1 | -1;
  /** Index of its first patch. */
  readonly start: number;
}

/** A case cut into patches. */
export interface Enclosure {
  readonly box: Box;
  readonly block: Block | null;
  readonly panels: readonly Panel[];
  readonly count: number;
  /** Of each patch (mm²); none where the block stands on it. */
  readonly areaMm2: Float64Array;
}

const across = ({ a, b }: Panel): 0 | 1 | 2 => (3 - a - b) as 0 | 1 | 2;

/** Patches are about this share of the depth, the length over which reflected light changes. */
const patchShareOfDepth = 0.35;
const mostAlong = 96;

/** The two patches at each end of a side, as shares of the depth: light falls fastest into a corner. */
const endShares = [0.06, 0.18] as const;
/** What both ends may take of a side together. */
const mostAtEnds = 0.8;

const countOf = (length: number, patchMm: number, least: number): number =>
  clamp(Math.round(length / patchMm), least, mostAlong);

/** From `from` on over `length`, ever smaller patches towards both ends and equal ones of about `patchMm` between. */
const gradedEdges = (from: number, length: number, patchMm: number, depthMm: number): Float64Array => {
  const scale = Math.min(depthMm, ((mostAtEnds / 2) * length) / sum(endShares));
  const upTo = cumsum(endShares, (share) => share * scale);
  const ends = upTo.at(-1)!;
  const between = evenEdges(from + ends, length - 2 * ends, countOf(length - 2 * ends, patchMm, 1));
  const outer = [0, ...upTo.subarray(0, -1)];
  return Float64Array.of(
    ...outer.map((mm) => from + mm),
    ...between,
    ...outer.reverse().map((mm) => from + length - mm),
  );
};

const evenEdges = (from: number, length: number, count: number): Float64Array =>
  Float64Array.from({ length: count + 1 }, (_, edge) => from + (edge * length) / count);

/** Edges along x, y and z. */
type Spans = readonly [Float64Array, Float64Array, Float64Array];

const sixPanels = (spans: Spans, ends: readonly (readonly [number, number])[], inward: 1 | -1, side?: Side) => {
  const panel = (own: Side, a: 0 | 1 | 2, b: 0 | 1 | 2, at: number, looks: 1 | -1): Omit<Panel, 'start'> => ({
    side: side ?? own,
    a,
    b,
    aCount: spans[a].length - 1,
    bCount: spans[b].length - 1,
    aEdges: spans[a],
    bEdges: spans[b],
    at,
    looks,
  });
  const out = -inward as 1 | -1;
  return {
    back: panel('back', 0, 1, ends[2]![0], inward),
    face: panel('face', 0, 1, ends[2]![1], out),
    left: panel('left', 1, 2, ends[0]![0], inward),
    right: panel('right', 1, 2, ends[0]![1], out),
    bottom: panel('bottom', 0, 2, ends[1]![0], inward),
    top: panel('top', 0, 2, ends[1]![1], out),
  };
};

const boxPanels = ({ widthMm: w, heightMm: h, depthMm: d }: Box, spans: Spans) =>
  Object.values(
    sixPanels(
      spans,
      [
        [-w / 2, w / 2],
        [-h / 2, h / 2],
        [0, d],
      ],
      1,
    ),
  );

const blockPanels = (block: Block, patchMm: number) => {
  const size = [block.x1 - block.x0, block.y1 - block.y0, block.heightMm] as const;
  const from = [block.x0, block.y0, 0] as const;
  const spans = size.map((length, axis) =>
    evenEdges(from[axis]!, length, clamp(Math.round(length / patchMm), 1, 24)),
  ) as unknown as Spans;
  const { face, left, right, bottom, top } = sixPanels(
    spans,
    [
      [block.x0, block.x1],
      [block.y0, block.y1],
      [0, block.heightMm],
    ],
    -1,
    'block',
  );
  return [face, left, right, bottom, top];
};

const overlap = (edges: Float64Array, cell: number, low: number, high: number): number =>
  Math.max(0, Math.min(edges[cell + 1]!, high) - Math.max(edges[cell]!, low));

/** What of a patch of the back the block stands on (mm²). */
const covered = (panel: Omit<Panel, 'start'>, cell: number, { x0, x1, y0, y1 }: Block): number =>
  overlap(panel.aEdges, cell % panel.aCount, x0, x1) * overlap(panel.bEdges, Math.floor(cell / panel.aCount), y0, y1);

const cellMm2 = ({ aEdges, bEdges, aCount }: Omit<Panel, 'start'>, cell: number): number => {
  const [i, j] = [cell % aCount, Math.floor(cell / aCount)];
  return (aEdges[i + 1]! - aEdges[i]!) * (bEdges[j + 1]! - bEdges[j]!);
};

/**
 * Cuts a case into patches about a third as large as it is deep, at most about `mostPatches` of them, and, where they may be
 * `graded`, with narrow ones at the ends of every side besides. With a block, or where light is thrown by rays, of which small
 * patches get too few, all are about equal.
 */
export const layPatches = (box: Box, block: Block | null, mostPatches: number, graded = block === null): Enclosure => {
  const { widthMm: w, heightMm: h, depthMm: d } = box;
  const areaMm2 = 2 * (w * h + w * d + h * d);
  const patchMm = Math.max(patchShareOfDepth * d, Math.sqrt(areaMm2 / mostPatches));
  const along = (from: number, length: number): Float64Array =>
    graded ? gradedEdges(from, length, patchMm, d) : evenEdges(from, length, countOf(length, patchMm, 2));
  const spans = [along(-w / 2, w), along(-h / 2, h), along(0, d)] as const;
  const drafts = [...boxPanels(box, spans), ...(block === null ? [] : blockPanels(block, patchMm))];
  let start = 0;
  const panels = drafts.map((draft): Panel => {
    const panel = { ...draft, start };
    start += draft.aCount * draft.bCount;
    return panel;
  });
  const areas = new Float64Array(start);
  for (const panel of panels)
    for (let cell = 0; cell < panel.aCount * panel.bCount; cell += 1)
      areas[panel.start + cell] =
        cellMm2(panel, cell) - (block !== null && panel.side === 'back' ? covered(panel, cell, block) : 0);
  return { box, block, panels, count: start, areaMm2: areas };
};

/** The cell between whose edges a place lies; beyond the ends the first and the last. */
const cellOf = (value: number, edges: Float64Array): number => {
  let [low, high] = [0, edges.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (edges[middle]! <= value) low = middle;
    else high = middle;
  }
  return low;
};

/** The patch of a panel that a point on it lies in. */
const patchAt = (panel: Panel, x: number, y: number, z: number): number => {
  const a = panel.a === 0 ? x : y;
  const b = panel.b === 1 ? y : z;
  return panel.start + cellOf(b, panel.bEdges) * panel.aCount + cellOf(a, panel.aEdges);
};

/** Where a ray enters the block: the way to it and the axis across the side it meets; null when it passes. */
const enterBlock = (
  block: Block,
  from: readonly [number, number, number],
  way: readonly [number, number, number],
): { readonly time: number; readonly axis: number } | null => {
  const low = [block.x0, block.y0, 0] as const;
  const high = [block.x1, block.y1, block.heightMm] as const;
  let [enter, leave, axis] = [-Infinity, Infinity, -1];
  for (let each = 0; each < 3; each += 1) {
    const [d, o] = [way[each]!, from[each]!];
    if (d === 0) {
      if (o <= low[each]! || o >= high[each]!) return null;
      continue;
    }
    const [a, b] = [(low[each]! - o) / d, (high[each]! - o) / d];
    const [near, far] = a < b ? [a, b] : [b, a];
    if (near > enter) [enter, axis] = [near, each];
    leave = Math.min(leave, far);
  }
  return enter >= -roundOff && enter < leave ? { time: enter, axis } : null;
};

/** The panel of a block that a ray meets: they follow the six of the box, front, left, right, bottom, top. */
const blockPanel = (axis: number, ahead: boolean): number =>
  axis === 2 ? 6 : axis === 0 ? (ahead ? 7 : 8) : ahead ? 9 : 10;

/**
 * The patch that a ray from (x, y, z) inside the case, by (dx, dy, dz), meets first. The start may lie on a side; a ray
 * along a side counts as inside. Plain numbers in and out: this is asked a hundred thousand times for a picture.
 */
export const patchHit = (
  { box, block, panels }: Enclosure,
  x: number,
  y: number,
  z: number,
  dx: number,
  dy: number,
  dz: number,
): number => {
  const [halfX, halfY] = [box.widthMm / 2, box.heightMm / 2];
  const tx = dx > 0 ? (halfX - x) / dx : dx < 0 ? (-halfX - x) / dx : Infinity;
  const ty = dy > 0 ? (halfY - y) / dy : dy < 0 ? (-halfY - y) / dy : Infinity;
  const tz = dz > 0 ? (box.depthMm - z) / dz : dz < 0 ? -z / dz : Infinity;
  const time = tz <= tx && tz <= ty ? tz : tx <= ty ? tx : ty;
  if (block !== null) {
    const way = [dx, dy, dz] as const;
    const entered = enterBlock(block, [x, y, z], way);
    if (entered !== null && entered.time < time) {
      const panel = panels[blockPanel(entered.axis, way[entered.axis]! > 0)]!;
      return patchAt(panel, x + dx * entered.time, y + dy * entered.time, z + dz * entered.time);
    }
  }
  const panel = time === tz ? (dz > 0 ? 1 : 0) : time === tx ? (dx > 0 ? 3 : 2) : dy > 0 ? 5 : 4;
  return patchAt(panels[panel]!, x + dx * time, y + dy * time, z + dz * time);
};

/** A point of a patch, by shares along its two axes. */
export const pointOn = (panel: Panel, cell: number, u: number, v: number): readonly [number, number, number] => {
  const place: [number, number, number] = [0, 0, 0];
  const within = (edges: Float64Array, at: number, share: number): number =>
    edges[at]! + share * (edges[at + 1]! - edges[at]!);
  place[panel.a] = within(panel.aEdges, cell % panel.aCount, u);
  place[panel.b] = within(panel.bEdges, Math.floor(cell / panel.aCount), v);
  place[across(panel)] = panel.at;
  return place;
};

/** The way a panel looks. */
export const normalOf = (panel: Panel): readonly [number, number, number] => {
  const normal: [number, number, number] = [0, 0, 0];
  normal[across(panel)] = panel.looks;
  return normal;
};
