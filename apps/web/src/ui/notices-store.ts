import { create } from 'zustand';

/** Something that was just done, and how to take it back. */
export interface Notice {
  readonly words: string;
  /** Until it is put away: something is to be done about it. */
  readonly stays?: boolean;
  readonly undo?: () => void;
}

interface Notices {
  readonly notice: (Notice & { readonly number: number }) | null;
}

export const useNotices = create<Notices>(() => ({ notice: null }));

/** Says that something was done; the newest takes the place of the one before. */
export const tell = (notice: Notice): void =>
  useNotices.setState(({ notice: before }) => ({ notice: { ...notice, number: (before?.number ?? 0) + 1 } }));
