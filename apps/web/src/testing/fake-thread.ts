import type { Numbered, Thread, WorkerClientOptions } from '../workers/protocol';
import { createWorkerClient } from '../workers/worker-client';

/** A client of threads that do nothing until the test answers for them; timers run when told. */
export const fakeThreads = <Request extends Numbered & { readonly kind: string }, Reply extends Numbered>(
  options: Pick<WorkerClientOptions<Request, Reply>, 'meaningOf' | 'callingOff'>,
) => {
  const sent: Request[] = [];
  let [started, ended] = [0, 0];
  let thread: Thread<Request, Reply> | null = null;
  let timers: (() => void)[] = [];
  const client = createWorkerClient<Request, Reply>({
    ...options,
    lingerMs: 1000,
    after: (_, work) => {
      timers.push(work);
      return () => (timers = timers.filter((each) => each !== work));
    },
    start: () => {
      started += 1;
      const fresh: Thread<Request, Reply> = {
        postMessage: (request) => void sent.push(request),
        terminate: () => {
          ended += 1;
          if (thread === fresh) thread = null;
        },
        onmessage: null,
        onerror: null,
      };
      thread = fresh;
      return fresh;
    },
  });
  /** The numbers of what was sent of a kind, the first first. */
  const idsOf = (kind: Request['kind']): readonly number[] =>
    sent.filter((request) => request.kind === kind).map(({ id }) => id);
  return {
    client,
    sent,
    idsOf,
    kinds: () => sent.map(({ kind }) => kind),
    last: () => sent[sent.length - 1]!,
    reply: (data: Reply): void => thread?.onmessage?.({ data } as MessageEvent<Reply>),
    /** Answers the newest question of a kind. */
    answer: (kind: Request['kind'], reply: Reply extends unknown ? Omit<Reply, 'id'> : never): void =>
      thread?.onmessage?.({ data: { ...reply, id: idsOf(kind).at(-1)! } } as unknown as MessageEvent<Reply>),
    fail: (message: string): void => thread?.onerror?.({ message } as ErrorEvent),
    started: () => started,
    ended: () => ended,
    running: () => started - ended,
    passTime: (): void => {
      const due = timers;
      timers = [];
      for (const work of due) work();
    },
  };
};
