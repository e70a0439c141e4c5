import { describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue, type Evaluation } from '@vitrum/core';
import { fakeLight } from '../testing/fake-clients';
import { connectEvaluation, useEvaluation } from './evaluation-store';

const stand = () => {
  const threads = fakeLight();
  const link = connectEvaluation(threads.client);
  const evaluate = (name: string, job = 'job'): void => link.evaluate(job, named(name));
  const names = () => threads.sent.flatMap((request) => (request.kind === 'evaluate' ? [request.design.name] : []));
  const asksForFixes = () =>
    threads.sent.flatMap((request) => (request.kind === 'fixes' ? [[...request.findings]] : []));
  return { ...threads, link, evaluate, names, asksForFixes };
};

const evaluation = (name: string): Evaluation =>
  ({ design: { ...demoDesigns.dispensary, name }, findings: [] }) as unknown as Evaluation;
const named = (name: string) => ({ ...demoDesigns.dispensary, name });

describe('the page’s side of the evaluation', () => {
  it('keeps one design in flight and only the newest waiting', () => {
    const { link, evaluate, answer, names } = stand();
    link.open(shippedCatalogue);
    for (const name of ['a', 'b', 'c', 'd']) evaluate(name);
    expect(names()).toEqual(['a']);
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('a') });
    expect(names()).toEqual(['a', 'd']);
    expect(useEvaluation.getState().evaluation?.design.name).toBe('a');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('d') });
    expect(useEvaluation.getState().evaluation?.design.name).toBe('d');
  });

  it('tries the fixes that are asked for, shows each as it comes, and asks for what is left no second time', () => {
    const { evaluate, answer, link, asksForFixes } = stand();
    evaluate('a');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('a') });
    const of = useEvaluation.getState().evaluation!;
    link.fix(of, ['dots', 'heavy']);
    answer('fixes', { kind: 'fixes', finding: { id: 'dots' } as never });
    expect(useEvaluation.getState().tried).toEqual({ dots: { id: 'dots' } });
    link.fix(of, ['heavy']);
    expect(asksForFixes()).toEqual([['dots', 'heavy']]);
    link.fix(of, ['dark', 'heavy']);
    expect(asksForFixes()).toEqual([
      ['dots', 'heavy'],
      ['dark', 'heavy'],
    ]);
  });

  it('shows fixes only for the newest design', () => {
    const { evaluate, answer, reply, idsOf, link, kinds } = stand();
    evaluate('a');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('a') });
    link.fix(useEvaluation.getState().evaluation!, ['stale']);
    evaluate('b');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('b') });
    reply({ kind: 'fixes', id: idsOf('fixes')[0]!, finding: { id: 'stale' } as never });
    expect(useEvaluation.getState().tried).toEqual({});
    link.fix(useEvaluation.getState().evaluation!, []);
    expect(kinds()).toEqual(['evaluate', 'fixes', 'evaluate', 'cancel']);
  });

  it('tells that trying a fix failed', () => {
    const { evaluate, answer, link } = stand();
    evaluate('a');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('a') });
    link.fix(useEvaluation.getState().evaluation!, ['dots']);
    answer('fixes', { kind: 'crashed', message: 'boom' });
    expect(useEvaluation.getState().crash).toBe('boom');
  });

  it('keeps the last good evaluation when a design is refused or the program fails', () => {
    const { evaluate, answer } = stand();
    evaluate('good');
    answer('evaluate', { kind: 'evaluated', evaluation: evaluation('good') });
    evaluate('bad');
    answer('evaluate', { kind: 'refused', problems: [{ path: 'x', message: 'too deep' }] });
    expect(useEvaluation.getState()).toMatchObject({
      evaluation: { design: { name: 'good' } },
      problems: [{ message: 'too deep' }],
    });
    evaluate('worse');
    answer('evaluate', { kind: 'crashed', message: 'boom' });
    expect(useEvaluation.getState().crash).toBe('boom');
  });

  it('says so when the thread itself fails, and lights the next edit in another', () => {
    const { evaluate, fail, started, link, kinds } = stand();
    link.open(shippedCatalogue);
    evaluate('a');
    fail('no such script');
    expect(useEvaluation.getState().crash).toBe('no such script');
    evaluate('b');
    expect([started(), kinds()]).toEqual([2, ['open', 'evaluate', 'open', 'evaluate']]);
  });

  it('shows nothing of one job on the page of another, though it comes late', () => {
    const { evaluate, reply, idsOf } = stand();
    evaluate('a', 'one');
    evaluate('b', 'other');
    reply({ kind: 'evaluated', id: idsOf('evaluate')[0]!, evaluation: evaluation('a') });
    expect(useEvaluation.getState()).toMatchObject({ jobId: 'other', evaluation: null });
  });
});
