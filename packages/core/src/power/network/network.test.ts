import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import {
  addLadder,
  ampsAt,
  networkBuilder,
  prepareNetwork,
  solveNetwork,
  type LoadLaw,
  type Network,
  type Solution,
} from './index.js';

/** A strip fed where it is told by one stiff supply; volts across each group, and amps of each supply feed. */
const fedStrip = (
  law: LoadLaw,
  groups: number,
  railOhm: number,
  volts: number,
  feeds: readonly ('start' | 'end')[],
) => {
  const builder = networkBuilder();
  const [minus, plus] = [builder.node(), builder.node()];
  builder.source(minus, plus, volts, 0);
  const ladder = addLadder(builder, { groups, law, railOhm });
  for (const feed of feeds) {
    builder.resistor(plus, feed === 'start' ? ladder.startPlus : ladder.endPlus, 0);
    builder.resistor(minus, feed === 'start' ? ladder.startMinus : ladder.endMinus, 0);
  }
  const network = builder.build();
  return { network, found: solveNetwork(network) };
};

const across = ({ loads }: Network, { volts }: Solution): readonly number[] =>
  Array.from(loads.plus, (plus, load) => volts[plus]! - volts[loads.minus[load]!]!);

/** The same network by a full matrix and plain elimination, each load linear between tries until nothing changes. */
const dense = (network: Network, ground: number): Float64Array => {
  const { nodes, resistors, loads, laws, sources } = network;
  let volts = new Float64Array(nodes).fill(0);
  for (let turn = 0; turn < 400; turn += 1) {
    const rows = Array.from({ length: nodes }, () => new Float64Array(nodes + 1));
    const put = (a: number, b: number, siemens: number, amps: number): void => {
      rows[a]![a]! += siemens;
      rows[b]![b]! += siemens;
      rows[a]![b]! -= siemens;
      rows[b]![a]! -= siemens;
      rows[a]![nodes]! -= amps;
      rows[b]![nodes]! += amps;
    };
    resistors.from.forEach((from, branch) => put(from, resistors.to[branch]!, 1 / resistors.ohm[branch]!, 0));
    for (const { plus, minus, volts: emf, ohm } of sources) put(plus, minus, 1 / ohm, -emf / ohm);
    loads.plus.forEach((plus, load) => {
      const minus = loads.minus[load]!;
      const law = laws[loads.law[load]!]!;
      const at = volts[plus]! - volts[minus]!;
      const hair = 1e-7;
      const slope = (ampsAt(law, at + hair) - ampsAt(law, at - hair)) / (2 * hair);
      put(plus, minus, slope + 1e-12, ampsAt(law, at) - slope * at);
    });
    rows[ground]!.fill(0);
    rows[ground]![ground] = 1;
    for (let pivot = 0; pivot < nodes; pivot += 1) {
      let best = pivot;
      for (let row = pivot; row < nodes; row += 1)
        if (Math.abs(rows[row]![pivot]!) > Math.abs(rows[best]![pivot]!)) best = row;
      [rows[pivot], rows[best]] = [rows[best]!, rows[pivot]!];
      for (let row = 0; row < nodes; row += 1) {
        const factor = row === pivot ? 0 : rows[row]![pivot]! / rows[pivot]![pivot]!;
        if (factor !== 0) for (let at = pivot; at <= nodes; at += 1) rows[row]![at]! -= factor * rows[pivot]![at]!;
      }
    }
    const next = Float64Array.from(rows, (row, node) => row[nodes]! / row[node]!);
    const change = next.reduce((most, value, node) => Math.max(most, Math.abs(value - volts[node]!)), 0);
    // Half steps keep loads with a knee from being switched on and off for ever.
    volts = turn < 3 ? next : volts.map((value, node) => (value + next[node]!) / 2);
    if (change < 1e-10) break;
  }
  return volts;
};

describe('closed forms', () => {
  const [groups, railOhm, length] = [2000, 0.3, 5];

  it('a constant current all along makes a parabola', () => {
    const ampsPerM = 0.8;
    const law: LoadLaw = { kind: 'regulated', fromV: 6, fullV: 8, amps: (ampsPerM * length) / groups };
    const { network, found } = fedStrip(law, groups, railOhm, 12, ['start']);
    const volts = across(network, found);
    // Out and back: dV/dx = −2 r i (L − x).
    const r = (2 * railOhm) / length;
    for (const group of [0, 400, 1000, 1999]) {
      const x = ((group + 0.5) * length) / groups;
      const drop = r * ampsPerM * (length * x - (x * x) / 2);
      expect(Math.abs(12 - volts[group]! - drop)).toBeLessThan(0.001 * drop + 2e-4);
    }
    expect(found.sourceAmps[0]).toBeCloseTo(ampsPerM * length, 6);
  });

  it('a load in proportion makes a hyperbolic cosine', () => {
    const siemensPerM = 0.09;
    const law: LoadLaw = { kind: 'resistive', forwardV: 9, siemens: (siemensPerM * length) / groups };
    const { network, found } = fedStrip(law, groups, railOhm, 12, ['start']);
    const volts = across(network, found);
    const k = Math.sqrt(((2 * railOhm) / length) * siemensPerM);
    for (const group of [0, 700, 1999]) {
      const x = ((group + 0.5) * length) / groups;
      const expected = (3 * Math.cosh(k * (length - x))) / Math.cosh(k * length);
      expect(Math.abs((volts[group]! - 9) / expected - 1)).toBeLessThan(0.001);
    }
  });

  it('fed at both ends the middle is as low as the end of half the strip', () => {
    const law: LoadLaw = { kind: 'regulated', fromV: 6, fullV: 8, amps: 4 / groups };
    const both = across(...unpacked(fedStrip(law, groups, railOhm, 12, ['start', 'end'])));
    // q L² / 8 against q L² / 2.
    const drop = 12 - both[groups / 2]!;
    expect(Math.abs(drop / (((2 * railOhm) / length) * 0.8 * (length ** 2 / 8)) - 1)).toBeLessThan(0.001);
    const one = across(...unpacked(fedStrip(law, groups, railOhm, 12, ['start'])));
    expect(Math.abs((12 - one[groups - 1]!) / drop - 4)).toBeLessThan(0.01);
  });

  it('fed in the middle each half is a strip of its own', () => {
    const law: LoadLaw = { kind: 'regulated', fromV: 6, fullV: 8, amps: 4 / groups };
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0);
    const halves = [0, 1].map(() => addLadder(builder, { groups: groups / 2, law, railOhm: railOhm / 2 }));
    for (const { startPlus, startMinus } of halves) {
      builder.resistor(plus, startPlus, 0);
      builder.resistor(minus, startMinus, 0);
    }
    const network = builder.build();
    const volts = across(network, solveNetwork(network));
    const drop = ((2 * railOhm) / length) * 0.8 * (length ** 2 / 8);
    expect(Math.abs((12 - volts[groups / 2 - 1]!) / drop - 1)).toBeLessThan(0.002);
    expect(volts[groups - 1]).toBeCloseTo(volts[groups / 2 - 1]!, 9);
  });

  it('unequal segments in series share the voltage by what they take', () => {
    // Two lumps on 24 V, the second twice as long: I = g₁(V₁ − f) = g₂(V₂ − f).
    const builder = networkBuilder();
    const [minus, middle, plus] = [builder.node(), builder.node(), builder.node()];
    builder.source(minus, plus, 24, 1e-4);
    builder.load(plus, middle, { kind: 'resistive', forwardV: 9, siemens: 0.1 });
    builder.load(middle, minus, { kind: 'resistive', forwardV: 9, siemens: 0.2 });
    const network = builder.build();
    const [first, second] = across(network, solveNetwork(network));
    expect(first).toBeCloseTo(9 + (6 * 0.2) / 0.3, 3);
    expect(second).toBeCloseTo(9 + (6 * 0.1) / 0.3, 3);
  });
});

const unpacked = ({ network, found }: ReturnType<typeof fedStrip>) => [network, found] as const;

/** A network of any shape: a tree of wires with loops thrown in, loads of both laws, one to three supplies in a row. */
const anyNetwork = (seed: number): Network => {
  const random = seededRandom(seed);
  const below = (count: number): number => Math.floor(random() * count);
  const builder = networkBuilder();
  const nodes = Array.from({ length: 10 + below(25) }, () => builder.node());
  nodes.slice(1).forEach((node, index) => builder.resistor(node, nodes[below(index + 1)]!, 0.01 + random()));
  for (let loop = 0; loop < 6; loop += 1) {
    const [a, b] = [below(nodes.length), below(nodes.length)];
    if (a !== b) builder.resistor(nodes[a]!, nodes[b]!, 0.05 + random());
  }
  const laws: readonly LoadLaw[] = [
    { kind: 'resistive', forwardV: 2 + 6 * random(), siemens: 0.02 + 0.2 * random() },
    { kind: 'regulated', fromV: 3, fullV: 4 + 4 * random(), amps: 0.05 + 0.4 * random() },
    { kind: 'resistive', forwardV: 0, siemens: 0.05 },
  ];
  // Supplies stand between far nodes and a rail of their own, with loads from the web of wires to that rail.
  const rail = builder.node();
  for (let supply = 0; supply <= below(3); supply += 1)
    builder.source(rail, nodes[below(nodes.length)]!, 5 + below(20), 0.02 + 0.2 * random());
  for (let load = 0; load < 20; load += 1) builder.load(nodes[below(nodes.length)]!, rail, laws[below(3)]!);
  return builder.build();
};

describe('any network', () => {
  it.each(Array.from({ length: 50 }, (_, seed) => seed + 1))(
    'keeps Kirchhoff’s laws, and is what a full matrix gives (seed %d)',
    (seed) => {
      const network = anyNetwork(seed);
      const found = solveNetwork(network);
      expect(found.settled).toBe(true);
      const sums = new Float64Array(network.nodes);
      network.resistors.from.forEach((from, branch) => {
        const amps = found.resistorAmps[branch]!;
        sums[from]! -= amps;
        sums[network.resistors.to[branch]!]! += amps;
        const drop = found.volts[from]! - found.volts[network.resistors.to[branch]!]!;
        expect(Math.abs(drop - amps * network.resistors.ohm[branch]!)).toBeLessThan(1e-9);
      });
      network.loads.plus.forEach((plus, load) => {
        sums[plus]! -= found.loadAmps[load]!;
        sums[network.loads.minus[load]!]! += found.loadAmps[load]!;
      });
      network.sources.forEach(({ plus, minus }, source) => {
        sums[plus]! += found.sourceAmps[source]!;
        sums[minus]! -= found.sourceAmps[source]!;
      });
      expect(Math.max(...sums.map(Math.abs))).toBeLessThan(1e-6);
      const other = dense(network, network.sources[0]!.minus);
      found.volts.forEach((volts, node) => expect(Math.abs(volts - other[node]!)).toBeLessThan(1e-5));
    },
  );
});

describe('networks wired alike', () => {
  it('are solved by what was prepared for one of them', () => {
    const one = anyNetwork(7);
    const prepared = prepareNetwork(one);
    const other: Network = {
      ...one,
      resistors: { ...one.resistors, ohm: one.resistors.ohm.map((ohm) => 0.5 * ohm + 0.01) },
      sources: one.sources.map((source) => ({ ...source, volts: source.volts + 3 })),
    };
    expect(solveNetwork(other, prepared).volts).toEqual(solveNetwork(other).volts);
    expect(solveNetwork(one, prepared).volts).not.toEqual(solveNetwork(other).volts);
  });
});

describe('networks that make no sense', () => {
  it('end too: a loop of strip without a supply is dark', () => {
    const builder = networkBuilder();
    const law: LoadLaw = { kind: 'resistive', forwardV: 9, siemens: 0.01 };
    const ladder = addLadder(builder, { groups: 10, law, railOhm: 0.1 });
    builder.resistor(ladder.startPlus, ladder.endPlus, 0.01);
    builder.resistor(ladder.startMinus, ladder.endMinus, 0.01);
    const found = solveNetwork(builder.build());
    expect([...found.unfed].every((unfed) => unfed === 1)).toBe(true);
    expect(Math.max(...found.volts.map(Math.abs))).toBe(0);
    expect(found.settled).toBe(true);
  });

  it('a short draws what its copper lets through, and all behind it is dark', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0.05);
    builder.resistor(plus, minus, 0.01);
    builder.load(plus, minus, { kind: 'resistive', forwardV: 9, siemens: 1 });
    const network = builder.build();
    const found = solveNetwork(network);
    expect(found.sourceAmps[0]).toBeCloseTo(12 / 0.06, 6);
    expect(found.loadAmps[0]).toBe(0);
  });

  it('an open return leaves the strip dark with the supply’s voltage on both rails', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 12, 0.05);
    const ladder = addLadder(builder, {
      groups: 20,
      law: { kind: 'resistive', forwardV: 9, siemens: 0.01 },
      railOhm: 0.1,
    });
    builder.resistor(plus, ladder.startPlus, 0.01);
    const network = builder.build();
    const found = solveNetwork(network);
    expect(found.settled).toBe(true);
    expect(Math.max(...found.loadAmps)).toBeLessThan(1e-6);
    expect(found.volts[ladder.endMinus]).toBeGreaterThanOrEqual(2.9);
  });

  it('backward strip takes nothing; segments of no length and bare wires are let be', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 24, 0.05);
    const law: LoadLaw = { kind: 'regulated', fromV: 10, fullV: 18, amps: 0.02 };
    const backward = addLadder(builder, { groups: 5, law, railOhm: 0.1 });
    builder.resistor(plus, backward.startMinus, 0.01);
    builder.resistor(minus, backward.startPlus, 0.01);
    const empty = addLadder(builder, { groups: 0, law, railOhm: 0 });
    builder.resistor(plus, empty.startPlus, 0);
    builder.resistor(plus, plus, 1);
    const found = solveNetwork(builder.build());
    expect(found.settled).toBe(true);
    expect(Math.abs(found.sourceAmps[0]!)).toBeLessThan(1e-9);
  });

  it('two supplies of different voltage in parallel drive current through each other', () => {
    const builder = networkBuilder();
    const [minus, plus] = [builder.node(), builder.node()];
    builder.source(minus, plus, 24, 0.1);
    builder.source(minus, plus, 12, 0.1);
    const found = solveNetwork(builder.build());
    expect(found.sourceAmps[0]).toBeCloseTo(60, 6);
    expect(found.sourceAmps[1]).toBeCloseTo(-60, 6);
  });

  it('nothing at all is solved at once', () => {
    const found = solveNetwork(networkBuilder().build());
    expect(found).toMatchObject({ rounds: 0, settled: true, residualA: 0 });
  });
});
