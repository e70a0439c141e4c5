import type { Point } from '../../../base/outlines/index.js';

/** What the reader of DXF drops of an entity that this program draws by. */
export interface Dropped {
  /** Of a spline: points that it runs through, and the directions of its ends. */
  readonly fitPoints: readonly Point[];
  readonly firstDirection: Point | null;
  readonly lastDirection: Point | null;
  /** Of a polyline: how wide it is at the beginning and the end of each piece (drawing units). */
  readonly widths: readonly (readonly [from: number, to: number])[];
  /** Vertices that the curve does not pass: they frame it. */
  readonly frames: ReadonlySet<number>;
}

/** A drawing with marks in place of handles, what was dropped by the marks, and kinds of things that are not read at all. */
export interface MarkedDxf {
  readonly text: string;
  readonly dropped: ReadonlyMap<string, Dropped>;
  readonly unread: ReadonlyMap<string, number>;
}

type Group = readonly [code: number, value: string];

const marked: ReadonlySet<string> = new Set(['SPLINE', 'LWPOLYLINE', 'POLYLINE']);
/** What the reader hands on; of all else it says nothing. */
const read: ReadonlySet<string> = new Set(
  'POINT LINE LWPOLYLINE POLYLINE VERTEX SEQEND CIRCLE ARC ELLIPSE SPLINE SOLID HATCH MTEXT ATTDEF ATTRIB TEXT INSERT DIMENSION VIEWPORT'.split(
    ' ',
  ),
);
/** They open and close sections and blocks. */
const frameWords: ReadonlySet<string> = new Set(['SECTION', 'ENDSEC', 'BLOCK', 'ENDBLK', 'EOF']);
/** A vertex that frames a curve, by its flags. */
const frameFlag = 16;

const numbersOf = (groups: readonly Group[], code: number): readonly number[] =>
  groups.filter((group) => group[0] === code).map(([, value]) => Number.parseFloat(value));

const pointOf = (groups: readonly Group[], code: number): Point | null => {
  const [x, y] = [numbersOf(groups, code)[0], numbersOf(groups, code + 10)[0]];
  return x === undefined || y === undefined ? null : [x, y];
};

const ofSpline = (groups: readonly Group[]): Dropped => {
  const ys = numbersOf(groups, 21);
  return {
    fitPoints: numbersOf(groups, 11).map((x, at): Point => [x, ys[at] ?? NaN]),
    firstDirection: pointOf(groups, 12),
    lastDirection: pointOf(groups, 13),
    widths: [],
    frames: new Set(),
  };
};

const nothing: Dropped = {
  fitPoints: [],
  firstDirection: null,
  lastDirection: null,
  widths: [],
  frames: new Set(),
};

const ofLightPolyline = (groups: readonly Group[]): Dropped => {
  const all = numbersOf(groups, 43)[0] ?? 0;
  const widths: (readonly [number, number])[] = [];
  for (const [code, value] of groups) {
    const last = widths.at(-1);
    if (code === 10) widths.push([all, all]);
    else if (code === 40 && last !== undefined) widths[widths.length - 1] = [Number.parseFloat(value), last[1]];
    else if (code === 41 && last !== undefined) widths[widths.length - 1] = [last[0], Number.parseFloat(value)];
  }
  return { ...nothing, widths };
};

const ofPolyline = (groups: readonly Group[], vertices: readonly (readonly Group[])[]): Dropped => {
  const usual = [numbersOf(groups, 40)[0] ?? 0, numbersOf(groups, 41)[0] ?? 0] as const;
  return {
    ...nothing,
    widths: vertices.map((own) => [numbersOf(own, 40)[0] ?? usual[0], numbersOf(own, 41)[0] ?? usual[1]] as const),
    frames: new Set(
      vertices.flatMap((own, at) => (((numbersOf(own, 70)[0] ?? 0) & frameFlag) === frameFlag ? [at] : [])),
    ),
  };
};

interface Part {
  readonly word: string;
  readonly groups: Group[];
  /** Where the next part begins in the text. */
  end: number;
}

/** Goes through a drawing from one entity, section or block to the next, keeping no more than one at a time. */
function* partsOf(text: string): Generator<Part> {
  let at = 0;
  const line = (): string => {
    const end = text.indexOf('\n', at);
    const own = text.slice(at, end < 0 ? text.length : end);
    at = end < 0 ? text.length : end + 1;
    return own;
  };
  let part: Part | null = null;
  while (at < text.length) {
    const from = at;
    const code = Number.parseInt(line(), 10);
    const value = line();
    if (code === 0) {
      if (part !== null) yield { ...part, end: from };
      part = { word: value.trim(), groups: [], end: from };
    } else part?.groups.push([code, value]);
  }
  if (part !== null) yield { ...part, end: text.length };
}

/**
 * Reads beside the reader of DXF what that drops: points that splines run through, widths of polylines, vertices that only
 * frame a curve. Its entities are told by marks that stand where their handles do.
 */
export const markDropped = (given: string): MarkedDxf => {
  const text = given.includes('\n') ? given : given.replaceAll('\r', '\n');
  const dropped = new Map<string, Dropped>();
  const unread = new Map<string, number>();
  const pieces: string[] = [];
  let copied = 0;
  let section = '';
  let open: {
    readonly mark: string;
    readonly groups: readonly Group[];
    readonly vertices: (readonly Group[])[];
  } | null = null;
  const close = (): void => {
    if (open !== null) dropped.set(open.mark, ofPolyline(open.groups, open.vertices));
    open = null;
  };
  for (const { word, groups, end } of partsOf(text)) {
    if (word === 'SECTION') section = groups.find(([code]) => code === 2)?.[1].trim() ?? '';
    if (section !== 'ENTITIES' && section !== 'BLOCKS') continue;
    if (!read.has(word) && !frameWords.has(word)) unread.set(word, (unread.get(word) ?? 0) + 1);
    if (word === 'VERTEX') {
      open?.vertices.push(groups);
      continue;
    }
    close();
    if (!marked.has(word)) continue;
    const mark = `vitrum-${dropped.size}`;
    // The last handle of an entity is the one that the reader keeps.
    pieces.push(text.slice(copied, end), `5\n${mark}\n`);
    copied = end;
    if (word === 'POLYLINE') open = { mark, groups, vertices: [] };
    else dropped.set(mark, word === 'SPLINE' ? ofSpline(groups) : ofLightPolyline(groups));
  }
  close();
  return { text: pieces.join('') + text.slice(copied), dropped, unread };
};
