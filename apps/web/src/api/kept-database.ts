import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A database of this browser, opened when it is first needed, and anew after another version of the page wanted it. */
export const keptDatabase = <Kept extends DBSchema>(
  name: string,
  version: number,
  upgrade: (fresh: IDBPDatabase<Kept>) => void,
): (() => Promise<IDBPDatabase<Kept>>) => {
  let opened: Promise<IDBPDatabase<Kept>> | null = null;
  // Async, for a browser that forbids its storage throws at once.
  return async () => {
    opened ??= openDB<Kept>(name, version, {
      upgrade,
      // Another version of the page wants it: let go, and open anew when it is next needed.
      blocking: (_now, _wanted, event) => {
        (event.target as IDBDatabase).close();
        opened = null;
      },
      terminated: () => (opened = null),
    });
    opened.catch(() => (opened = null));
    return opened;
  };
};
