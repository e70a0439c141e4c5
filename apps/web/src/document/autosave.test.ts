import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import type { RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, type Design } from '@vitrum/core';
import { ApiError, ServerAway } from '../api/client';
import { settleConflict, startAutosave } from './autosave';
import { beginGesture, changeDesign, openDocument, redo, undo, useDocument } from './document-store';
import { readDraft, writeDraft, type DraftStorage } from './drafts';

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

const memoryStorage = (): DraftStorage & { readonly size: () => number } => {
  const items = new Map<string, string>();
  return {
    getItem: (key) => items.get(key) ?? null,
    setItem: (key, value) => void items.set(key, value),
    removeItem: (key) => void items.delete(key),
    size: () => items.size,
  };
};

/** A server that answers as told, and timers that run when told. */
const world = () => {
  const storage = memoryStorage();
  const saved: { readonly design: Design; readonly basedOn: string }[] = [];
  let answer: (design: Design, basedOn: string) => Promise<RevisionWithDesign> = (design) =>
    Promise.resolve(revision(saved.length + 1, design));
  let timers: { readonly ms: number; readonly work: () => void }[] = [];
  const stop = startAutosave({
    storage,
    save: (_, design, basedOn) => {
      saved.push({ design, basedOn });
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
    storage,
    saved,
    run,
    stop,
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
    expect(readDraft(it1.storage, 'job')?.design).toEqual(useDocument.getState().design);
    await it1.run();
    expect(it1.saved.map(({ design, basedOn }) => [depth(design), basedOn])).toEqual([[91, 'h1']]);
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, basedOn: 'h2', revision: 2 });
    expect(it1.storage.size()).toBe(0);
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
    expect(depth(readDraft(it1.storage, 'job')?.design)).toBe(96);
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
    settleConflict(choice);
    await it1.run();
    expect(useDocument.getState()).toMatchObject({ save: { kind: 'saved' }, design: { name } });
    if (choice === 'mine') expect(it1.saved.at(-1)?.basedOn).toBe('h5');
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

describe('drafts', () => {
  it('come back as they were, and rubbish is no draft', () => {
    const storage = memoryStorage();
    writeDraft(storage, 'a', { design: demoDesigns.dispensary, basedOn: 'h' });
    expect(readDraft(storage, 'a')).toEqual({ design: demoDesigns.dispensary, basedOn: 'h' });
    for (const text of ['{', 'null', '{"design":{}}', '[]']) {
      storage.setItem('vitrum.draft.b', text);
      expect(readDraft(storage, 'b')).toBeNull();
    }
  });
});
