import { apply, create, type Draft, type Patches } from 'mutative';

/** What a step changed, as plain data, both ways. */
export interface HistoryEntry {
  readonly forward: Patches;
  readonly inverse: Patches;
}

/** Steps taken, the oldest first, and steps taken back, the next to be redone last. */
export interface History {
  readonly past: readonly HistoryEntry[];
  readonly future: readonly HistoryEntry[];
}

export const noHistory: History = { past: [], future: [] };

type Plain = Record<string, unknown>;

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Brings the part of a draft under `key` from one value to another, touching no more than differs. */
const bring = (draft: Plain | unknown[], key: string | number, from: unknown, to: unknown): void => {
  if (Object.is(from, to)) return;
  const place = draft as Record<string | number, unknown>;
  if (isPlain(from) && isPlain(to)) bringObject(place[key] as Plain, from, to);
  else if (Array.isArray(from) && Array.isArray(to) && from.length === to.length)
    to.forEach((item: unknown, index) => bring(place[key] as unknown[], index, from[index], item));
  else place[key] = to;
};

const bringObject = (draft: Plain, from: Plain, to: Plain): void => {
  for (const key of Object.keys(from)) if (!Object.hasOwn(to, key)) delete draft[key];
  for (const [key, value] of Object.entries(to)) {
    if (Object.hasOwn(from, key)) bring(draft, key, from[key], value);
    else draft[key] = value;
  }
};

/** What differs between two documents, or null when nothing does. */
export const entryBetween = <Document extends object>(before: Document, after: Document): HistoryEntry | null => {
  if (before === after) return null;
  const [, forward, inverse] = create(
    before,
    (draft: Draft<Document>) => bringObject(draft as Plain, before as Plain, after as Plain),
    { enablePatches: true },
  );
  return forward.length === 0 ? null : { forward, inverse };
};

/** The history with the step from `before` to `after`; what could be redone is gone. A step that changes nothing is none. */
export const recorded = <Document extends object>(history: History, before: Document, after: Document): History => {
  const entry = entryBetween(before, after);
  return entry === null ? history : { past: [...history.past, entry], future: [] };
};

interface Moved<Document> {
  readonly document: Document;
  readonly history: History;
}

/** One step back, or null when there is none. */
export const undone = <Document extends object>(history: History, document: Document): Moved<Document> | null => {
  const entry = history.past.at(-1);
  if (entry === undefined) return null;
  return {
    document: apply(document, entry.inverse),
    history: { past: history.past.slice(0, -1), future: [...history.future, entry] },
  };
};

/** One step forward again, or null when there is none. */
export const redone = <Document extends object>(history: History, document: Document): Moved<Document> | null => {
  const entry = history.future.at(-1);
  if (entry === undefined) return null;
  return {
    document: apply(document, entry.forward),
    history: { past: [...history.past, entry], future: history.future.slice(0, -1) },
  };
};
