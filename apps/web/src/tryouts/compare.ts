import type { Catalogue, ComparedWay, Design, WayToCompare } from '@vitrum/core';
import { workers, type LightClient } from '../workers/clients';

/**
 * Ways to make an assembly tried beside one another, on the thread of try-outs; `hear` is told as they come. Returns what calls it off.
 */
export const compare = (
  catalogue: Catalogue,
  design: Design,
  assembly: number,
  ways: readonly WayToCompare[],
  hear: (ways: readonly ComparedWay[], done: boolean) => void,
  client: LightClient = workers.tryOuts,
): (() => void) => {
  client.setUp('catalogue', { kind: 'open', catalogue });
  let seen: readonly ComparedWay[] = [];
  return client.ask({
    request: { kind: 'compare', design, assembly, ways },
    hear: (reply) => {
      if (reply.kind !== 'compared') return;
      seen = reply.ways;
      hear(seen, reply.done);
    },
    fail: () => hear(seen, true),
  });
};
