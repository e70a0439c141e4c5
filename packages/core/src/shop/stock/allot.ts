import type { Need } from '../needs/index.js';
import {
  laidFor,
  laidToBuy,
  lay,
  layOnBought,
  partsOf,
  usableIn,
  usableOf,
  wayOf,
  type BegunSheet,
  type PartToLay,
  type WayOfCutting,
} from './laid.js';
import { allotBars, liesInOneRow } from './bars.js';
import { nothing, sizeOf, take, type Part, type Stocked, type Taken } from './stocked.js';
import type { Allotted, Claim, Lot, Short } from './types.js';

const sumOf = (lots: readonly Stocked[]): number => lots.reduce((sum, { left }) => sum + Math.max(0, left), 0);

/** The lot with the least left that has so much; the first of several. */
const tightestOf = (lots: readonly Stocked[], least: number): Stocked | undefined => {
  let tightest: Stocked | undefined;
  for (const lot of lots) if (lot.left >= least && lot.left < (tightest?.left ?? Infinity)) tightest = lot;
  return tightest;
};

/** Each length from one piece, the longest first, from the shortest piece that has it: pieces are not joined. */
const allotLengths = (need: Need, lots: readonly Stocked[], taken: Taken): Short | null => {
  const missing: number[] = [];
  for (const mm of [...(need.lengthsMm ?? [])].sort((a, b) => b - a)) {
    const tightest = tightestOf(lots, mm - nothing);
    if (tightest === undefined) missing.push(mm);
    else take(tightest, taken, mm);
  }
  if (missing.length === 0) return null;
  return {
    ...need,
    amount: missing.reduce((sum, mm) => sum + mm, 0),
    lengthsMm: missing,
    there: sumOf(lots),
  };
};

const areaOf = ([width, height]: Part): number => width * height;

/** More parts on one sheet are not tried. */
const mostOnOne = 40;

const lieTogether = (parts: readonly PartToLay[], whole: Part, need: Need, way: WayOfCutting): boolean => {
  const { longMm, shortMm } = usableIn(need, whole);
  const sheetMm = [longMm, shortMm] as const;
  // What is larger than the sheet together need not be tried.
  if (parts.reduce((sum, part) => sum + areaOf(sizeOf(part)), 0) > areaOf(sheetMm)) return false;
  const { sheets, tooLarge } = lay(parts, sheetMm, way);
  return sheets <= 1 && tooLarge.length === 0;
};

/** So many sheets must be bought, whatever lies on what is there: by the area of all of it, and by what fits none of it. */
const sheetsToBuyAtLeast = (need: Need, lots: readonly Stocked[], way: WayOfCutting): number => {
  const parts = partsOf(need);
  const { longMm, shortMm } = usableOf(need);
  const { kerfMm } = way;
  const withKerf = ([a, b]: Part): number => (a + kerfMm) * (b + kerfMm);
  const there = lots.flatMap((lot) =>
    lot.sheetMm === undefined ? [] : [withKerf(lot.sheetMm) * Math.floor(lot.startedWith + nothing)],
  );
  const area =
    parts.reduce((sum, part) => sum + withKerf(sizeOf(part)), 0) - there.reduce((sum, each) => sum + each, 0);
  const homeless = parts.filter((part) =>
    lots.every((lot) => lot.sheetMm === undefined || !lieTogether([part], lot.sheetMm, need, way)),
  );
  const beyond = layOnBought(homeless, need);
  return Math.max(0, Math.ceil(area / withKerf([longMm, shortMm]) - nothing), beyond.atLeast + beyond.tooLarge.length);
};

/** What is short where some parts have no place: how many sheets or bars they take, and at least. */
const shortOfParts = (need: Need, missing: readonly PartToLay[], there: number, atLeast: number): Short | null => {
  if (missing.length === 0) return null;
  const { sheets, tooLarge } = layOnBought(missing, need);
  const amount = sheets + tooLarge.length;
  return {
    ...need,
    amount,
    atLeast: Math.min(amount, atLeast),
    partsMm: missing.map(sizeOf),
    partNames: missing.map(({ label }) => label),
    there,
  };
};

/** Parts from offcuts and sheets, the smallest first; whole sheets where parts are not told one by one. */
const allotSheets = (
  need: Need,
  lots: readonly Stocked[],
  taken: Taken,
  begun: BegunSheet[],
  jobId: string,
): Short | null => {
  const sized = lots
    .filter((lot) => lot.sheetMm !== undefined && lot.left >= 1 - nothing)
    .sort((a, b) => areaOf(a.sheetMm!) - areaOf(b.sheetMm!));
  const there = sumOf(sized);
  if (need.partsMm === undefined) {
    let wanted = need.amount;
    const [wide, high] = need.sheetMm ?? [0, 0];
    for (const lot of sized) {
      const [w, h] = lot.sheetMm!;
      if (Math.max(w, h) < Math.max(wide, high) - 1 || Math.min(w, h) < Math.min(wide, high) - 1) continue;
      const from = Math.min(wanted, Math.floor(lot.left + nothing));
      if (from <= 0) continue;
      take(lot, taken, from);
      wanted -= from;
    }
    return wanted <= nothing ? null : { ...need, amount: wanted, there };
  }
  const own = new Set(lots.map(({ id }) => id));
  const way = wayOf(need);
  if (liesInOneRow(need, lots)) {
    const bars = allotBars(need, lots, taken, begun, jobId);
    return shortOfParts(need, bars.missing, there, bars.atLeast);
  }
  const missing: PartToLay[] = [];
  // The largest first: on what was begun, then on the smallest that takes it.
  for (const part of [...partsOf(need)].sort((a, b) => areaOf(sizeOf(b)) - areaOf(sizeOf(a)))) {
    const on = begun.find(
      (sheet) =>
        own.has(sheet.lotId) &&
        sheet.parts.length < mostOnOne &&
        lieTogether([...sheet.parts.map((each) => each.part), part], sheet.sheetMm, need, way),
    );
    if (on !== undefined) {
      on.parts.push({ jobId, part });
      continue;
    }
    const fresh = sized.find((lot) => lot.left >= 1 - nothing && lieTogether([part], lot.sheetMm!, need, way));
    if (fresh === undefined) missing.push(part);
    else {
      take(fresh, taken, 1);
      begun.push({ lotId: fresh.id, sheetMm: fresh.sheetMm!, need, way, parts: [{ jobId, part }] });
    }
  }
  return shortOfParts(need, missing, there, sheetsToBuyAtLeast(need, lots, way));
};

/** An amount from what is open and least first: tins are emptied one after the other. */
const allotAmount = (need: Need, lots: readonly Stocked[], taken: Taken): Short | null => {
  let wanted = need.amount;
  const there = sumOf(lots);
  while (wanted > 0) {
    const lot = tightestOf(lots, Number.MIN_VALUE);
    if (lot === undefined) break;
    const from = Math.min(wanted, lot.left);
    take(lot, taken, from);
    wanted -= from;
  }
  return wanted <= nothing ? null : { ...need, amount: wanted, there };
};

const ways = { lengths: allotLengths, sheets: allotSheets, amount: allotAmount } as const;

/** Sheets with parts of a job on them: those of the shop that it begins, those that others began, those to be bought. */
const laidOf = (jobId: string, begun: readonly BegunSheet[], shorts: readonly Short[]): Allotted['laid'] => [
  ...begun.filter(({ parts }) => parts.some((each) => each.jobId === jobId)).map((sheet) => laidFor(jobId, sheet)),
  ...shorts.filter(({ partsMm }) => partsMm !== undefined).flatMap(laidToBuy),
];

/**
 * Gives what is there to claims, one after the other: what one takes, those after it do not have. Each job is told what it is
 * short of, and what of which lots it is made from; those in `laid` also how their parts lie on sheets.
 */
export const allot = (
  lots: readonly Lot[],
  claims: readonly Claim[],
  laid: ReadonlySet<string> = new Set(),
): readonly Allotted[] => {
  const begun: BegunSheet[] = [];
  const keyOf = ({ kind, lineId, form }: Pick<Lot, 'kind' | 'lineId' | 'form'>): string => `${kind} ${form} ${lineId}`;
  const byKey = new Map<string, Stocked[]>();
  for (const lot of lots) {
    const stocked: Stocked = { id: lot.id, sheetMm: lot.sheetMm, startedWith: lot.amount, left: lot.amount };
    const own = byKey.get(keyOf(lot));
    if (own === undefined) byKey.set(keyOf(lot), [stocked]);
    else own.push(stocked);
  }
  const found = claims.map(({ jobId, needs }) => {
    const taken: Taken = new Map();
    const shorts = needs.flatMap((need) => {
      const own = byKey.get(keyOf(need)) ?? [];
      return ways[need.form](need, own, taken, begun, jobId) ?? [];
    });
    return { jobId, shorts, taken: [...taken].map(([lotId, amount]) => ({ lotId, amount })) };
  });
  return found.map((each) => ({ ...each, laid: laid.has(each.jobId) ? laidOf(each.jobId, begun, each.shorts) : [] }));
};
