import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it } from '@jest/globals';
import type { LogEntryView } from '@vitrum/contract';
import type { LogEntry } from '@vitrum/core';
import { ApiError, ServerAway } from '../api/client';
import { createBenchLog, type BenchLog } from './bench-log';
import { browserOutbox } from './outbox';

let count = 0;
const entry = (more: Partial<LogEntry> = {}): LogEntry => {
  count += 1;
  return {
    id: `e${count}`,
    stepId: 'rip',
    what: 'done',
    by: '',
    at: '2030-01-07T08:00:00.000Z',
    value: null,
    words: '',
    of: null,
    ...more,
  };
};

const promised = <T>(work: () => T): Promise<T> => new Promise((resolve) => resolve(work()));

/** A server in memory that two devices may share; it can be away, and lose answers. */
const memoryServer = () => {
  const logs = new Map<string, LogEntryView[]>();
  const photos = new Set<string>();
  let seq = 0;
  const state = { away: false, losesAnswers: false, calls: 0, refuses: '' };
  const reach = (): void => {
    state.calls += 1;
    if (state.away) throw new ServerAway();
  };
  const of = (jobId: string): LogEntryView[] => {
    if (!logs.has(jobId)) logs.set(jobId, []);
    return logs.get(jobId)!;
  };
  return {
    state,
    photos,
    of,
    host: {
      read: (jobId: string, after: number) =>
        promised(() => {
          reach();
          return { entries: of(jobId).filter(({ seq: each }) => each > after), after: null };
        }),
      add: (jobId: string, entries: readonly LogEntry[]) =>
        promised(() => {
          reach();
          if (entries.some(({ words }) => words === state.refuses && words !== ''))
            throw new ApiError(400, { statusCode: 400, message: 'no such thing', problems: [], requestId: 'x' });
          for (const each of entries)
            if (!of(jobId).some(({ id }) => id === each.id)) of(jobId).push({ ...each, seq: (seq += 1) });
          if (state.losesAnswers) throw new ServerAway();
          return entries.map(({ id }) => of(jobId).find((each) => each.id === id)!);
        }),
      sendPhoto: (_jobId: string, id: string) =>
        promised(() => {
          reach();
          photos.add(id);
        }),
    },
  };
};

type Server = ReturnType<typeof memoryServer>;

/** A device: its own browser’s storage, its timers in hand. */
const device = (server: Server, name = `d${Math.random()}`) => {
  let waiting: (() => void) | null = null;
  const log = createBenchLog({
    ...server.host,
    outbox: browserOutbox(name),
    after: (_ms, work) => {
      waiting = work;
      return () => (waiting = null);
    },
  });
  opened.push(log);
  return {
    name,
    log,
    /** What the clock would do next. */
    tick: async (): Promise<void> => {
      const next = waiting;
      waiting = null;
      next?.();
      await log.idle();
    },
    ids: (): readonly string[] => log.store.getState().known.map(({ id }) => id),
    state: () => log.store.getState(),
  };
};
const opened: BenchLog[] = [];
const settle = async (log: BenchLog): Promise<void> => {
  for (let turn = 0; turn < 20; turn += 1) {
    await new Promise((resolve) => setTimeout(resolve, 2));
    await log.idle();
  }
};
afterEach(() => void opened.splice(0));

describe('entries at the bench', () => {
  it('are shown at once, sent, and known once the server has them', async () => {
    const server = memoryServer();
    const one = device(server);
    one.log.open('job');
    one.log.write(entry());
    expect(one.state().waiting).toHaveLength(1);
    await settle(one.log);
    expect([one.state().waiting, one.state().known.length, server.of('job').length]).toEqual([[], 1, 1]);
  });

  it('wait while the server is away, outlive the page, and arrive in their order, once each', async () => {
    const server = memoryServer();
    const one = device(server);
    one.log.open('job');
    await settle(one.log);
    server.state.away = true;
    const written = [entry(), entry({ what: 'time', value: 20 }), entry({ stepId: 'glue' })];
    for (const each of written) one.log.write(each);
    one.log.write(entry({ what: 'photo', id: 'p' }), new Blob([new Uint8Array([1, 2])], { type: 'image/jpeg' }));
    await settle(one.log);
    expect([one.state().away, one.state().waiting.length]).toEqual([true, 4]);
    // The page is shut; another is opened in the same browser, and an answer is lost on the way.
    const again = device(server, one.name);
    again.log.open('job');
    await settle(again.log);
    expect(again.state().waiting.map(({ entry: { id } }) => id)).toEqual([...written.map(({ id }) => id), 'p']);
    server.state.away = false;
    server.state.losesAnswers = true;
    await again.tick();
    server.state.losesAnswers = false;
    await again.tick();
    await settle(again.log);
    expect(again.state()).toMatchObject({ away: false, waiting: [] });
    expect(server.of('job').map(({ id }) => id)).toEqual([...written.map(({ id }) => id), 'p']);
    expect([...server.photos]).toEqual(['p']);
    expect(await browserOutbox(one.name).all()).toEqual([]);
  });

  it('of two devices come together on both, also what one wrote while away', async () => {
    const server = memoryServer();
    const [one, two] = [device(server), device(server)];
    for (const { log } of [one, two]) log.open('job');
    await settle(one.log);
    await settle(two.log);
    server.state.away = true;
    one.log.write(entry({ id: 'a' }));
    await settle(one.log);
    server.state.away = false;
    two.log.write(entry({ id: 'b' }));
    await settle(two.log);
    await one.tick();
    await two.tick();
    expect([one.ids(), two.ids()]).toEqual([
      ['b', 'a'],
      ['b', 'a'],
    ]);
  });

  it('that the server will not take are told, and keep nothing else from going', async () => {
    const server = memoryServer();
    const one = device(server);
    one.log.open('job');
    await settle(one.log);
    server.state.away = true;
    server.state.refuses = 'bad';
    for (const words of ['good', 'bad', 'also good']) one.log.write(entry({ what: 'wrong', words }));
    await settle(one.log);
    server.state.away = false;
    await one.tick();
    await settle(one.log);
    expect(server.of('job').map(({ words }) => words)).toEqual(['good', 'also good']);
    const [refused] = one.state().refused;
    expect([refused!.entry.words, refused!.why, one.state().waiting]).toEqual(['bad', 'no such thing', []]);
    one.log.leaveOut(refused!.entry.id);
    await settle(one.log);
    expect([one.state().refused, await browserOutbox(one.name).all()]).toEqual([[], []]);
  });

  it('of another job are sent too, and do not show in this one', async () => {
    const server = memoryServer();
    const one = device(server);
    one.log.open('first');
    await settle(one.log);
    server.state.away = true;
    one.log.write(entry({ id: 'x' }));
    await settle(one.log);
    one.log.open('second');
    server.state.away = false;
    await settle(one.log);
    await one.tick();
    expect([server.of('first').map(({ id }) => id), one.ids(), one.state().waiting]).toEqual([['x'], [], []]);
  });

  it('of others are heard again when the log is looked at again', async () => {
    const server = memoryServer();
    const [one, two] = [device(server), device(server)];
    const close = one.log.open('job');
    two.log.open('job');
    await settle(one.log);
    close();
    two.log.write(entry({ id: 'later' }));
    await settle(two.log);
    expect(one.ids()).toEqual([]);
    one.log.open('job');
    await settle(one.log);
    expect(one.ids()).toEqual(['later']);
  });

  it('say that they go with the page where the browser keeps nothing', async () => {
    const server = memoryServer();
    server.state.away = true;
    const broken = { put: no, drop: no, all: no, keep: no, known: no };
    const log = createBenchLog({ ...server.host, outbox: broken, after: () => () => undefined });
    log.open('job');
    log.write(entry());
    await settle(log);
    expect(log.store.getState()).toMatchObject({ unkept: true, away: true });
    expect(log.store.getState().waiting).toHaveLength(1);
  });
});

const no = (): Promise<never> => Promise.reject(new Error('no storage'));
