import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { demoDesigns, readDesign } from '@vitrum/core';
import { dropDraft, readDraft, writeDraft, type DraftStorage } from './drafts';

const storage = (): DraftStorage & { readonly kept: Map<string, string> } => {
  const kept = new Map<string, string>();
  return {
    kept,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
};

const version1 = (name: string): unknown =>
  JSON.parse(
    readFileSync(new URL(`../../../../packages/core/src/testing/version-1/${name}.json`, import.meta.url), 'utf8'),
  );

describe('a draft in the browser', () => {
  it('comes back as it was written, and goes when it is dropped', () => {
    const place = storage();
    writeDraft(place, 'j1', { design: demoDesigns.curlew, basedOn: 'abc' });
    expect(readDraft(place, 'j1')).toEqual({ design: demoDesigns.curlew, basedOn: 'abc' });
    expect(readDraft(place, 'j2')).toBeNull();
    dropDraft(place, 'j1');
    expect(place.kept.size).toBe(0);
  });

  it('of version 1 opens as one of this version', () => {
    const place = storage();
    place.kept.set('vitrum.draft.j1', JSON.stringify({ design: version1('slipway'), basedOn: 'abc' }));
    const draft = readDraft(place, 'j1');
    expect({ ok: true, value: draft?.design }).toEqual(readDesign(version1('slipway')));
    expect([draft?.basedOn, draft?.design.version]).toEqual(['abc', 2]);
  });

  it.each(['{', '{"design":{},"basedOn":"abc"}', 'null', '{"design":[1]}'])('that is broken is none: %s', (text) => {
    const place = storage();
    place.kept.set('vitrum.draft.j1', text);
    expect(readDraft(place, 'j1')).toBeNull();
  });

  it('is let go when the browser has no room', () => {
    const full: DraftStorage = {
      ...storage(),
      setItem: () => {
        throw new Error('full');
      },
    };
    expect(() => writeDraft(full, 'j1', { design: demoDesigns.curlew, basedOn: 'abc' })).not.toThrow();
  });
});
