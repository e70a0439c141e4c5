import { setKeeping } from '../document-store';
import { browserDraftStore } from './draft-store';
import { createJournal } from './journal';
import { thisPage } from './pages';

export type { Draft, Edits } from './draft';
export type { Journal, Keeping } from './journal';
export { leftBehind, letGo, notSaved } from './left-behind';
export { signIn, thisPage } from './pages';

/** The drafts of this browser. */
export const draftStore = browserDraftStore();

/** The journal of this page. */
export const journal = createJournal(draftStore, thisPage, setKeeping);
