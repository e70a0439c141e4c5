import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import type { RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, type Design } from '@vitrum/core';
import { ApiError, ServerAway } from '../api/client';
import { settleConflict, startAutosave } from './autosave';
import {
  beginGesture,
  changeDesign,
  openDocument,
  redo,
  setKeeping,
  undo,
  useDocument,
  wouldLose,
} from './document-store';
import type { Edits } from './journal';

const depthPath = 'assemblies.0.case.depthInsideMm';
const depth = (design: Design | null | undefined): number | undefined => {
  const assembly = design?.assemblies[0];
  return assembly?.build === 'lightbox' ? assembly.case.depthInsideMm : undefined;
};
const setDepth = (value: number) => changeDesign([{ path: depthPath, value }]);

const revision = (number: number, design: Design, setAside = false): RevisionWithDesign => ({
  number,
  parent: number - 1,
  hash: `h${number}`,
  savedAt: '2030-01-01T00:00:00Z',
  note: '',
  setAside,
  design,
});

/** A journal that keeps what it is told. */
const memoryJournal = () => {
  const kept = new Map<string, Edits>();
  return {
    kept,
    write: (jobId: string, edits: Edits) => void kept.set(jobId, edits),
    drop: (jobId: string, design: Design) => {
      if (kept.get(jobId)?.design === design) kept.delete(jobId);
    },
  };
};

/** A server that answers as told, and timers that run when told. */
const world = () => {
  const journal = memoryJournal();
  const saved: { readonly design: Design; readonly basedOn: string; readonly leaving: boolean }[] = [];
  const later: string[] = [];
  let answer: (design: Design, basedOn: string) => Promise<RevisionWithDesign> = (design) =>
    Promise.resolve(revision(saved.length + 1, design));
  let timers: { readonly ms: number; readonly work: () => void }[] = [];
  const { stop, leave } = startAutosave({
    journal,
    savedLater: (jobId) => void later.push(jobId),
    random: () => 0.5,
    save: (_, design, basedOn, leaving) => {
      saved.push({ design, basedOn, leaving });
      return answer(design, basedOn);
    },
    after: (ms, work) => {
      const timer = { ms, work };
      timers.push(timer);
      return () => (timers = timers.filter((other) => other !== timer));
    },
  });
  const run = async () => {
    const due = timers;
    timers = [];
    for (const { work } of due) work();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  };
  return {
    journal,
    saved,
    later,
    run,
    stop,
    leave,
    waits: () => timers.map(({ ms }) => ms),
    answerWith: (next: typeof answer) => (answer = next),
  };
};

let it1: ReturnType<typeof world>;
beforeEach(() => {
  openDocument('job', revision(1, demoDesigns.dispensary), null, '');
  it1 = world();
});
afterEach(() => it1.stop());

describe('autosave', () => {
  it('saves a moment after an edit, once for many, and drops the draft', async () => {
    setDepth(90);
    setDepth(91);
    expect(it1.journal.kept.get('job')?.design).toBe(useDocument.getState().design);
    await it1.run();
    expect(it1.saved.map(({ design, basedOn }) => [depth(design), basedOn])).toEqual([[91, 'h1']]);
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, basedOn: 'h2', revision: 2 });
    expect(it1.journal.kept.size).toBe(0);
  });

  it('saves what undo brings back', async () => {
    setDepth(90);
    await it1.run();
    undo();
    await it1.run();
    expect(it1.saved.map(({ design }) => depth(design))).toEqual([90, 81]);
  });

  it('keeps edits while the server is away, tries ever more seldom, and catches up', async () => {
    it1.answerWith(() => Promise.reject(new ServerAway()));
    setDepth(95);
    await it1.run();
    expect(useDocument.getState().save.kind).toBe('away');
    const first = it1.waits()[0]!;
    await it1.run();
    expect(it1.waits()[0]).toBe(first * 2);
    setDepth(96);
    expect(depth(it1.journal.kept.get('job')?.design)).toBe(96);
    it1.answerWith((design) => Promise.resolve(revision(2, design)));
    await it1.run();
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, revision: 2 });
    expect(depth(it1.saved.at(-1)?.design)).toBe(96);
  });

  it('an edit during a save is saved next, on top of it', async () => {
    let release: () => void = () => undefined;
    it1.answerWith((design) => new Promise((resolve) => (release = () => resolve(revision(2, design)))));
    setDepth(90);
    await it1.run();
    setDepth(99);
    it1.answerWith((design) => Promise.resolve(revision(3, design)));
    release();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
    expect(useDocument.getState().save.kind).toBe('unsaved');
    await it1.run();
    expect(it1.saved.map(({ design, basedOn }) => [depth(design), basedOn])).toEqual([
      [90, 'h1'],
      [99, 'h2'],
    ]);
  });

  const conflictWith = (theirs: Design) => {
    const report = {
      statusCode: 409,
      message: 'x',
      problems: [],
      requestId: '',
      head: revision(5, theirs),
      yours: revision(6, demoDesigns.dispensary, true),
    };
    return () => Promise.reject(new ApiError(409, report));
  };
  const theirs: Design = { ...demoDesigns.dispensary, name: 'Theirs' };

  it.each([
    ['mine', 'Dispensary box'],
    ['theirs', 'Theirs'],
  ] as const)('a conflict stops saving until %s is chosen', async (choice, name) => {
    it1.answerWith(conflictWith(theirs));
    setDepth(90);
    await it1.run();
    expect(useDocument.getState().save.kind).toBe('conflict');
    setDepth(91);
    await it1.run();
    expect(it1.saved).toHaveLength(1);
    it1.answerWith((design) => Promise.resolve(revision(7, design)));
    settleConflict(choice, it1.journal);
    await it1.run();
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, design: { name } });
    if (choice === 'mine') expect(it1.saved.at(-1)?.basedOn).toBe('h5');
    // Whichever it was, nothing is left to be offered and saved once more.
    expect(it1.journal.kept.size).toBe(0);
  });

  it.each([500, 429, 503])('a server that answers %d is asked again, when it says so', async (status) => {
    const report = { statusCode: status, message: 'no', problems: [], requestId: '' };
    it1.answerWith(() => Promise.reject(status === 503 ? new ServerAway(4000) : new ApiError(status, report, 4000)));
    setDepth(90);
    await it1.run();
    expect([useDocument.getState().save.kind, it1.waits()]).toEqual(['away', [4000]]);
    it1.answerWith((design) => Promise.resolve(revision(2, design)));
    await it1.run();
    expect(useDocument.getState().save.kind).toBe('saved');
  });

  it('sends at once when the page may go, and what the page left behind is saved still', async () => {
    setDepth(90);
    it1.leave();
    expect(it1.saved.map(({ design, leaving }) => [depth(design), leaving])).toEqual([[90, true]]);
    await it1.run();
    setDepth(91);
    it1.stop();
    openDocument('other', revision(1, demoDesigns.curlew), null, '');
    await it1.run();
    expect(it1.saved.map(({ design }) => depth(design))).toEqual([90, 91]);
    expect([it1.journal.kept.size, it1.later]).toEqual([0, ['job']]);
    expect(useDocument.getState()).toMatchObject({ jobId: 'other', save: { kind: 'saved' } });
  });

  it('what is saved while an earlier page’s save is under way goes on top of it', async () => {
    let release: () => void = () => undefined;
    it1.answerWith((design) => new Promise((resolve) => (release = () => resolve(revision(2, design)))));
    setDepth(90);
    it1.stop();
    const { sending, design, basedOn } = it1.journal.kept.get('job')!;
    expect([sending, basedOn]).toEqual([design, 'h1']);
    // The job is opened again with what was kept, and edited, before the answer comes.
    openDocument('job', revision(1, demoDesigns.dispensary), design, basedOn);
    const again = world();
    setDepth(92);
    const ran = again.run();
    release();
    await ran;
    await again.run();
    expect(again.saved.map((save) => [depth(save.design), save.basedOn])).toEqual([[92, 'h2']]);
    again.stop();
  });

  it('keeps what was on its way beside each edit: it may have got there', async () => {
    let release: () => void = () => undefined;
    it1.answerWith((design) => new Promise((resolve) => (release = () => resolve(revision(2, design)))));
    setDepth(90);
    await it1.run();
    setDepth(91);
    const { design, sending, basedOn } = it1.journal.kept.get('job')!;
    expect([depth(design), depth(sending), basedOn]).toEqual([91, 90, 'h1']);
    it1.answerWith((next) => Promise.resolve(revision(3, next)));
    release();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
    await it1.run();
  });

  it('a save whose answer was lost is no conflict with what is edited after it', async () => {
    it1.answerWith(() => Promise.reject(new ServerAway()));
    setDepth(90);
    await it1.run();
    const arrived = it1.saved[0]!.design;
    setDepth(91);
    it1.answerWith(conflictWith(arrived));
    await it1.run();
    it1.answerWith((design) => Promise.resolve(revision(6, design)));
    await it1.run();
    expect(it1.saved.map(({ design, basedOn }) => [depth(design), basedOn])).toEqual([
      [90, 'h1'],
      [91, 'h1'],
      [91, 'h5'],
    ]);
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, revision: 6 });
  });

  it('would lose edits where neither server nor browser has them, and asks before closing then', () => {
    setDepth(90);
    setKeeping('job', 'writing');
    expect(wouldLose(useDocument.getState())).toBe(true);
    setKeeping('job', 'kept');
    expect(wouldLose(useDocument.getState())).toBe(false);
    setKeeping('other', 'failed');
    expect(wouldLose(useDocument.getState())).toBe(false);
    setKeeping('job', 'failed');
    expect(wouldLose(useDocument.getState())).toBe(true);
  });

  it('says when the server refuses', async () => {
    it1.answerWith(() =>
      Promise.reject(
        new ApiError(400, {
          statusCode: 400,
          message: 'no',
          problems: [{ path: 'x', message: 'wrong' }],
          requestId: '',
        }),
      ),
    );
    setDepth(90);
    await it1.run();
    expect(useDocument.getState().save).toEqual({ kind: 'refused', message: 'wrong' });
  });
});

describe('history', () => {
  it('undoes and redoes without limit', () => {
    for (let value = 100; value < 160; value += 1) setDepth(value);
    for (let turn = 0; turn < 60; turn += 1) undo();
    expect(depth(useDocument.getState().design)).toBe(81);
    undo();
    for (let turn = 0; turn < 60; turn += 1) redo();
    expect(depth(useDocument.getState().design)).toBe(159);
  });

  it('takes a whole drag back in one step', () => {
    const gesture = beginGesture();
    for (let value = 82; value < 120; value += 1) gesture.change([{ path: depthPath, value }]);
    gesture.end();
    expect(depth(useDocument.getState().design)).toBe(119);
    undo();
    expect(depth(useDocument.getState().design)).toBe(81);
  });

  it('an escaped drag leaves the design as it was', () => {
    const gesture = beginGesture();
    gesture.change([{ path: depthPath, value: 120 }]);
    gesture.change([{ path: depthPath, value: 130 }]);
    gesture.cancel();
    expect(depth(useDocument.getState().design)).toBe(81);
    setDepth(83);
    undo();
    expect(depth(useDocument.getState().design)).toBe(81);
  });

  it('refuses a value that makes no design and keeps the old', () => {
    expect(setDepth(-3)[0]?.message).toContain('8 or more');
    expect(depth(useDocument.getState().design)).toBe(81);
  });
});
