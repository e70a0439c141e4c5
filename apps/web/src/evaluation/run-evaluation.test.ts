import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { demoDesigns, fieldsOf, set, shippedCatalogue, type Design, type Evaluation } from '@vitrum/core';
import { changeDesign, useDocument } from '../document/document-store';
import { fakeLight } from '../testing/fake-clients';
import { openDesign } from '../testing/open-design';
import { connectEvaluation, useEvaluation } from './evaluation-store';
import { useReaders } from './read-findings';
import { runEvaluation } from './run-evaluation';

const restMs = 500;
const at = fieldsOf<Design>();

/** The open design as it comes back from the thread, with findings of these ids. */
const litWith = (...ids: readonly string[]): Evaluation =>
  ({ design: useDocument.getState().design, findings: ids.map((id) => ({ id })) }) as unknown as Evaluation;

const stand = () => {
  const threads = fakeLight();
  const end = runEvaluation(shippedCatalogue, connectEvaluation(threads.client));
  const answer = (evaluation: Evaluation): void => threads.answer('evaluate', { kind: 'evaluated', evaluation });
  const asked = () => threads.sent.flatMap((request) => (request.kind === 'fixes' ? [[...request.findings]] : []));
  return { ...threads, end, answer, asked };
};

const read = (...ids: readonly string[]): void => useReaders.setState({ readers: { panel: ids } });

beforeEach(() => {
  jest.useFakeTimers();
  openDesign(demoDesigns.dispensary);
  useEvaluation.setState(useEvaluation.getInitialState(), true);
  read();
});
afterEach(() => void jest.useRealTimers());

describe('the open design', () => {
  it('is lit at once and after every edit; the page knows when it is behind', () => {
    const { answer, kinds, end } = stand();
    expect(kinds()).toEqual(['open', 'evaluate']);
    expect(useEvaluation.getState().isBehind).toBe(true);
    answer(litWith());
    expect(useEvaluation.getState().isBehind).toBe(false);
    changeDesign([set(at.name, 'Other')]);
    expect(kinds()).toEqual(['open', 'evaluate', 'evaluate']);
    expect(useEvaluation.getState().isBehind).toBe(true);
    end();
    expect(useEvaluation.getState().isBehind).toBe(false);
  });

  it('has the fixes of what is read tried once it has rested, in the order of its findings', () => {
    const { answer, asked } = stand();
    read('dots', 'heavy');
    answer(litWith('heavy', 'dark', 'dots'));
    jest.advanceTimersByTime(restMs - 1);
    expect(asked()).toEqual([]);
    jest.advanceTimersByTime(1);
    expect(asked()).toEqual([['heavy', 'dots']]);
  });

  it('does not rest while it is drawn at', () => {
    const { answer, asked } = stand();
    read('dots');
    for (let edit = 0; edit < 4; edit += 1) {
      answer(litWith('dots'));
      jest.advanceTimersByTime(restMs - 1);
      changeDesign([set(at.name, `Edit ${edit}`)]);
    }
    answer(litWith('dots'));
    expect(asked()).toEqual([]);
    jest.advanceTimersByTime(restMs);
    expect(asked()).toEqual([['dots']]);
  });

  it('that has rested has the fixes tried at once of what is read then, and no longer of what is not', () => {
    const { answer, asked, kinds } = stand();
    answer(litWith('dots', 'heavy'));
    jest.advanceTimersByTime(restMs);
    read('heavy');
    read('dots', 'heavy');
    expect(asked()).toEqual([['heavy'], ['dots', 'heavy']]);
    read();
    expect(kinds().slice(-1)).toEqual(['cancel']);
  });

  it('that cannot be built has nothing tried', () => {
    const { answer, asked } = stand();
    read('dots');
    answer(litWith('dots'));
    useEvaluation.setState({ problems: [{ path: 'x', message: 'too deep' }] });
    jest.advanceTimersByTime(restMs);
    expect(asked()).toEqual([]);
  });

  it('is left with nothing tried after its page is gone', () => {
    const { answer, asked, end } = stand();
    read('dots');
    answer(litWith('dots'));
    end();
    jest.advanceTimersByTime(restMs);
    expect(asked()).toEqual([]);
  });
});
