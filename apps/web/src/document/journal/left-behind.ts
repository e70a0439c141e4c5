import { canonicalJson, type Design } from '@vitrum/core';
import type { RevisionWithDesign } from '@vitrum/contract';
import type { Draft } from './draft';
import type { DraftStore } from './draft-store';
import { dropLegacyDraft, legacyDraft, legacyPage } from './legacy-draft';
import { isOpen, thisPage } from './pages';

/** Edits of a job by pages that have ended, and by this page itself, the newest first. */
export const leftBehind = async (store: DraftStore, jobId: string): Promise<readonly Draft[]> => {
  // A browser that keeps nothing has nothing to offer; the job opens all the same.
  const kept = await store.ofJob(jobId).catch(() => []);
  const closed = await Promise.all(
    kept.map(async (draft) => (draft.page === thisPage || !(await isOpen(draft.page)) ? [draft] : [])),
  );
  return [...closed.flat(), legacyDraft(jobId) ?? []].flat().sort((a, b) => b.at - a.at);
};

/** Lets go of a draft that was taken over, thrown away, or that the server has. */
export const letGo = (store: DraftStore, { jobId, page }: Draft): void => {
  if (page === legacyPage) dropLegacyDraft(jobId);
  else store.remove(jobId, page).catch(() => undefined);
};

const same = (one: Design, other: Design): boolean => canonicalJson(one) === canonicalJson(other);

/**
 * What of the drafts the server does not have. One whose save was under way when its page ended, and got there, goes on
 * from that save: it is no conflict.
 */
export const notSaved = (drafts: readonly Draft[], head: RevisionWithDesign): readonly Draft[] =>
  drafts
    .filter(({ design }) => !same(design, head.design))
    .map((draft) =>
      draft.sending !== null && same(draft.sending, head.design) ? { ...draft, basedOn: head.hash } : draft,
    );
