import { fewestBins } from '../../making/packing/index.js';
import type { Need } from '../needs/index.js';
import { partsOf, usableIn, usableOf, wayOf, type BegunSheet, type PartToLay } from './laid.js';
import { nothing, sizeOf, take, type Part, type Stocked, type Taken } from './stocked.js';

const longOf = (part: Part): number => Math.max(...part);
const shortOf = (part: Part): number => Math.min(...part);

/** Whether parts of a need lie one after the other on every bar of it: no two find room side by side. */
export const liesInOneRow = (need: Need, lots: readonly Stocked[]): boolean => {
  const { bar, kerfMm } = wayOf(need);
  if (!bar || need.partsMm === undefined) return false;
  const widest = Math.max(
    usableOf(need).shortMm,
    ...lots.flatMap(({ sheetMm }) => (sheetMm === undefined ? [] : [usableIn(need, sheetMm).shortMm])),
  );
  return need.partsMm.every((part) => 2 * shortOf(part) + kerfMm > widest);
};

/** A bar that lies there, as it was begun or whole, with what is left of it and a saw cut (mm). */
interface Room {
  roomMm: number;
  readonly put: (part: PartToLay) => void;
}

/** What of a bar that was begun is left, a saw cut before it (mm). */
const leftOnBar = ({ parts, sheetMm, need }: BegunSheet, kerfMm: number): number =>
  usableIn(need, sheetMm).longMm + kerfMm - parts.reduce((sum, { part }) => sum + longOf(sizeOf(part)) + kerfMm, 0);

/** Bars that were begun, then those that lie there, the shortest first: whole ones stay whole. */
const roomsOn = (
  need: Need,
  lots: readonly Stocked[],
  taken: Taken,
  begun: BegunSheet[],
  jobId: string,
): readonly Room[] => {
  const way = wayOf(need);
  const parts = partsOf(need);
  const wide = Math.max(0, ...parts.map((part) => shortOf(sizeOf(part))));
  const takes = (sheetMm: Part): boolean => shortOf(sheetMm) >= wide - nothing;
  const own = new Set(lots.map(({ id }) => id));
  const onBegun = begun
    .filter((sheet) => own.has(sheet.lotId) && takes(sheet.sheetMm))
    .map((sheet): Room => ({
      roomMm: leftOnBar(sheet, way.kerfMm),
      put: (part) => sheet.parts.push({ jobId, part }),
    }));
  const onFresh = lots.flatMap((lot) => {
    const { sheetMm } = lot;
    if (sheetMm === undefined || !takes(sheetMm)) return [];
    return Array.from({ length: Math.min(parts.length, Math.floor(lot.left + nothing)) }, (): Room => {
      let sheet: BegunSheet | null = null;
      return {
        roomMm: usableIn(need, sheetMm).longMm + way.kerfMm,
        put: (part) => {
          if (sheet === null) {
            take(lot, taken, 1);
            sheet = { lotId: lot.id, sheetMm, need, way, parts: [] };
            begun.push(sheet);
          }
          sheet.parts.push({ jobId, part });
        },
      };
    });
  });
  return [...onBegun, ...onFresh.sort((a, b) => a.roomMm - b.roomMm)].filter(({ roomMm }) => roomMm > 0);
};

/**
 * Lengths of bars on what was begun and what lies there, so that the fewest are bought: by every way to lay them, not one after
 * the other. What is to be bought, and how few it can be at least. Mutates what is taken and begun.
 */
export const allotBars = (
  need: Need,
  lots: readonly Stocked[],
  taken: Taken,
  begun: BegunSheet[],
  jobId: string,
): { readonly missing: readonly PartToLay[]; readonly atLeast: number } => {
  const { kerfMm } = wayOf(need);
  const rooms = roomsOn(need, lots, taken, begun, jobId);
  const bought = usableOf(need).longMm + kerfMm;
  const sizes = (parts: readonly PartToLay[]): readonly number[] => parts.map((part) => longOf(sizeOf(part)) + kerfMm);
  const all = [...partsOf(need)].sort((a, b) => longOf(sizeOf(b)) - longOf(sizeOf(a)));
  const fit = all.filter((part) => longOf(sizeOf(part)) + kerfMm <= bought + nothing);
  const whole = rooms.map(({ roomMm }) => roomMm);
  // What is longer than a bar that is bought goes on the shortest that has it, or is missing whatever is bought.
  const beyond = all.filter((part) => !fit.includes(part));
  const homeless = beyond.filter((part) => {
    const size = longOf(sizeOf(part)) + kerfMm;
    const [tightest] = rooms.filter(({ roomMm }) => roomMm >= size - nothing).sort((a, b) => a.roomMm - b.roomMm);
    if (tightest === undefined) return true;
    tightest.put(part);
    tightest.roomMm -= size;
    return false;
  });
  const { bins, offcuts, atLeast } = fewestBins(
    sizes(fit),
    bought,
    rooms.map(({ roomMm }) => roomMm),
  );
  offcuts.forEach((held, room) => held.forEach((at) => rooms[room]!.put(fit[at]!)));
  const sum = (lengths: readonly number[]): number => lengths.reduce((total, mm) => total + mm, 0);
  const nowhere = sizes(homeless).filter((size) => whole.every((room) => room < size - nothing));
  // What lies on a bar of the shop might have lain elsewhere: proven is what holds wherever the long ones lie.
  const proven =
    beyond.length === homeless.length
      ? atLeast
      : Math.max(
          fewestBins(sizes(fit), bought, whole).atLeast,
          Math.ceil((sum(sizes(all)) - sum(nowhere) - sum(whole)) / bought - nothing),
        );
  return { missing: [...homeless, ...bins.flat().map((at) => fit[at]!)], atLeast: proven + nowhere.length };
};
