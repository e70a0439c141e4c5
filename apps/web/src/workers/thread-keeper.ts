import type { Numbered, Thread, Unnumbered, WorkerClientOptions } from './protocol';

/** Whether two messages hold the very same parts. */
const alike = (one: object | undefined, other: object): boolean => {
  const [own, others] = [Object.entries(one ?? {}), new Map(Object.entries(other))];
  return own.length === others.size && own.every(([key, value]) => others.get(key) === value);
};

const timer = (ms: number, work: () => void): (() => void) => {
  const handle = setTimeout(work, ms);
  return () => clearTimeout(handle);
};

interface Heard<Reply> {
  readonly receive: (reply: Reply) => void;
  readonly fail: (message: string) => void;
  /** Whether anything is asked of the thread still. */
  readonly isBusy: () => boolean;
}

/** Starts a thread when it is wanted, tells it what it must know, numbers what is posted, and ends it when it is not. */
export const threadKeeper = <Request extends Numbered, Reply extends Numbered>(
  { start, lingerMs = 0, after = timer }: Pick<WorkerClientOptions<Request, Reply>, 'start' | 'lingerMs' | 'after'>,
  { receive, fail, isBusy }: Heard<Reply>,
) => {
  const setUps = new Map<string, Unnumbered<Request>>();
  let thread: Thread<Request, Reply> | null = null;
  let nextId = 0;
  let holders = 0;
  let keepOn: () => void = () => undefined;

  const postTo = (to: Thread<Request, Reply>, request: Unnumbered<Request>): number => {
    const id = nextId++;
    // A member of the union with its number is a member of the union; the compiler cannot see it.
    to.postMessage({ ...request, id } as unknown as Request);
    return id;
  };

  const end = (): void => {
    thread?.terminate();
    thread = null;
  };

  /** Starts a thread and sets it up; gives the number that each set-up went under. */
  const begin = (): ReadonlyMap<string, number> => {
    const started = start();
    thread = started;
    started.onmessage = ({ data }) => {
      if (thread === started) receive(data);
    };
    started.onerror = (event) => {
      if (thread !== started) return;
      end();
      fail(event.message || 'its script did not load');
    };
    return new Map([...setUps].map(([key, request]) => [key, postTo(started, request)]));
  };

  const running = (): Thread<Request, Reply> => {
    if (thread === null) begin();
    return thread!;
  };

  const endIfIdle = (): void => {
    keepOn();
    if (thread === null || holders > 0 || isBusy()) return;
    keepOn = after(lingerMs, () => {
      if (holders === 0 && !isBusy()) end();
    });
  };

  return {
    end,
    endIfIdle,
    /** Posts to the thread, started if there is none; gives the number. */
    post: (request: Unnumbered<Request>): number => {
      keepOn();
      return postTo(running(), request);
    },
    /** The same as it is, to a thread that runs. */
    tell: (request: Request): void => thread?.postMessage(request),
    /** Remembers what every thread must know; a thread that runs is told what is new to it. */
    remember: (key: string, request: Unnumbered<Request>): void => {
      const isNew = !alike(setUps.get(key), request);
      setUps.set(key, request);
      if (thread !== null && isNew) postTo(thread, request);
    },
    /** The same, told in any case, to a thread started if there is none; gives the number. */
    rememberAloud: (key: string, request: Unnumbered<Request>): number => {
      keepOn();
      setUps.set(key, request);
      return thread === null ? begin().get(key)! : postTo(thread, request);
    },
    hold: (): (() => void) => {
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
