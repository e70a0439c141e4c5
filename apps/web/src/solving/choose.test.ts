import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type SessionReply, type SessionRequest } from '@vitrum/core';
import { chooseDesign, type ChoosingThread } from './choose';

const standIn = (answer: SessionReply) => {
  const sent: SessionRequest[] = [];
  let ended = 0;
  const thread: ChoosingThread = {
    onmessage: null,
    terminate: () => void (ended += 1),
    postMessage: (request) => {
      sent.push(request);
      const reply = (data: SessionReply) => thread.onmessage?.({ data } as MessageEvent<SessionReply>);
      if (request.kind === 'open') reply({ kind: 'opened', id: request.id });
      else {
        reply({ kind: 'progress', id: request.id, done: 1, what: 'choosing' });
        reply(answer);
      }
    },
  };
  const work = chooseDesign(shippedCatalogue, demoDesigns.dispensary, 0, { start: () => thread });
  return { sent, work, ended: () => ended };
};

describe('choosing a design on a thread of its own', () => {
  it('sends the catalogue and the design, gives what was solved, and ends the thread', async () => {
    const solved = { design: demoDesigns.dispensary, clean: true, sentence: 'Chosen.', tried: 3 };
    const { sent, work, ended } = standIn({ kind: 'chosen', id: 1, solved });
    expect(await work).toBe(solved);
    expect(sent.map(({ kind }) => kind)).toEqual(['open', 'choose']);
    expect(ended()).toBe(1);
  });

  it.each([
    [{ kind: 'crashed', id: 1, message: 'out of light' } as const, 'out of light'],
    [{ kind: 'refused', id: 1, problems: [{ path: 'x', message: 'is too deep' }] } as const, 'is too deep'],
  ])('fails with the sentence of %j', async (answer, sentence) => {
    const { work, ended } = standIn(answer);
    await expect(work).rejects.toThrow(sentence);
    expect(ended()).toBe(1);
  });

  it('is called off at any time: the thread ends, and nothing is chosen', async () => {
    let ended = 0;
    const silent: ChoosingThread = {
      onmessage: null,
      terminate: () => void (ended += 1),
      postMessage: () => undefined,
    };
    const calledOff = new AbortController();
    const work = chooseDesign(shippedCatalogue, demoDesigns.dispensary, 0, {
      start: () => silent,
      signal: calledOff.signal,
    });
    calledOff.abort();
    await expect(work).rejects.toThrow('called off');
    expect(ended).toBe(1);
  });
});
