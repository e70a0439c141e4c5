import type { Numbered, Question, WorkerClient, WorkerClientOptions } from './protocol';
import { threadKeeper } from './thread-keeper';

interface Live<Request, Reply> {
  readonly question: Question<Request, Reply>;
  overtaken: boolean;
}

interface Lane<Request, Reply> {
  inFlight: number | null;
  waiting: Question<Request, Reply> | null;
}

/** A lane of questions: one in flight, the newest waiting. Only what concerns the lane; `send` and `callOff` do the rest. */
const newestOf = <Request, Reply>(
  live: ReadonlyMap<number, Live<Request, Reply>>,
  send: (question: Question<Request, Reply>) => number,
) => {
  const lane: Lane<Request, Reply> = { inFlight: null, waiting: null };
  const sendNext = (): void => {
    const { waiting } = lane;
    if (waiting === null) return;
    lane.waiting = null;
    lane.inFlight = send(waiting);
  };
  return {
    lane,
    ask: (question: Question<Request, Reply>): void => {
      lane.waiting = question;
      const before = lane.inFlight === null ? undefined : live.get(lane.inFlight);
      if (before !== undefined && before.question.evenIfLate !== true) before.overtaken = true;
      if (before === undefined) sendNext();
    },
    /** All of the one in flight has come. */
    free: (id: number): void => {
      if (lane.inFlight !== id) return;
      lane.inFlight = null;
      sendNext();
    },
    callOff: (question: Question<Request, Reply>, callOff: (id: number) => void): void => {
      if (lane.waiting === question) lane.waiting = null;
      const { inFlight } = lane;
      if (inFlight === null || live.get(inFlight)?.question !== question) return;
      callOff(inFlight);
      lane.inFlight = null;
      sendNext();
    },
  };
};

/**
 * The page’s side of a worker: started when it is needed and ended when it is not, questions numbered, the newest of a
 * lane winning, answers heard by whoever asked, failures told to all who wait.
 */
export const createWorkerClient = <Request extends Numbered, Reply extends Numbered>(
  options: WorkerClientOptions<Request, Reply>,
): WorkerClient<Request, Reply> => {
  const { meaningOf, callingOff } = options;
  const live = new Map<number, Live<Request, Reply>>();
  const lanes = new Map<string, ReturnType<typeof newestOf<Request, Reply>>>();
  /** The numbers of set-ups whose answers somebody wants. */
  const told = new Map<string, number>();

  const fail = (message: string): void => {
    const asked = [...live.values()].flatMap((each) => (each.overtaken ? [] : each.question));
    const waiting = [...lanes.values()].flatMap(({ lane }) => lane.waiting ?? []);
    live.clear();
    lanes.clear();
    for (const question of [...asked, ...waiting]) question.fail(message);
  };

  const receive = (reply: Reply): void => {
    const asked = live.get(reply.id);
    if (asked === undefined) return;
    const { question, overtaken } = asked;
    const isOver = meaningOf(reply) === 'over';
    if (isOver) live.delete(reply.id);
    const lane = question.lane === undefined ? undefined : lanes.get(question.lane);
    // Heard before the next is sent, so that what it asks in turn finds the lane as it was.
    if (!overtaken) question.hear(reply);
    if (isOver) lane?.free(reply.id);
    keeper.endIfIdle();
  };

  const keeper = threadKeeper<Request, Reply>(options, { receive, fail, isBusy: () => live.size > 0 });

  const listen = (id: number, question: Question<Request, Reply>): number => {
    live.set(id, { question, overtaken: false });
    return id;
  };
  const send = (question: Question<Request, Reply>): number => listen(keeper.post(question.request), question);

  const callOff = (id: number): void => {
    if (!live.delete(id)) return;
    if (typeof callingOff === 'function') keeper.tell(callingOff(id));
    else if (callingOff === 'ending' && [...live.values()].every(({ overtaken }) => overtaken)) {
      live.clear();
      keeper.end();
    }
  };

  const laneOf = (name: string) => {
    const lane = lanes.get(name) ?? newestOf(live, send);
    lanes.set(name, lane);
    return lane;
  };

  return {
    ask: (question) => {
      if (question.lane !== undefined) {
        const lane = laneOf(question.lane);
        lane.ask(question);
        return () => {
          lane.callOff(question, callOff);
          keeper.endIfIdle();
        };
      }
      const id = send(question);
      return () => {
        callOff(id);
        keeper.endIfIdle();
      };
    },
    setUp: (key, request, listener) => {
      live.delete(told.get(key) ?? -1);
      if (listener === undefined) return keeper.remember(key, request);
      told.set(key, listen(keeper.rememberAloud(key, request), { request, ...listener }));
      return undefined;
    },
    hold: keeper.hold,
  };
};
