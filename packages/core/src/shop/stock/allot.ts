import type { Need } from '../needs/index.js';
import { laidFor, laidToBuy, lay, partsOf, wayOf, type BegunSheet, type PartToLay, type WayOfCutting } from './laid.js';
import type { Allotted, Claim, Lot, Short } from './types.js';

/** Amounts are kept to a millionth: what is less is nothing. */
const nothing = 1e-6;

type Left = Map<string, number>;
type Taken = Map<string, number>;

const take = (left: Left, taken: Taken, lotId: string, amount: number): void => {
  left.set(lotId, (left.get(lotId) ?? 0) - amount);
  taken.set(lotId, (taken.get(lotId) ?? 0) + amount);
};

const leftOf = (left: Left, { id }: Lot): number => left.get(id) ?? 0;

/** The lot with the least left that has so much; the first of several. */
const tightestOf = (lots: readonly Lot[], left: Left, least: number): Lot | undefined => {
  let tightest: Lot | undefined;
  let there = Infinity;
  for (const lot of lots) {
    const own = leftOf(left, lot);
    if (own >= least && own < there) [tightest, there] = [lot, own];
  }
  return tightest;
};

/** Each length from one piece, the longest first, from the shortest piece that has it: pieces are not joined. */
const allotLengths = (need: Need, lots: readonly Lot[], left: Left, taken: Taken): Short | null => {
  const missing: number[] = [];
  for (const mm of [...(need.lengthsMm ?? [])].sort((a, b) => b - a)) {
    const tightest = tightestOf(lots, left, mm - nothing);
    if (tightest === undefined) missing.push(mm);
    else take(left, taken, tightest.id, mm);
  }
  if (missing.length === 0) return null;
  return {
    ...need,
    amount: missing.reduce((sum, mm) => sum + mm, 0),
    lengthsMm: missing,
    there: lots.reduce((sum, lot) => sum + leftOf(left, lot), 0),
  };
};

type Part = readonly [widthMm: number, heightMm: number];

const areaOf = ([width, height]: Part): number => width * height;
const sizeOf = ({ widthMm, heightMm }: PartToLay): Part => [widthMm, heightMm];

/** More parts on one sheet are not tried. */
const mostOnOne = 40;

const lieTogether = (parts: readonly PartToLay[], sheetMm: Part, way: WayOfCutting): boolean => {
  // What is larger than the sheet together need not be tried.
  if (parts.reduce((sum, part) => sum + areaOf(sizeOf(part)), 0) > areaOf(sheetMm)) return false;
  const { sheets, tooLarge } = lay(parts, sheetMm, way);
  return sheets <= 1 && tooLarge.length === 0;
};

/** Parts from offcuts and sheets, the smallest first; whole sheets where parts are not told one by one. */
const allotSheets = (
  need: Need,
  lots: readonly Lot[],
  left: Left,
  taken: Taken,
  begun: BegunSheet[],
  jobId: string,
): Short | null => {
  const sized = lots
    .filter((lot) => lot.sheetMm !== undefined && leftOf(left, lot) >= 1 - nothing)
    .sort((a, b) => areaOf(a.sheetMm!) - areaOf(b.sheetMm!));
  const there = sized.reduce((sum, lot) => sum + leftOf(left, lot), 0);
  if (need.partsMm === undefined) {
    let wanted = need.amount;
    const [wide, high] = need.sheetMm ?? [0, 0];
    for (const lot of sized) {
      const [w, h] = lot.sheetMm!;
      if (Math.max(w, h) < Math.max(wide, high) - 1 || Math.min(w, h) < Math.min(wide, high) - 1) continue;
      const from = Math.min(wanted, Math.floor(leftOf(left, lot) + nothing));
      if (from <= 0) continue;
      take(left, taken, lot.id, from);
      wanted -= from;
    }
    return wanted <= nothing ? null : { ...need, amount: wanted, there };
  }
  const own = new Set(lots.map(({ id }) => id));
  const way = wayOf(need);
  const missing: PartToLay[] = [];
  // The largest first: on what was begun, then on the smallest that takes it.
  for (const part of [...partsOf(need)].sort((a, b) => areaOf(sizeOf(b)) - areaOf(sizeOf(a)))) {
    const on = begun.find(
      (sheet) =>
        own.has(sheet.lotId) &&
        sheet.parts.length < mostOnOne &&
        lieTogether([...sheet.parts.map((each) => each.part), part], sheet.sheetMm, way),
    );
    if (on !== undefined) {
      on.parts.push({ jobId, part });
      continue;
    }
    const fresh = sized.find((lot) => leftOf(left, lot) >= 1 - nothing && lieTogether([part], lot.sheetMm!, way));
    if (fresh === undefined) missing.push(part);
    else {
      take(left, taken, fresh.id, 1);
      begun.push({ lotId: fresh.id, sheetMm: fresh.sheetMm!, need, way, parts: [{ jobId, part }] });
    }
  }
  if (missing.length === 0) return null;
  const { sheets, tooLarge } = lay(missing, need.sheetMm ?? [0, 0], way);
  return {
    ...need,
    amount: sheets + tooLarge.length,
    partsMm: missing.map(sizeOf),
    partNames: missing.map(({ label }) => label),
    there,
  };
};

/** An amount from what is open and least first: tins are emptied one after the other. */
const allotAmount = (need: Need, lots: readonly Lot[], left: Left, taken: Taken): Short | null => {
  let wanted = need.amount;
  const there = lots.reduce((sum, lot) => sum + Math.max(0, leftOf(left, lot)), 0);
  while (wanted > 0) {
    const lot = tightestOf(lots, left, Number.MIN_VALUE);
    if (lot === undefined) break;
    const from = Math.min(wanted, leftOf(left, lot));
    take(left, taken, lot.id, from);
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
  const left: Left = new Map(lots.map(({ id, amount }) => [id, amount]));
  const begun: BegunSheet[] = [];
  const keyOf = ({ kind, lineId, form }: Pick<Lot, 'kind' | 'lineId' | 'form'>): string => `${kind} ${form} ${lineId}`;
  const byKey = new Map<string, Lot[]>();
  for (const lot of lots) {
    const own = byKey.get(keyOf(lot));
    if (own === undefined) byKey.set(keyOf(lot), [lot]);
    else own.push(lot);
  }
  const found = claims.map(({ jobId, needs }) => {
    const taken: Taken = new Map();
    const shorts = needs.flatMap((need) => {
      const own = byKey.get(keyOf(need)) ?? [];
      return ways[need.form](need, own, left, taken, begun, jobId) ?? [];
    });
    return { jobId, shorts, taken: [...taken].map(([lotId, amount]) => ({ lotId, amount })) };
  });
  return found.map((each) => ({ ...each, laid: laid.has(each.jobId) ? laidOf(each.jobId, begun, each.shorts) : [] }));
};
