import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { demoDesigns, readDesign, type Design } from '@vitrum/core';
import { headOf } from '../../testing/open-design';
import { readDraft, type Draft } from './draft';
import { browserDraftStore, type DraftStore } from './draft-store';
import { createJournal, type Keeping } from './journal';
import { leftBehind, notSaved } from './left-behind';

const design = demoDesigns.dispensary;
const named = (name: string): Design => ({ ...design, name });
const edits = (name: string) => ({ design: named(name), basedOn: 'h1', sending: null });
const draft = (page: string, name: string, at = 0): Draft => ({ ...edits(name), jobId: 'a', page, at });

let count = 0;
const freshStore = (): DraftStore => browserDraftStore(`test-${(count += 1)}`);

describe('the journal of a page', () => {
  it('keeps the newest of many edits, beside those of other jobs and pages', async () => {
    const store = freshStore();
    const told: Keeping[] = [];
    const journal = createJournal(
      store,
      'p',
      (_, keeping) => void told.push(keeping),
      () => 7,
    );
    await store.put(draft('q', 'other page'));
    for (let turn = 0; turn < 50; turn += 1) journal.write('a', edits(`turn ${turn}`));
    journal.write('b', edits('other job'));
    await journal.idle();
    expect((await store.ofJob('a')).map(({ page, design: { name }, at }) => [page, name, at])).toEqual([
      ['p', 'turn 49', 7],
      ['q', 'other page', 0],
    ]);
    expect(await store.ofJob('b')).toHaveLength(1);
    expect(told.at(-1)).toBe('kept');
    expect(await freshStore().ofJob('a')).toEqual([]);
  });

  it('lets go of what the server has, but not of edits made since', async () => {
    const store = freshStore();
    const journal = createJournal(store, 'p', () => undefined);
    const [sent, newer] = [edits('sent'), edits('newer')];
    journal.write('a', sent);
    journal.write('a', newer);
    journal.drop('a', sent.design);
    await journal.idle();
    expect((await store.ofJob('a')).map((kept) => kept.design.name)).toEqual(['newer']);
    journal.drop('a', newer.design);
    await journal.idle();
    expect(await store.ofJob('a')).toEqual([]);
  });

  it('tells when edits were made, however often they are written again to be sent', async () => {
    const store = freshStore();
    let now = 1;
    const journal = createJournal(
      store,
      'p',
      () => undefined,
      () => now,
    );
    const made = edits('made at 1');
    journal.write('a', made);
    now = 9;
    journal.write('a', { ...made, sending: made.design });
    await journal.idle();
    expect((await store.ofJob('a')).map(({ at, sending }) => [at, sending?.name])).toEqual([[1, 'made at 1']]);
    journal.write('a', edits('made at 9'));
    await journal.idle();
    expect((await store.ofJob('a')).map(({ at }) => at)).toEqual([9]);
  });

  it('says so when the browser has no room, and when it has again', async () => {
    const told: Keeping[] = [];
    let full = true;
    const store = {
      put: () => (full ? Promise.reject(new Error('full')) : Promise.resolve()),
      remove: () => Promise.resolve(),
    };
    const journal = createJournal(store, 'p', (_, keeping) => void told.push(keeping));
    journal.write('a', edits('one'));
    await journal.idle();
    full = false;
    journal.write('a', edits('two'));
    await journal.idle();
    expect(told).toEqual(['writing', 'failed', 'writing', 'kept']);
  });
});

describe('what earlier pages left', () => {
  const version1: unknown = JSON.parse(
    readFileSync(new URL('../../../../../packages/core/src/testing/version-1/slipway.json', import.meta.url), 'utf8'),
  );

  it('is offered newest first; a browser that keeps nothing opens the job all the same', async () => {
    const store = freshStore();
    await store.put(draft('p', 'older', 1));
    await store.put(draft('q', 'newer', 2));
    expect((await leftBehind(store, 'a')).map(({ design: { name } }) => name)).toEqual(['newer', 'older']);
    const blocked = { ...store, ofJob: () => Promise.reject(new Error('blocked')) };
    expect(await leftBehind(blocked, 'a')).toEqual([]);
  });

  it('by an earlier version of the program is among them', async () => {
    const kept = new Map([['vitrum.draft.a', JSON.stringify({ design: version1, basedOn: 'abc' })]]);
    Object.assign(globalThis, { localStorage: { getItem: (key: string) => kept.get(key) ?? null } });
    const [found] = await leftBehind(freshStore(), 'a');
    Object.assign(globalThis, { localStorage: undefined });
    expect({ ok: true, value: found?.design }).toEqual(readDesign(version1));
    expect([found?.basedOn, found?.design.version]).toEqual(['abc', 2]);
  });

  it('is nothing where the server has it, and no conflict where its save got there before its page ended', () => {
    const head = { ...headOf(named('head')), hash: 'h9' };
    const got = { ...draft('p', 'edited since'), sending: named('head') };
    const lost = { ...draft('q', 'edited'), sending: named('never came') };
    expect(notSaved([draft('r', 'head'), got, lost], head).map(({ page, basedOn }) => [page, basedOn])).toEqual([
      ['p', 'h9'],
      ['q', 'h1'],
    ]);
  });

  it.each([null, 'x', {}, { ...draft('p', 'x'), design: {} }, { ...draft('p', 'x'), page: 3 }])(
    'that cannot be read is none: %j',
    (stored) => {
      expect(readDraft(stored)).toBeNull();
    },
  );
});
