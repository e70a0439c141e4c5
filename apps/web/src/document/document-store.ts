import type { RevisionWithDesign } from '@vitrum/contract';
import { applyChange, type Design, type DesignChange, type Problem } from '@vitrum/core';
import { temporal } from 'zundo';
import { create } from 'zustand';

/** How the page’s design stands to the server’s. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'away' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'conflict'; readonly head: RevisionWithDesign; readonly yours: RevisionWithDesign };

interface DocumentState {
  readonly jobId: string | null;
  readonly design: Design | null;
  readonly basedOn: string;
  readonly revision: number;
  readonly save: SaveState;
}

/** The open document. Undo and redo cover `design` alone. */
export const useDocument = create<DocumentState>()(
  temporal((): DocumentState => ({ jobId: null, design: null, basedOn: '', revision: 0, save: { kind: 'saved' } }), {
    partialize: ({ design }) => ({ design }),
    equality: (past, current) => past.design === current.design,
    limit: 500,
  }),
);

const history = () => useDocument.temporal.getState();

/** Opens a job’s design; its history starts here. */
export const openDocument = (
  jobId: string,
  head: RevisionWithDesign,
  draft: Design | null,
  draftBasedOn: string,
): void => {
  history().pause();
  useDocument.setState({
    jobId,
    design: draft ?? head.design,
    basedOn: draft === null ? head.hash : draftBasedOn,
    revision: head.number,
    save: { kind: draft === null ? 'saved' : 'unsaved' },
  });
  history().clear();
  history().resume();
};

/** Replaces the design; one step of undo. */
export const setDesign = (design: Design): void =>
  useDocument.setState((state) => ({
    ...state,
    design,
    save: state.save.kind === 'conflict' ? state.save : { kind: 'unsaved' },
  }));

/** Makes a change to the open design. Returns what is wrong with it, if anything. */
export const changeDesign = (change: DesignChange): readonly Problem[] => {
  const { design } = useDocument.getState();
  if (design === null) return [];
  const changed = applyChange(design, change);
  if (!changed.ok) return changed.problems;
  setDesign(changed.value);
  return [];
};

/** A drag is one step of undo: its first change is kept in the history, those that follow are not. */
export const beginGesture = (): {
  readonly change: (change: DesignChange) => void;
  readonly end: () => void;
  readonly cancel: () => void;
} => {
  const before = useDocument.getState().design;
  let begun = false;
  const end = (): void => history().resume();
  return {
    change: (change) => {
      changeDesign(change);
      if (!begun) history().pause();
      begun = true;
    },
    end,
    cancel: () => {
      if (before !== null && begun) {
        setDesign(before);
        end();
        history().undo();
      } else end();
    },
  };
};

const afterTimeTravel = (): void => useDocument.setState({ save: { kind: 'unsaved' } });

export const undo = (): void => {
  if (history().pastStates.length === 0) return;
  history().undo();
  afterTimeTravel();
};

export const redo = (): void => {
  if (history().futureStates.length === 0) return;
  history().redo();
  afterTimeTravel();
};
