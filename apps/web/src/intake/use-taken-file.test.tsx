import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { usualIntake, type SessionReply } from '@vitrum/core';
import { workers } from '../workers/clients';
import { useTakenFile } from './use-taken-file';

type Asked = Parameters<typeof workers.intake.ask>[0];

let asked: Asked[] = [];
const release = jest.fn();
beforeEach(() => {
  asked = [];
  release.mockClear();
  jest.spyOn(workers.intake, 'hold').mockImplementation(() => release);
  jest.spyOn(workers.intake, 'ask').mockImplementation((question) => {
    asked.push(question);
    return () => undefined;
  });
});
afterEach(() => void jest.restoreAllMocks());

const svg = {
  name: 'shore.svg',
  arrayBuffer: () => Promise.resolve(new TextEncoder().encode('<svg/>').buffer),
} as unknown as File;
const take = jest.fn((reply: SessionReply, name: string) =>
  reply.kind === 'layers-taken' ? { problem: null, told: [`${name}: ${reply.taken.layers.length} layers`] } : null,
);
const open = () =>
  renderHook(() =>
    useTakenFile((file) => ({ kind: 'take-layers', file, options: { ...usualIntake, tones: 4 } }), take),
  );
const taken = {
  layers: [],
  widthMm: 1,
  heightMm: 1,
  sizeStated: true,
  known: [],
  notes: [],
  changes: [],
};

describe('a file that is taken in as a whole', () => {
  it('is busy until the thread answers, and tells then what came of it', async () => {
    const { result } = open();
    await act(() => result.current.open(svg));
    expect(result.current.busy).toBe(true);
    expect(asked[0]!.request).toMatchObject({ kind: 'take-layers', file: { kind: 'svg', text: '<svg/>' } });
    act(() => asked[0]!.hear({ kind: 'layers-taken', id: 1, taken }));
    expect(result.current).toMatchObject({ busy: false, problem: null, told: ['shore.svg: 0 layers'] });
  });

  it('tells why the thread refused it, with the place, after its name', async () => {
    const { result } = open();
    await act(() => result.current.open(svg));
    act(() => asked[0]!.hear({ kind: 'refused', id: 1, problems: [{ path: 'line 3', message: 'carries a script' }] }));
    expect(result.current).toMatchObject({ busy: false, problem: 'shore.svg line 3: carries a script', told: [] });
  });

  it('tells that the thread died, and forgets it with the next file that goes well', async () => {
    const { result } = open();
    await act(() => result.current.open(svg));
    act(() => asked[0]!.fail('the thread ended'));
    expect(result.current.problem).toBe('the thread ended');
    await act(() => result.current.open(svg));
    act(() => asked[1]!.hear({ kind: 'layers-taken', id: 2, taken }));
    expect(result.current.problem).toBeNull();
  });

  it('is not asked of a thread where it is no drawing at all', async () => {
    const { result } = open();
    await act(() => result.current.open({ name: 'notes.txt' } as File));
    expect(asked).toEqual([]);
    expect(result.current.problem).toContain('notes.txt is no drawing');
  });

  it('lets the thread go with the page', () => {
    const { unmount } = open();
    unmount();
    expect(release).toHaveBeenCalledTimes(1);
  });
});
