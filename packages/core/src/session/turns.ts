import type { FontBook } from '../artwork/lettering/index.js';
import type { Catalogue } from '../document/catalogue/index.js';
import type { PaperFonts } from '../making/paper/index.js';
import type { Evaluator } from '../sign/evaluate/index.js';
import type { SessionReply, SessionRequest } from './protocol.js';

/** What the thread lends the session. */
export interface SessionHost {
  readonly fonts: FontBook;
  /** Fonts for paper, loaded when something is first printed. */
  readonly paper: () => Promise<PaperFonts>;
  readonly post: (reply: SessionReply) => void;
  /** Lets waiting messages in; called often during long work. */
  readonly pause: () => Promise<void>;
}

/** What `open` has made. */
export interface Opened {
  readonly catalogue: Catalogue;
  readonly evaluator: Evaluator;
}

/** What a run is given beside its request. */
export interface Run extends SessionHost, Opened {
  readonly isCancelled: (id: number) => boolean;
}

/** A request of a kind. */
export type Asked<Kind extends SessionRequest['kind']> = Extract<SessionRequest, { readonly kind: Kind }>;

/**
 * Goes through long work in small turns, letting messages in between; `each` hears of every turn. Null, and told so, when
 * it was called off on the way.
 */
export const inTurns = async <Turn, Result>(
  { post, pause, isCancelled }: Run,
  id: number,
  work: Generator<Turn, Result>,
  each: (turn: Turn, count: number) => void = () => undefined,
): Promise<{ readonly result: Result } | null> => {
  for (let count = 0; ; count += 1) {
    await pause();
    if (isCancelled(id)) {
      post({ kind: 'cancelled', id });
      return null;
    }
    const turn = work.next();
    if (turn.done === true) return { result: turn.value };
    each(turn.value, count);
  }
};
