import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type SessionReply } from '@vitrum/core';
import { fakePassingLight } from '../testing/fake-clients';
import { makeZip, type ZipKind } from './make-zip';

const stand = (kind: ZipKind) => {
  const threads = fakePassingLight();
  return { ...threads, ...makeZip(threads.client, shippedCatalogue, kind, demoDesigns.dispensary) };
};

describe('making a ZIP in a thread of its own', () => {
  it('opens the catalogue, asks, hands over the ZIP and ends the thread', async () => {
    const { zip, kinds, answer, passTime, running } = stand('pack');
    expect(kinds()).toEqual(['open', 'pack']);
    answer('open', { kind: 'opened' });
    answer('pack', { kind: 'progress', done: 0, what: 'drawing the parts' });
    answer('pack', { kind: 'packed', zip: new Uint8Array([1, 2]), note: 'no ◇' });
    await expect(zip).resolves.toEqual({ bytes: new Uint8Array([1, 2]), note: 'no ◇' });
    passTime();
    expect(running()).toBe(0);
  });

  it('gives nothing once cancelled, whatever still comes, and ends the thread without waiting for it', async () => {
    const { zip, cancel, answer, running } = stand('maps');
    cancel();
    await expect(zip).resolves.toBeNull();
    expect(running()).toBe(0);
    answer('maps', { kind: 'packed', zip: new Uint8Array([1]), note: null });
    await expect(zip).resolves.toBeNull();
  });

  it.each<[string, SessionReply, string]>([
    ['refused', { kind: 'refused', id: 1, problems: [{ path: 'case', message: 'no seat' }] }, 'case: no seat'],
    ['crashed', { kind: 'crashed', id: 1, message: 'boom' }, 'boom'],
  ])('says why when %s, and ends the thread', async (_, reply, message) => {
    const { zip, reply: tell, passTime, running } = stand('pack');
    tell(reply);
    await expect(zip).rejects.toThrow(message);
    passTime();
    expect(running()).toBe(0);
  });

  it('says so when the thread does not start', async () => {
    const { zip, fail, running } = stand('pack');
    fail('no such script');
    await expect(zip).rejects.toThrow('no such script');
    expect(running()).toBe(0);
  });
});
