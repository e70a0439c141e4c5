import type { RevisionWithDesign } from '@vitrum/contract';
import { applyChange, type Design, type DesignChange, type Problem } from '@vitrum/core';
import { create } from 'zustand';
import type { Keeping } from './journal/journal';
import { noHistory, recorded, redone, undone, type History } from './history';

/** How the page’s design stands to the server’s. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'away' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'conflict'; readonly head: RevisionWithDesign; readonly yours: RevisionWithDesign };

/** A drag under way: what it moves is in no step of the history yet. */
interface OpenGesture {
  readonly before: Design;
}

interface DocumentState {
  readonly jobId: string | null;
  readonly design: Design | null;
  /** As it was when the job was opened. */
  readonly opened: Design | null;
  readonly basedOn: string;
  readonly revision: number;
  readonly save: SaveState;
  /** Whether the newest edits are safe in the browser, for as long as the server does not have them. */
  readonly keeping: Keeping;
  readonly history: History;
  readonly gesture: OpenGesture | null;
}

/** The open document and the history of its design. */
export const useDocument = create<DocumentState>(() => ({
  jobId: null,
  design: null,
  opened: null,
  basedOn: '',
  revision: 0,
  save: { kind: 'saved' },
  keeping: 'kept',
  history: noHistory,
  gesture: null,
}));

/** Takes down how the edits of a job stand in the browser. */
export const setKeeping = (jobId: string, keeping: Keeping): void =>
  useDocument.setState((state) => (state.jobId === jobId ? { keeping } : state));

/** Whether closing the page now would lose edits: neither the server nor the browser has them. */
export const wouldLose = ({ save, keeping }: Pick<DocumentState, 'save' | 'keeping'>): boolean =>
  save.kind === 'refused' || (save.kind !== 'saved' && save.kind !== 'conflict' && keeping !== 'kept');

const edited = ({ save }: DocumentState): SaveState => (save.kind === 'conflict' ? save : { kind: 'unsaved' });

/** The open drag, if any, made a step; one whose handle went away ends like this at the next edit. */
const settled = (state: DocumentState): DocumentState => {
  const { gesture, design, history } = state;
  if (gesture === null || design === null) return state;
  return { ...state, gesture: null, history: recorded(history, gesture.before, design) };
};

/** Opens a job’s design; its history starts here. */
export const openDocument = (
  jobId: string,
  head: RevisionWithDesign,
  draft: Design | null,
  draftBasedOn: string,
): void =>
  useDocument.setState({
    jobId,
    design: draft ?? head.design,
    opened: head.design,
    basedOn: draft === null ? head.hash : draftBasedOn,
    revision: head.number,
    save: { kind: draft === null ? 'saved' : 'unsaved' },
    keeping: 'kept',
    history: noHistory,
    gesture: null,
  });

const replaced = (state: DocumentState, design: Design): DocumentState => {
  const before = settled(state);
  const history = before.design === null ? noHistory : recorded(before.history, before.design, design);
  return { ...before, design, history, save: edited(before) };
};

/** Replaces the design; one step of undo. */
export const setDesign = (design: Design): void => useDocument.setState((state) => replaced(state, design));

/** Takes over what the server has; one step of undo as well. */
export const takeRevision = ({ design, hash, number }: RevisionWithDesign): void =>
  useDocument.setState((state) => ({
    ...replaced(state, design),
    basedOn: hash,
    revision: number,
    save: { kind: 'saved' },
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

/** A drag of a handle. */
export interface Gesture {
  /** Moves on; a value that makes no design is passed over. */
  readonly change: (change: DesignChange) => void;
  /** Ends it as one step of undo; none when it is back where it began. */
  readonly end: () => void;
  /** Calls it off: the design and its history are as they were. */
  readonly cancel: () => void;
}

/**
 * Begins a drag. Any other edit, undo, redo or drag ends it where it is; what its handle says afterwards counts for
 * nothing.
 */
export const beginGesture = (): Gesture => {
  useDocument.setState(settled);
  const { design } = useDocument.getState();
  const own: OpenGesture | null = design === null ? null : { before: design };
  useDocument.setState({ gesture: own });
  const whileOpen = (next: (state: DocumentState) => DocumentState): void =>
    useDocument.setState((state) => (own !== null && state.gesture === own ? next(state) : state));
  return {
    change: (change) =>
      whileOpen((state) => {
        const changed = state.design === null ? null : applyChange(state.design, change);
        return changed?.ok === true ? { ...state, design: changed.value, save: edited(state) } : state;
      }),
    end: () => whileOpen(settled),
    cancel: () =>
      whileOpen((state) => {
        if (state.design === own!.before) return { ...state, gesture: null };
        return { ...state, gesture: null, design: own!.before, save: edited(state) };
      }),
  };
};

const travel = (way: typeof undone): void =>
  useDocument.setState((state) => {
    const now = settled(state);
    const moved = now.design === null ? null : way(now.history, now.design);
    if (moved === null) return now;
    return { ...now, design: moved.document, history: moved.history, save: edited(now) };
  });

export const undo = (): void => travel(undone);

export const redo = (): void => travel(redone);
