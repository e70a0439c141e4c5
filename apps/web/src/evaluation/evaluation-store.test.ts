import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type Evaluation, type SessionReply, type SessionRequest } from '@vitrum/core';
import { connectEvaluation, useEvaluation, type Thread } from './evaluation-store';

const fakeThread = () => {
  const sent: SessionRequest[] = [];
  const thread: Thread = { postMessage: (request) => sent.push(request), onmessage: null };
  const link = connectEvaluation(thread);
  const reply = (data: SessionReply) => thread.onmessage?.({ data } as MessageEvent<SessionReply>);
  return { sent, link, reply };
};

const evaluation = (name: string): Evaluation =>
  ({ design: { ...demoDesigns.dispensary, name }, findings: [] }) as unknown as Evaluation;
const named = (name: string) => ({ ...demoDesigns.dispensary, name });

describe('the page’s side of the evaluation protocol', () => {
  it('keeps one design in flight and only the newest waiting', () => {
    const { sent, link, reply } = fakeThread();
    link.open(shippedCatalogue);
    for (const name of ['a', 'b', 'c', 'd']) link.evaluate(named(name));
    const names = () => sent.flatMap((request) => (request.kind === 'evaluate' ? [request.design.name] : []));
    expect(names()).toEqual(['a']);
    reply({ kind: 'evaluated', id: 1, evaluation: evaluation('a') });
    expect(names()).toEqual(['a', 'd']);
    reply({ kind: 'evaluated', id: 2, evaluation: evaluation('d') });
    expect(useEvaluation.getState().evaluation?.design.name).toBe('d');
  });

  it('shows fixes only for the newest design', () => {
    const { link, reply } = fakeThread();
    link.evaluate(named('a'));
    reply({ kind: 'evaluated', id: 0, evaluation: evaluation('a') });
    reply({ kind: 'fixes', id: 0, findings: [] });
    expect(useEvaluation.getState().findings).toEqual([]);
    link.evaluate(named('b'));
    reply({ kind: 'fixes', id: 0, findings: [{ id: 'stale' } as never] });
    expect(useEvaluation.getState().findings).toEqual([]);
  });

  it('keeps the last good evaluation when a design is refused or the thread fails', () => {
    const { link, reply } = fakeThread();
    link.evaluate(named('good'));
    reply({ kind: 'evaluated', id: 0, evaluation: evaluation('good') });
    link.evaluate(named('bad'));
    reply({ kind: 'refused', id: 1, problems: [{ path: 'x', message: 'too deep' }] });
    expect(useEvaluation.getState()).toMatchObject({
      evaluation: { design: { name: 'good' } },
      problems: [{ message: 'too deep' }],
    });
    link.evaluate(named('worse'));
    reply({ kind: 'crashed', id: 2, message: 'boom' });
    expect(useEvaluation.getState().crash).toBe('boom');
  });
});
