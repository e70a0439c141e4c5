import type { Design } from '@vitrum/core';
import type { LightClient } from '../workers/clients';
import { useTryouts } from './tryouts-store';

export const mostPinned = 4;

/** Variants put aside, each evaluated in full, one after the other. */
export const pinning = (client: LightClient) => {
  let nextKey = 0;
  let busy = false;

  const evaluateNext = (): void => {
    const next = useTryouts.getState().pinned.find(({ evaluation, failed }) => evaluation === null && !failed);
    if (busy || next === undefined) return;
    busy = true;
    const settle = (change: Partial<typeof next>): void => {
      busy = false;
      useTryouts.setState(({ pinned }) => ({
        pinned: pinned.map((each) => (each.key === next.key ? { ...each, ...change } : each)),
      }));
      evaluateNext();
    };
    client.ask({
      request: { kind: 'evaluate', design: next.design },
      hear: (reply) => settle(reply.kind === 'evaluated' ? { evaluation: reply.evaluation } : { failed: true }),
      fail: () => settle({ failed: true }),
    });
  };

  return {
    /** Puts a variant aside; its full evaluation follows. */
    pin: (name: string, design: Design): void => {
      if (useTryouts.getState().pinned.length >= mostPinned) return;
      const key = nextKey++;
      useTryouts.setState(({ pinned }) => ({
        pinned: [...pinned, { key, name, design, evaluation: null, failed: false }],
      }));
      evaluateNext();
    },
    unpin: (key: number): void =>
      useTryouts.setState(({ pinned }) => ({ pinned: pinned.filter((each) => each.key !== key) })),
  };
};
