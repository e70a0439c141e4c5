import { usableSize, type UsableSize } from '../../document/catalogue/index.js';
import { inPlace, packSheets, type PlacedPiece } from '../../making/packing/index.js';
import type { Need } from '../needs/index.js';

/** A saw takes so much between parts where a need does not say (mm). */
const usualKerfMm = 3.2;
/** Sizes are whole millimetres. */
const almost = 1;
/** What is left of a sheet is kept if it is so large both ways, of a bar so long (mm). */
const leastKeptMm = 100;
const leastBarMm = 200;

/** A part to lie on a sheet. */
export interface PartToLay {
  readonly label: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** How parts of a need are cut: what the saw takes, whether they may lie across, and whether they come off a bar. */
export interface WayOfCutting {
  readonly kerfMm: number;
  readonly mayTurn: boolean;
  readonly bar: boolean;
}

/** A sheet with the parts of a job on it: one that lies in the shop, or one that is to be bought. */
export interface LaidSheet {
  /** Null: to be bought. */
  readonly lotId: string | null;
  readonly kind: Need['kind'];
  readonly lineId: string;
  readonly name: string;
  /** Whether it is smaller than what is bought. */
  readonly offcut: boolean;
  readonly bar: boolean;
  /** Long side first. */
  readonly sheetMm: readonly [widthMm: number, heightMm: number];
  readonly placed: readonly PlacedPiece[];
  /** What is left of it, large enough to be kept: pieces, long side first; nothing where another job began it. */
  readonly leftMm: readonly (readonly [widthMm: number, heightMm: number])[];
}

const longFirst = ([a, b]: readonly [number, number]): readonly [number, number] => [Math.max(a, b), Math.min(a, b)];

/** How the parts of a need are cut. */
export const wayOf = ({ kerfMm = usualKerfMm, mayTurn, bar }: Need): WayOfCutting => ({
  kerfMm,
  mayTurn: mayTurn === true,
  bar: bar === true,
});

/** The parts of a need, each by its name where it has one. */
export const partsOf = ({ partsMm = [], partNames = [] }: Need): readonly PartToLay[] =>
  partsMm.map(([widthMm, heightMm], at) => ({ label: partNames[at] ?? `part ${at + 1}`, widthMm, heightMm }));

/** Lays parts on as many sheets of one size as they take. */
export const lay = (
  parts: readonly PartToLay[],
  [width, height]: readonly [number, number],
  { kerfMm, mayTurn }: WayOfCutting,
) => packSheets(parts, width, height, kerfMm, mayTurn);

/**
 * What is left of a sheet when what lies in its corner is cut off: the strip beside it and the one above it, parted by the
 * cut that leaves the larger piece (whole mm, long side first). Pieces too small to be kept are left out.
 */
export const leftOf = (
  placed: readonly PlacedPiece[],
  sheetMm: readonly [number, number],
  { kerfMm, bar }: WayOfCutting,
): LaidSheet['leftMm'] => {
  const [long, short] = longFirst(sheetMm);
  const across = placed.reduce((most, { x, widthMm }) => Math.max(most, x + widthMm), 0);
  const up = placed.reduce((most, { y, heightMm }) => Math.max(most, y + heightMm), 0);
  const right = long - across - kerfMm;
  if (bar) return right >= leastBarMm ? [[Math.floor(right), short]] : [];
  const above = short - up - kerfMm;
  const areaOf = ([a, b]: readonly [number, number]): number => Math.max(0, a) * Math.max(0, b);
  const ways: readonly (readonly (readonly [number, number])[])[] = [
    [
      [right, short],
      [across, above],
    ],
    [
      [long, above],
      [right, up],
    ],
  ];
  const [best] = [...ways].sort((a, b) => Math.max(...b.map(areaOf)) - Math.max(...a.map(areaOf)));
  return best!
    .filter((piece) => Math.min(...piece) >= leastKeptMm)
    .map(([a, b]) => longFirst([Math.floor(a), Math.floor(b)]));
};

/** What of a sheet or bar that is bought parts may be cut from, and where that begins (mm). */
export const usableOf = ({ sheetMm = [0, 0], trimMm, bar }: Need): UsableSize =>
  usableSize({
    sheetWidthMm: sheetMm[0],
    sheetHeightMm: sheetMm[1],
    ...(trimMm === undefined ? {} : { trimMm }),
    form: bar === true ? 'bar' : 'sheet',
  });

/** The same of a sheet that lies in the shop: a whole one is trimmed as one that is bought, an offcut was. */
export const usableIn = (need: Need, sheetMm: readonly [number, number]): UsableSize => {
  const [longMm, shortMm] = longFirst(sheetMm);
  const [wholeLong, wholeShort] = longFirst(need.sheetMm ?? sheetMm);
  const whole = longMm >= wholeLong - almost && shortMm >= wholeShort - almost;
  return whole ? usableOf({ ...need, sheetMm }) : { longMm, shortMm, atMm: [0, 0] };
};

/** Lays parts on as many bought sheets of a need as they take. */
export const layOnBought = (parts: readonly PartToLay[], need: Need) => {
  const { longMm, shortMm } = usableOf(need);
  return lay(parts, [longMm, shortMm], wayOf(need));
};

/** Sheets to be bought for what is short of a need, with its parts on them. */
export const laidToBuy = (short: Need): readonly LaidSheet[] => {
  const way = wayOf(short);
  const { sheets, placed } = layOnBought(partsOf(short), short);
  const usable = usableOf(short);
  return Array.from({ length: sheets }, (_, at): LaidSheet => {
    const own = placed.filter(({ sheet }) => sheet === at).map((piece) => ({ ...piece, sheet: 0 }));
    return {
      lotId: null,
      kind: short.kind,
      lineId: short.lineId,
      name: short.name,
      offcut: false,
      bar: way.bar,
      sheetMm: longFirst(short.sheetMm ?? [0, 0]),
      placed: inPlace(own, usable.atMm),
      leftMm: leftOf(own, [usable.longMm, usable.shortMm], way),
    };
  });
};

/** A sheet of the shop that parts were put on, in turn by several jobs. */
export interface BegunSheet {
  readonly lotId: string;
  readonly sheetMm: readonly [number, number];
  readonly need: Need;
  readonly way: WayOfCutting;
  readonly parts: { readonly jobId: string; readonly part: PartToLay }[];
}

/** A sheet of the shop as one job is to cut it: its parts, and those of others so far as they lie on it, without a name. */
export const laidFor = (jobId: string, { lotId, sheetMm, need, way, parts }: BegunSheet): LaidSheet => {
  const own = parts.filter((each) => each.jobId === jobId);
  const first = parts[0]?.jobId === jobId;
  // Who began it cuts it; those after find the rest of it.
  const shown = first ? own : parts;
  const usable = usableIn(need, sheetMm);
  const { placed } = lay(
    shown.map(({ part, jobId: whose }) => (whose === jobId ? part : { ...part, label: '–' })),
    [usable.longMm, usable.shortMm],
    way,
  );
  const [long, short] = longFirst(sheetMm);
  const [wholeLong, wholeShort] = longFirst(need.sheetMm ?? sheetMm);
  return {
    lotId,
    kind: need.kind,
    lineId: need.lineId,
    name: need.name,
    offcut: long < wholeLong - almost || short < wholeShort - almost,
    bar: way.bar,
    sheetMm: [long, short],
    placed: inPlace(placed, usable.atMm),
    leftMm: first ? leftOf(placed, [usable.longMm, usable.shortMm], way) : [],
  };
};
