import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type SessionReply, type SessionRequest } from '@vitrum/core';
import { makeZip, type EndableThread } from './make-zip';

const fakeThread = () => {
  const sent: SessionRequest[] = [];
  let ended = 0;
  const thread: EndableThread = {
    postMessage: (request) => sent.push(request),
    terminate: () => (ended += 1),
    onmessage: null,
    onerror: null,
  };
  const reply = (data: SessionReply) => thread.onmessage?.({ data } as MessageEvent<SessionReply>);
  return { sent, thread, reply, ended: () => ended };
};

describe('making a ZIP in a thread of its own', () => {
  it('opens the catalogue, asks, hands over the ZIP and ends the thread', async () => {
    const { sent, thread, reply, ended } = fakeThread();
    const { zip } = makeZip(thread, shippedCatalogue, 'pack', demoDesigns.dispensary);
    expect(sent.map(({ kind }) => kind)).toEqual(['open', 'pack']);
    reply({ kind: 'opened', id: 0 });
    reply({ kind: 'progress', id: 1, done: 0, what: 'drawing the parts' });
    reply({ kind: 'packed', id: 1, zip: new Uint8Array([1, 2]) });
    await expect(zip).resolves.toEqual(new Uint8Array([1, 2]));
    expect(ended()).toBe(1);
  });

  it('gives nothing once cancelled, whatever still comes, and ends the thread without waiting for it', async () => {
    const { thread, reply, ended } = fakeThread();
    const { zip, cancel } = makeZip(thread, shippedCatalogue, 'maps', demoDesigns.dispensary);
    cancel();
    await expect(zip).resolves.toBeNull();
    expect(ended()).toBe(1);
    reply({ kind: 'packed', id: 1, zip: new Uint8Array([1]) });
    await expect(zip).resolves.toBeNull();
  });

  it.each<[string, SessionReply, string]>([
    ['refused', { kind: 'refused', id: 1, problems: [{ path: 'case', message: 'no seat' }] }, 'no seat'],
    ['crashed', { kind: 'crashed', id: 1, message: 'boom' }, 'boom'],
  ])('says why when %s, and ends the thread', async (_, answer, message) => {
    const { thread, reply, ended } = fakeThread();
    const { zip } = makeZip(thread, shippedCatalogue, 'pack', demoDesigns.dispensary);
    reply(answer);
    await expect(zip).rejects.toThrow(message);
    expect(ended()).toBe(1);
  });

  it('says so when the thread does not start', async () => {
    const { thread, ended } = fakeThread();
    const { zip } = makeZip(thread, shippedCatalogue, 'pack', demoDesigns.dispensary);
    thread.onerror?.({ message: 'no such script' } as ErrorEvent);
    await expect(zip).rejects.toThrow('no such script');
    expect(ended()).toBe(1);
  });
});
