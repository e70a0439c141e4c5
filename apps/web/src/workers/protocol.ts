/** What every message carries: an answer has the number of its question. */
export interface Numbered {
  readonly id: number;
}

/** The part of a worker that is used; tests bring a stand-in. */
export interface Thread<Request, Reply> {
  readonly postMessage: (request: Request) => void;
  readonly terminate: () => void;
  onmessage: ((event: MessageEvent<Reply>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

/** What a reply means for its question: more will come, or no more comes. */
export type Meaning = 'more' | 'over';

/** Each member of a union without its number. */
export type Unnumbered<Message> = Message extends unknown ? Omit<Message, 'id'> : never;

export interface WorkerClientOptions<Request, Reply> {
  readonly start: () => Thread<Request, Reply>;
  readonly meaningOf: (reply: Reply) => Meaning;
  /**
   * How a question is called off: by a message, by ending the thread, which nothing else stops, or by not being heard,
   * where answers are quick.
   */
  readonly callingOff: ((id: number) => Request) | 'ending' | 'silence';
  /** How long a thread is kept that nobody holds and nothing is asked of (ms). */
  readonly lingerMs?: number;
  readonly after?: (ms: number, work: () => void) => () => void;
}

export interface Question<Request, Reply> {
  readonly request: Unnumbered<Request>;
  readonly hear: (reply: Reply) => void;
  /** The thread itself failed: it did not start, or threw where nothing catches. */
  readonly fail: (message: string) => void;
  /**
   * Of the questions in a lane one is in flight, and only the newest waits behind it; one that a newer has overtaken is
   * not heard any more.
   */
  readonly lane?: string;
  /** Heard until the newer one is sent, though it is overtaken: a step behind shows better than nothing. */
  readonly evenIfLate?: boolean;
}

export interface WorkerClient<Request, Reply> {
  /** Asks; gives what calls the question off. */
  readonly ask: (question: Question<Request, Reply>) => () => void;
  /**
   * What the thread must know before it is asked anything; told at once, again when it has changed, and to every thread
   * that is started later, in the order of the keys’ first use.
   */
  readonly setUp: (
    key: string,
    request: Unnumbered<Request>,
    /** Hears the answer, once, unless it is set up otherwise before; those of later threads are no news. */
    listener?: Pick<Question<Request, Reply>, 'hear' | 'fail'>,
  ) => void;
  /** Keeps the thread, and starts it if there is none; gives what lets it go. */
  readonly hold: () => () => void;
}
