import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type Evaluation, type TryPoint } from '@vitrum/core';
import type { SweepEvent } from '@vitrum/contract';
import type { Remote } from './remote';
import { clouds, heightOf, shortList, stepsBetween } from './chart-points';
import { fakeLight } from '../testing/fake-clients';
import { connectTryouts } from './connect-tryouts';
import { mostPinned } from './pinning';
import { clearTryouts, useTryouts } from './tryouts-store';

const point = (id: number, change: Partial<TryPoint> = {}): TryPoint => ({
  id,
  change: [],
  depthMm: 80,
  rows: 3,
  face: 'Opal',
  lining: 'white',
  ledCount: 100,
  costPerSign: 300 + id,
  minOverMean: 0.7,
  meanCdM2: 1000,
  visibility: 0.4,
  litOverUnlit: 2,
  fails: [],
  picture: { width: 1, height: 1, data: new Uint8ClampedArray(4) },
  ...change,
});

const fakeRemote = () => {
  const listeners: ((event: SweepEvent) => void)[] = [];
  const stopped: string[] = [];
  const remote: Remote = {
    start: () => Promise.resolve({ id: 's-1', status: 'queued', done: 0, total: 2, error: null }),
    follow: (_, hear) => {
      listeners.push(hear);
      return () => void listeners.splice(listeners.indexOf(hear), 1);
    },
    stop: (id) => Promise.resolve(stopped.push(id)),
  };
  return { ...remote, listeners, stopped };
};

const wirePoint = (id: number) => {
  const { picture, ...rest } = point(id);
  return { ...rest, picture: { width: picture.width, height: picture.height, base64: btoa('\0\x01\x02\x03') } };
};

const fake = () => {
  const threads = fakeLight();
  const memory = new Map<string, string>();
  const remote = fakeRemote();
  const link = connectTryouts(
    threads.client,
    {
      getItem: (key) => memory.get(key) ?? null,
      setItem: (key, value) => void memory.set(key, value),
      removeItem: (key) => void memory.delete(key),
    },
    remote,
  );
  return { ...threads, link, memory, remote };
};

const design = demoDesigns.dispensary;
const plan = { assembly: 0, depthsMm: [80], rowCounts: [2, 3], faces: [], liningIds: ['matt-white'] };

describe('the page’s side of try-outs', () => {
  beforeEach(() => clearTryouts());

  it('shows points as they come and ends with the sweep', () => {
    const { link, answer } = fake();
    link.open(shippedCatalogue);
    link.sweep(design, plan, 2);
    answer('sweep', { kind: 'tried', points: [point(0)], done: 1 });
    expect(useTryouts.getState()).toMatchObject({ points: [{ id: 0 }], running: { kind: 'sweep', done: 1, of: 2 } });
    answer('sweep', { kind: 'tried', points: [point(1)], done: 2 });
    answer('sweep', { kind: 'swept' });
    expect(useTryouts.getState().points).toHaveLength(2);
    expect(useTryouts.getState().running).toBeNull();
  });

  it('stops at once when cancelled, keeps what was found, and hears nothing of the old run any more', () => {
    const { link, answer, sent } = fake();
    link.sweep(design, plan, 2);
    answer('sweep', { kind: 'tried', points: [point(0)], done: 1 });
    link.cancel();
    expect(sent.at(-1)).toEqual({ kind: 'cancel', id: 0 });
    expect(useTryouts.getState().running).toBeNull();
    answer('sweep', { kind: 'tried', points: [point(1)], done: 2 });
    expect(useTryouts.getState().points).toHaveLength(1);
  });

  it('a new run replaces the one under way', () => {
    const { link, answer, sent } = fake();
    link.sweep(design, plan, 2);
    link.solve(design, 'cheapest', {
      assembly: 0,
      faces: [],
      liningIds: [],
      fewestRows: 1,
      mostRows: 2,
      shallowestMm: 20,
      deepestMm: 90,
    });
    expect(sent.map(({ kind }) => kind)).toEqual(['sweep', 'cancel', 'solve']);
    answer('solve', {
      kind: 'solved',
      solution: { goal: 'cheapest', point: null, binding: [], tried: 3, sentence: 'Nothing' },
    });
    expect(useTryouts.getState()).toMatchObject({ running: null, solution: { tried: 3 } });
  });

  it('tries the usual combinations when it is opened, once, and gives way to whatever is asked for', () => {
    const { link, answer, kinds } = fake();
    link.about('job-1');
    link.sweepAsOpened(design, plan, 2);
    link.sweepAsOpened(design, plan, 2);
    expect(kinds()).toEqual(['sweep']);
    expect(useTryouts.getState().running).toMatchObject({ kind: 'sweep', asOpened: true });
    answer('sweep', { kind: 'tried', points: [point(0)], done: 1 });
    link.sweep(design, plan, 2);
    expect(kinds()).toEqual(['sweep', 'cancel', 'sweep']);
    link.cancel();
    // What was stopped by hand is not begun again by coming back.
    link.sweepAsOpened(design, plan, 2);
    expect(kinds()).toEqual(['sweep', 'cancel', 'sweep', 'cancel']);
  });

  it('says why a run was refused or failed', () => {
    const { link, answer, fail } = fake();
    link.sweep(design, plan, 2);
    answer('sweep', { kind: 'refused', problems: [{ path: '', message: 'nothing is chosen here to try' }] });
    expect(useTryouts.getState().ended).toBe('nothing is chosen here to try');
    link.sweep(design, plan, 2);
    answer('sweep', { kind: 'crashed', message: 'boom' });
    expect(useTryouts.getState().ended).toContain('boom');
    link.sweep(design, plan, 2);
    fail('out of memory');
    expect(useTryouts.getState()).toMatchObject({ running: null, ended: 'the try-outs failed: out of memory' });
  });

  it('keeps what was tried while the job stays open, and begins afresh with another', () => {
    const { link, answer, sent } = fake();
    link.about('job-1');
    link.sweep(design, plan, 2);
    answer('sweep', { kind: 'tried', points: [point(0)], done: 1 });
    link.about('job-1');
    expect(useTryouts.getState().points).toHaveLength(1);
    link.about('job-2');
    expect(sent.at(-1)).toEqual({ kind: 'cancel', id: 0 });
    expect(useTryouts.getState()).toMatchObject({ jobId: 'job-2', points: [], running: null });
  });

  it('follows a sweep on the server, and takes it up again after a reload', async () => {
    const { link, remote, memory } = fake();
    link.about('job-1');
    await link.sweepOnServer(design, plan);
    expect(memory.get('vitrum.sweep.job-1')).toBe('s-1');
    const hear = (status: SweepEvent['sweep']['status'], done: number, ids: readonly number[]) =>
      remote.listeners.at(-1)?.({
        sweep: { id: 's-1', status, done, total: 2, error: null },
        points: ids.map(wirePoint),
      });
    hear('running', 1, [0]);
    expect(useTryouts.getState()).toMatchObject({ running: { done: 1, of: 2, onServer: 's-1' }, points: [{ id: 0 }] });
    expect([...useTryouts.getState().points[0]!.picture.data]).toEqual([0, 1, 2, 3]);

    // Another page of the same browser: everything comes again, from the beginning.
    useTryouts.setState({ jobId: null, points: [], running: null });
    link.about('job-1');
    hear('done', 2, [0, 1]);
    hear('done', 2, []);
    expect(useTryouts.getState()).toMatchObject({ running: null, points: [{ id: 0 }, { id: 1 }] });
    expect(remote.listeners).toHaveLength(0);
  });

  it('stops a sweep on the server when asked, and says why one failed', async () => {
    const { link, remote } = fake();
    link.about('job-2');
    await link.sweepOnServer(design, plan);
    link.cancel();
    expect(remote.stopped).toEqual(['s-1']);
    await link.sweepOnServer(design, plan);
    remote.listeners[0]?.({
      sweep: { id: 's-1', status: 'failed', done: 0, total: 2, error: 'no such face' },
      points: [],
    });
    expect(useTryouts.getState().ended).toContain('no such face');
  });

  it('pins a few variants and fills in their light when it comes', () => {
    const { link, answer, kinds } = fake();
    for (let turn = 0; turn < mostPinned + 2; turn += 1) link.pin(`variant ${turn}`, design);
    expect(useTryouts.getState().pinned).toHaveLength(mostPinned);
    // One after the other: a second question of this kind would end the first.
    expect(kinds()).toEqual(['evaluate']);
    answer('evaluate', { kind: 'evaluated', evaluation: { design } as unknown as Evaluation });
    expect(kinds()).toEqual(['evaluate', 'evaluate']);
    answer('evaluate', { kind: 'refused', problems: [] });
    expect(useTryouts.getState().pinned.map(({ evaluation, failed }) => [evaluation !== null, failed])).toEqual([
      [true, false],
      [false, true],
      [false, false],
      [false, false],
    ]);
    link.unpin(1);
    expect(useTryouts.getState().pinned.map(({ key }) => key)).toEqual([0, 2, 3]);
  });
});

describe('the chart of try-outs', () => {
  it('has a cloud for each face, told apart by shape, with what will do marked', () => {
    const made = clouds([point(0), point(1, { face: 'Sanded', fails: ['bright enough'] }), point(2)], 'evenness');
    expect(made.map(({ face, points }) => [face, points.length])).toEqual([
      ['Opal', 2],
      ['Sanded', 1],
    ]);
    expect(new Set(made.map(({ symbol }) => symbol)).size).toBe(2);
    expect(made[1]!.points[0]).toMatchObject({ id: 1, willDo: false, value: [301, 0.7] });
  });

  it('keeps hidden ripples on its scale', () => {
    expect(heightOf(point(0, { visibility: 0 }), 'visibility')).toBeGreaterThan(0);
    expect(heightOf(point(0), 'depth')).toBe(80);
  });

  it('lists what will do before what fails, cheapest first', () => {
    const list = shortList([point(0, { fails: ['even corners'] }), point(5), point(3)], 2);
    expect(list.map(({ id }) => id)).toEqual([3, 5]);
  });

  it('steps evenly with both ends in, and not at all when there is no way', () => {
    expect(stepsBetween(40, 100, 20)).toEqual([40, 60, 80, 100]);
    expect(stepsBetween(0.1, 0.3, 0.1)).toEqual([0.1, 0.2, 0.3]);
    expect(stepsBetween(50, 40, 10)).toEqual([]);
    expect(stepsBetween(1, 2, 0)).toEqual([]);
  });
});
