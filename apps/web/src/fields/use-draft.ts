import { useState } from 'react';

/** A field's text while it is being typed; outside of that it shows the stored value. */
export interface DraftText {
  readonly text: string;
  readonly problem: string | null;
  readonly type: (text: string) => void;
  readonly commit: () => void;
  readonly abandon: () => void;
}

/** `save` takes the typed text and returns what is wrong with it, or null. */
export const useDraft = (stored: string, save: (text: string) => string | null): DraftText => {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  return {
    text: typed ?? stored,
    problem,
    type: (text) => {
      setTyped(text);
      setProblem(null);
    },
    commit: () => {
      if (typed === null) return;
      const wrong = typed === stored ? null : save(typed);
      setProblem(wrong);
      if (wrong === null) setTyped(null);
    },
    abandon: () => {
      setTyped(null);
      setProblem(null);
    },
  };
};
