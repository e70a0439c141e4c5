import { newId } from '../../api/new-id';

const lockOf = (page: string): string => `vitrum.page.${page}`;

/** This load of the page: two tabs are two, and so is a tab before and after it is reloaded. */
export const thisPage: string = newId();

/** Not there in old browsers, nor where a page is served from another machine without encryption. */
const locks = (): LockManager | undefined => (globalThis.navigator as Navigator | undefined)?.locks;

let signedIn = false;

/** Holds a lock while this page lives; the browser lets go of it when the page ends, however it ends. */
export const signIn = (): void => {
  if (signedIn) return;
  signedIn = true;
  locks()
    ?.request(lockOf(thisPage), () => new Promise(() => undefined))
    .catch(() => undefined);
};

/** Whether another page is open. Where the browser cannot tell, it is taken to have ended: its edits are offered, not lost. */
export const isOpen = async (page: string): Promise<boolean> => {
  const known = await locks()?.query();
  return (known?.held ?? []).some(({ name }) => name === lockOf(page));
};
