import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue } from '@vitrum/core';
import { fakePassingLight } from '../testing/fake-clients';
import { chooseDesign } from './choose';

const stand = (signal?: AbortSignal) => {
  const threads = fakePassingLight();
  const options = signal === undefined ? {} : { signal };
  const work = chooseDesign(shippedCatalogue, demoDesigns.dispensary, 0, { client: threads.client, ...options });
  return { ...threads, work };
};

describe('choosing a design on a thread of its own', () => {
  it('sends the catalogue and the design, gives what was solved, and ends the thread', async () => {
    const solved = { design: demoDesigns.dispensary, clean: true, sentence: 'Chosen.', tried: 3 };
    const { work, kinds, answer, passTime, running } = stand();
    answer('choose', { kind: 'progress', done: 1, what: 'choosing' });
    answer('choose', { kind: 'chosen', solved });
    expect(await work).toBe(solved);
    expect(kinds()).toEqual(['open', 'choose']);
    passTime();
    expect(running()).toBe(0);
  });

  it.each([
    [{ kind: 'crashed', message: 'out of light' } as const, 'out of light'],
    [{ kind: 'refused', problems: [{ path: '', message: 'it is too deep' }] } as const, 'it is too deep'],
  ])('fails with the sentence of %j', async (reply, sentence) => {
    const { work, answer } = stand();
    answer('choose', reply);
    await expect(work).rejects.toThrow(sentence);
  });

  it('is called off at any time: the thread ends, and nothing is chosen', async () => {
    const calledOff = new AbortController();
    const { work, running } = stand(calledOff.signal);
    calledOff.abort();
    await expect(work).rejects.toThrow('called off');
    expect(running()).toBe(0);
  });
});
