import { create } from 'zustand';

interface ChosenSheet {
  /** By its id; null: the foremost. */
  readonly id: string | null;
}

/** The sheet whose fields are shown, in the list and in the slice. */
export const useChosenSheet = create<ChosenSheet>(() => ({ id: null }));

export const chooseSheet = (id: string | null): void => useChosenSheet.setState({ id });
