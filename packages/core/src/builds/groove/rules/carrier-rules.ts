import { inOutline, outlineArea, splitAlongAll, type CutLine, type Point } from '../../../base/outlines/index.js';
import { set } from '../../../document/design/index.js';
import {
  overBed,
  overBedWords,
  partOverSheet,
  wholeFront,
  type Candidate,
  type Remedy,
  type Rule,
} from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { askedFor } from '../../common/asked-for.js';
import type { GrooveResults } from '../results.js';
import { roomBehind } from '../room-behind.js';
import { mm, placeAt } from './common.js';

type PlacedSplit = NonNullable<GrooveResults['assembly']['carrier']['splits']>[number];

/** A seam keeps so far from holes and ends of runs (mm). */
const seamClearMm = 15;
/** How many places across the carrier are looked at for a seam. */
const seamsLooked = 25;

const onSide = ({ at, angleDeg }: CutLine, [x, y]: Point): number => {
  const angle = (angleDeg * Math.PI) / 180;
  return (y - at[1]) * Math.cos(angle) - (x - at[0]) * Math.sin(angle);
};

/** What a seam would cut or come near: runs of strip crossed, holes and ends of runs beside it. */
export const seamTrouble = (
  { runs, geometry }: Pick<GrooveResults, 'runs' | 'geometry'>,
  line: CutLine,
): { readonly crossed: number; readonly near: number; readonly at: Point | null } => {
  let [crossed, at] = [0, null as Point | null];
  for (const { path } of runs.segments)
    for (let index = 1; index < path.length; index += 1) {
      const [[px, py], [qx, qy]] = [path[index - 1]!, path[index]!];
      const [before, after] = [onSide(line, [px, py]), onSide(line, [qx, qy])];
      if (before > 0 === after > 0) continue;
      const share = before / (before - after);
      crossed += 1;
      at ??= [px + (qx - px) * share, py + (qy - py) * share];
    }
  const beside = runs.holes.filter(
    (hole) => Math.abs(onSide(line, hole.at)) < seamClearMm && inOutline(hole.at, geometry.outline),
  );
  return { crossed, near: beside.length, at: at ?? beside[0]?.at ?? null };
};

const asLine = ({ xMm, yMm, angleDeg }: PlacedSplit): CutLine => ({ at: [xMm, yMm], angleDeg });

/** Seams across the longer side about its middle, those that cut least strip and keep off holes first. */
const seams = (results: GrooveResults, most: number): readonly PlacedSplit[] => {
  const { bounds } = results.geometry;
  const upright = bounds.width >= bounds.height;
  const long = upright ? bounds.width : bounds.height;
  return Array.from({ length: seamsLooked }, (_, at) => long * (0.3 * (at / (seamsLooked - 1)) - 0.15))
    .flatMap((off) =>
      (upright ? [90, 80, 100] : [0, 10, -10]).map((angleDeg): PlacedSplit => ({
        xMm: upright ? Math.round(off) : 0,
        yMm: upright ? 0 : Math.round(off),
        angleDeg,
      })),
    )
    .map((split) => {
      const { crossed, near } = seamTrouble(results, asLine(split));
      return { split, trouble: 10 * crossed + 3 * near + Math.abs(split.xMm + split.yMm) / long };
    })
    .sort((a, b) => a.trouble - b.trouble)
    .slice(0, most)
    .map(({ split }) => split);
};

const splitWords = ({ xMm, yMm, angleDeg }: PlacedSplit, crossed: number): string =>
  `Cut it in two, ${Math.abs(angleDeg) > 45 ? `${Math.abs(xMm)} mm ${xMm < 0 ? 'left' : 'right'} of` : `${Math.abs(yMm)} mm ${yMm < 0 ? 'below' : 'above'}`} its middle${crossed === 0 ? ', clear of all strip' : `; ${crossed} run${crossed === 1 ? '' : 's'} over the seam`}`;

const splitInTwo = (results: GrooveResults): Remedy =>
  askedFor('split', () =>
    results.assembly.carrier.kind === 'letters'
      ? []
      : seams(results, 2).map((split): Candidate => ({
          label: splitWords(split, seamTrouble(results, asLine(split)).crossed),
          change: [set(fieldsIn(results).carrier.splits, [...(results.assembly.carrier.splits ?? []), split])],
        })),
  );

/** The carrier is larger than the machine reaches. */
export const carrierOverBed: Rule<GrooveResults> = (context) => {
  const found = overBed(context);
  if (found === null) return null;
  const { results } = context;
  return {
    ...found,
    what: `${results.geometry.parts.length > 1 ? 'A part of the carrier' : 'The carrier'} is larger than the machine reaches`,
    why: `${overBedWords(results)}.`,
    remedies: [splitInTwo(results), ...found.remedies],
  };
};

/** A part is larger than the sheet it is cut from. */
export const carrierOverSheet: Rule<GrooveResults> = (context) => {
  const found = partOverSheet(context);
  return found === null ? null : { ...found, remedies: [splitInTwo(context.results), ...found.remedies] };
};

/** What the seams of a carrier do to its strip. */
const seamsOf = (results: GrooveResults) =>
  (results.assembly.carrier.splits ?? []).map((split) => ({ split, ...seamTrouble(results, asLine(split)) }));
const nearSeam = (results: GrooveResults): number => seamsOf(results).reduce((sum, { near }) => sum + near, 0);
const overSeam = (results: GrooveResults): number => seamsOf(results).reduce((sum, { crossed }) => sum + crossed, 0);

/** A seam through holes, through ends of runs, or across strip that could be spared. */
export const seamThroughRun: Rule<GrooveResults> = ({ results }) => {
  const all = seamsOf(results);
  const worst = all.reduce<(typeof all)[number] | null>(
    (a, b) => (a === null || 10 * b.crossed + b.near > 10 * a.crossed + a.near ? b : a),
    null,
  );
  if (worst === null || (worst.crossed === 0 && worst.near === 0)) return null;
  const { carrier } = results.assembly;
  const others = (carrier.splits ?? []).filter((split) => split !== worst.split);
  const better = (): readonly PlacedSplit[] =>
    seams(results, 3).filter((split) => {
      const { crossed, near } = seamTrouble(results, asLine(split));
      return 10 * crossed + near < 10 * worst.crossed + worst.near;
    });
  return {
    id: 'seam-through-run',
    severity: worst.near > 0 ? 'fix' : 'note',
    step: 'case',
    what:
      worst.near > 0
        ? `A seam runs within ${seamClearMm} mm of ${worst.near} wire hole${worst.near === 1 ? '' : 's'}`
        : `${worst.crossed} run${worst.crossed === 1 ? '' : 's'} of strip cross a seam`,
    why: 'Glue runs into holes and grooves beside a seam, and strip over it is laid only once the parts are joined.',
    numbers: [
      { label: 'holes beside it', value: worst.near, unit: '' },
      { label: 'runs over it', value: worst.crossed, unit: '' },
    ],
    where: worst.at === null ? wholeFront(results) : placeAt(results, worst.at),
    target: {
      label: 'holes beside seams',
      better: 'lower',
      unit: '',
      read: (tried) => nearSeam(tried) + (worst.near > 0 ? 0 : overSeam(tried)),
      settled: (tried) => nearSeam(tried) === 0 && (worst.near > 0 || overSeam(tried) === 0),
    },
    remedies: [
      askedFor('move-seam', () =>
        better().map((split) => ({
          label: `Seam ${Math.abs(split.xMm + split.yMm)} mm from the middle${split.angleDeg % 90 === 0 ? '' : ', slanting'}`,
          change: [set(fieldsIn(results).carrier.splits, [...others, split])],
        })),
      ),
    ],
  };
};

/** Seams that cut nothing. */
export const seamMisses: Rule<GrooveResults> = ({ results }) => {
  const { carrier } = results.assembly;
  const splits = carrier.splits ?? [];
  const idle = (of: GrooveResults): readonly PlacedSplit[] =>
    (of.assembly.carrier.splits ?? []).filter(
      (split) => splitAlongAll(of.geometry.outline, [asLine(split)], 'pins').parts.length < 2,
    );
  const missed = idle(results);
  if (missed.length === 0) return null;
  return {
    id: 'split-misses',
    severity: 'fix',
    step: 'case',
    what: missed.length === 1 ? 'A seam cuts nothing' : `${missed.length} seams cut nothing`,
    why: 'Its line runs beside the carrier.',
    numbers: [{ label: 'cut nothing', value: missed.length, unit: missed.length === 1 ? 'seam' : 'seams' }],
    where: wholeFront(results),
    target: {
      label: 'cut nothing',
      better: 'lower',
      unit: 'seams',
      read: (tried) => idle(tried).length,
      settled: (tried) => idle(tried).length === 0,
    },
    remedies: [
      {
        id: 'no-seam',
        candidates: [
          {
            label: 'Leave it out',
            change: [
              set(
                fieldsIn(results).carrier.splits,
                splits.filter((split) => !missed.includes(split)),
              ),
            ],
          },
        ],
      },
    ],
  };
};

/** So much of a board cut away makes it bow; typical. */
const warpsFrom = 0.25;

const cutAway = ({ geometry, assembly }: GrooveResults): number => {
  const { outline, grooveArea, groove, sheetMm } = geometry;
  const deep = assembly.carrier.kind === 'two-layer' ? 1 : groove.depthMm / sheetMm;
  return (Math.abs(outlineArea(grooveArea)) * deep) / Math.max(1, Math.abs(outlineArea(outline)));
};

/** So much is cut out of one side that the board bows. */
export const boardWarps: Rule<GrooveResults> = ({ results, catalogue }) => {
  const share = cutAway(results);
  if (share < warpsFrom) return null;
  const { sheet } = results.materials;
  return {
    id: 'board-warps',
    severity: 'note',
    step: 'case',
    what: `${Math.round(100 * share)} % of the ${sheet.clear ? 'sheet' : 'board'} is cut away on one side`,
    why: `From about ${Math.round(100 * warpsFrom)} % on a board bows (typical). Glue it flat under weight, seal both sides alike, and hold it by more than its corners.`,
    numbers: [{ label: 'cut away', value: Math.round(100 * share), unit: '%' }],
    where: wholeFront(results),
    target: {
      label: 'cut away',
      better: 'lower',
      unit: '%',
      read: (tried) => Math.round(100 * cutAway(tried)),
      settled: (tried) => cutAway(tried) < warpsFrom,
    },
    remedies: [
      {
        id: 'thicker-sheet',
        candidates: catalogue.boards
          .filter(
            ({ stuff, thicknessMm, form }) =>
              form === 'sheet' && stuff === sheet.stuff && thicknessMm > sheet.thicknessMm,
          )
          .map(({ id, name }) => ({ label: name, change: [set(fieldsIn(results).carrier.boardId, id)] })),
      },
    ],
  };
};

/** Wires and joints behind a carrier want so much room (mm); typical. */
const wireRoomMm = 6;

/** Flat on the wall, with holes and wires behind it. */
export const noRoomBehind: Rule<GrooveResults> = ({ results }) => {
  const room = roomBehind(results);
  if (results.runs.segments.length === 0 || room >= wireRoomMm) return null;
  return {
    id: 'no-room-behind',
    severity: 'fix',
    step: 'case',
    what: 'Wires have no room behind it',
    why: `${results.circuit.wires.length} wires lie behind, joints and the lead with them; it stands ${mm(room)} off the wall, and ${mm(wireRoomMm)} are little (typical).`,
    numbers: [
      { label: 'room', value: room, unit: 'mm' },
      { label: 'wanted', value: wireRoomMm, unit: 'mm' },
    ],
    where: wholeFront(results),
    target: {
      label: 'room',
      better: 'higher',
      unit: 'mm',
      read: roomBehind,
      settled: (tried) => roomBehind(tried) >= wireRoomMm,
    },
    remedies: [
      {
        id: 'spacers',
        candidates: [10, 15, 20].map((off) => ({
          label: `Held ${off} mm off the wall`,
          change: [set(fieldsIn(results).carrier.spacerMm, off)],
        })),
      },
    ],
  };
};
