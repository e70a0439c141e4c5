import { describe, expect, it } from '@jest/globals';
import { addLadder, networkBuilder, type Network } from './index.js';
import { branchEnds, reachOf } from './graph.js';

const reach = (network: Network) => reachOf(network, branchEnds(network));
const law = { kind: 'resistive', forwardV: 9, siemens: 0.01 } as const;

describe('how a network hangs together', () => {
  it('is told from the supplies outward, nearest first, and every node once', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0.1);
    const chain = Array.from({ length: 6 }, () => builder.node());
    chain.forEach((node, at) => builder.resistor(at === 0 ? plus : chain[at - 1]!, node, 1));
    const { order, unfed, grounds } = reach(builder.build());
    expect([...order]).toEqual([minus, plus, ...chain]);
    expect([...unfed]).toEqual(new Array(8).fill(0));
    expect(grounds).toEqual([minus]);
  });

  it('leaves out what no supply is joined to', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0.1);
    const apart = addLadder(builder, { groups: 3, law, railOhm: 0.1 });
    const { order, unfed } = reach(builder.build());
    expect([...order]).toEqual([minus, plus]);
    expect([apart.startPlus, apart.endMinus].map((node) => unfed[node])).toEqual([1, 1]);
  });

  it('has a ground for each part: supplies that meet share the first one’s', () => {
    const builder = networkBuilder();
    const nodes = Array.from({ length: 6 }, () => builder.node());
    builder.source(nodes[0]!, nodes[1]!, 12, 0.1);
    builder.source(nodes[2]!, nodes[3]!, 12, 0.1);
    builder.source(nodes[4]!, nodes[5]!, 24, 0.1);
    // The first two are joined by a load, far from either’s minus; the third stands apart.
    builder.load(nodes[1]!, nodes[3]!, law);
    expect(reach(builder.build()).grounds).toEqual([nodes[0], nodes[4]]);
    builder.resistor(nodes[5]!, nodes[0]!, 5);
    expect(reach(builder.build()).grounds).toEqual([nodes[0]]);
  });

  it('opens a ring in its middle: the last node reached lies across from the supply', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0.1);
    const ring = Array.from({ length: 9 }, () => builder.node());
    ring.forEach((node, at) => builder.resistor(at === 0 ? plus : ring[at - 1]!, node, 1));
    builder.resistor(ring[8]!, plus, 1);
    const { order } = reach(builder.build());
    expect(order.at(-1)).toBe(ring[4]);
  });

  it('is nothing without supplies', () => {
    const builder = networkBuilder();
    builder.resistor(builder.node(), builder.node(), 1);
    const { order, unfed, grounds } = reach(builder.build());
    expect([order.length, grounds.length, ...unfed]).toEqual([0, 0, 1, 1]);
  });
});
