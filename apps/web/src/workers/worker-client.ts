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

/** What a reply means for its question: more will come; what counts has come, the rest may be cut short; no more comes. */
export type Meaning = 'more' | 'answered' | 'over';

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

interface Live<Request, Reply> {
  readonly question: Question<Request, Reply>;
  overtaken: boolean;
  /** What counts has come; a newer one of its lane may be sent. */
  answered: boolean;
}

interface Lane<Request, Reply> {
  inFlight: number | null;
  waiting: Question<Request, Reply> | null;
}

/** Whether two messages hold the very same parts. */
const alike = (one: object | undefined, other: object): boolean => {
  const [own, others] = [Object.entries(one ?? {}), new Map(Object.entries(other))];
  return own.length === others.size && own.every(([key, value]) => others.get(key) === value);
};

const timer = (ms: number, work: () => void): (() => void) => {
  const handle = setTimeout(work, ms);
  return () => clearTimeout(handle);
};

/**
 * The page’s side of a worker: started when it is needed and ended when it is not, questions numbered, the newest of a
 * lane winning, answers heard by whoever asked, failures told to all who wait.
 */
export const createWorkerClient = <Request extends Numbered, Reply extends Numbered>({
  start,
  meaningOf,
  callingOff,
  lingerMs = 0,
  after = timer,
}: WorkerClientOptions<Request, Reply>): WorkerClient<Request, Reply> => {
  const live = new Map<number, Live<Request, Reply>>();
  const lanes = new Map<string, Lane<Request, Reply>>();
  const setUps = new Map<string, Unnumbered<Request>>();
  /** The numbers of set-ups whose answers somebody wants. */
  const told = new Map<string, number>();
  let thread: Thread<Request, Reply> | null = null;
  let nextId = 0;
  let holders = 0;
  let keepOn: () => void = () => undefined;

  const post = (to: Thread<Request, Reply>, request: Unnumbered<Request>): number => {
    const id = nextId++;
    // A member of the union with its number is a member of the union; the compiler cannot see it.
    to.postMessage({ ...request, id } as unknown as Request);
    return id;
  };

  const end = (): void => {
    thread?.terminate();
    thread = null;
  };

  const endIfIdle = (): void => {
    keepOn();
    if (thread === null || holders > 0 || live.size > 0) return;
    keepOn = after(lingerMs, () => {
      if (holders === 0 && live.size === 0) end();
    });
  };

  const fail = (message: string): void => {
    end();
    const waiting = [...lanes.values()].flatMap((lane) => lane.waiting ?? []);
    const asked = [...live.values()].flatMap((each) => (each.overtaken ? [] : each.question));
    live.clear();
    lanes.clear();
    for (const question of [...asked, ...waiting]) question.fail(message);
  };

  /** Starts a thread and sets it up; gives the number that each set-up went under. */
  const begin = (): ReadonlyMap<string, number> => {
    const started = start();
    thread = started;
    started.onmessage = ({ data }) => {
      if (thread === started) receive(data);
    };
    started.onerror = (event) => {
      if (thread === started) fail(event.message || 'its script did not load');
    };
    return new Map([...setUps].map(([key, request]) => [key, post(started, request)]));
  };

  const running = (): Thread<Request, Reply> => {
    if (thread === null) begin();
    return thread!;
  };

  const send = (question: Question<Request, Reply>): number => {
    const id = post(running(), question.request);
    live.set(id, { question, overtaken: false, answered: false });
    return id;
  };

  const sendNext = (lane: Lane<Request, Reply>): void => {
    const { waiting, inFlight } = lane;
    if (waiting === null) return;
    if (inFlight !== null) live.delete(inFlight);
    lane.waiting = null;
    lane.inFlight = send(waiting);
  };

  const receive = (reply: Reply): void => {
    const asked = live.get(reply.id);
    if (asked === undefined) return;
    const meaning = meaningOf(reply);
    const { question, overtaken } = asked;
    if (meaning === 'answered') asked.answered = true;
    if (meaning === 'over') live.delete(reply.id);
    const lane = question.lane === undefined ? undefined : lanes.get(question.lane);
    // Heard before the next is sent, so that what it asks in turn finds the lane as it was.
    if (!overtaken) question.hear(reply);
    if (lane !== undefined && meaning !== 'more' && lane.inFlight === reply.id) {
      if (meaning === 'over') lane.inFlight = null;
      sendNext(lane);
    }
    endIfIdle();
  };

  const callOff = (id: number): void => {
    if (!live.delete(id)) return;
    if (typeof callingOff === 'function') thread?.postMessage(callingOff(id));
    else if (callingOff === 'ending' && [...live.values()].every(({ overtaken }) => overtaken)) {
      live.clear();
      end();
    }
  };

  const askInLane = (name: string, question: Question<Request, Reply>): (() => void) => {
    const lane = lanes.get(name) ?? { inFlight: null, waiting: null };
    lanes.set(name, lane);
    lane.waiting = question;
    const before = lane.inFlight === null ? undefined : live.get(lane.inFlight);
    if (before !== undefined && before.question.evenIfLate !== true) before.overtaken = true;
    if (before === undefined || before.answered) sendNext(lane);
    return () => {
      if (lane.waiting === question) lane.waiting = null;
      const { inFlight } = lane;
      if (inFlight === null || live.get(inFlight)?.question !== question) return;
      callOff(inFlight);
      lane.inFlight = null;
      sendNext(lane);
      endIfIdle();
    };
  };

  return {
    ask: (question) => {
      keepOn();
      if (question.lane !== undefined) return askInLane(question.lane, question);
      const id = send(question);
      return () => {
        callOff(id);
        endIfIdle();
      };
    },
    setUp: (key, request, listener) => {
      const known = setUps.get(key);
      setUps.set(key, request);
      live.delete(told.get(key) ?? -1);
      if (listener === undefined) {
        if (thread !== null && !alike(known, request)) post(thread, request);
        return;
      }
      keepOn();
      const id = thread === null ? begin().get(key)! : post(thread, request);
      live.set(id, { question: { request, ...listener }, overtaken: false, answered: false });
      told.set(key, id);
    },
    hold: () => {
      holders += 1;
      keepOn();
      running();
      let held = true;
      return () => {
        if (held) holders -= 1;
        held = false;
        endIfIdle();
      };
    },
  };
};
