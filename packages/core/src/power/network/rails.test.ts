import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { addRails, networkBuilder, solveNetwork, type LoadLaw } from './index.js';

const law = (forwardV: number, siemens: number): LoadLaw => ({ kind: 'resistive', forwardV, siemens });

/** A segment of `backs` colours on 12 V, all returns joined to the supply’s minus. */
const segment = (groups: number, loads: readonly { readonly law: LoadLaw; readonly back: number }[], backs: number) => {
  const builder = networkBuilder();
  const [minus, plus] = [builder.node(), builder.node()];
  builder.source(minus, plus, 12, 0);
  const rails = addRails(builder, { groups, loads, backs, railOhm: 0.4 });
  const feed = [plus, ...Array.from({ length: backs }, () => minus)].map((node, conductor) =>
    builder.resistor(node, rails.start[conductor]!, 0.01),
  );
  const network = builder.build();
  return { rails, feed, network, solution: solveNetwork(network) };
};

describe('a segment of several colours', () => {
  const loads = [
    { law: law(5.5, 0.004), back: 0 },
    { law: law(8.4, 0.006), back: 1 },
    { law: law(8.4, 0.005), back: 2 },
  ];

  it('brings back by its returns what it takes in by plus, and each return what its own loads draw', () => {
    const { feed, rails, solution } = segment(40, loads, 3);
    const [plus, ...backs] = feed.map((resistor) => Math.abs(solution.resistorAmps[resistor]!));
    expect(backs.reduce((sum, amps) => sum + amps, 0)).toBeCloseTo(plus!, 9);
    loads.forEach((_, channel) => {
      let own = 0;
      for (let group = 0; group < 40; group += 1) own += solution.loadAmps[rails.firstLoad + 3 * group + channel]!;
      expect(own).toBeCloseTo(backs[channel]!, 9);
    });
    expect(solution.residualA).toBeLessThan(1e-9);
  });

  it('drops more on plus than on any return, since that carries all of them', () => {
    const { rails, solution } = segment(40, loads, 3);
    const drop = (conductor: number): number =>
      Math.abs(solution.volts[rails.start[conductor]!]! - solution.volts[rails.end[conductor]!]!);
    for (const back of [1, 2, 3]) expect(drop(0)).toBeGreaterThan(2 * drop(back));
  });

  it('with one colour alone is a ladder: its light the hyperbolic cosine of the way left', () => {
    const groups = 400;
    const one = law(8.4, 0.002);
    const { rails, solution } = segment(groups, [{ law: one, back: 0 }], 1);
    // g per group and 2 r per group over the whole segment: k L = √(2 R G).
    const kL = Math.sqrt(2 * 0.4 * 0.002 * groups);
    const at = (group: number): number => solution.loadAmps[rails.firstLoad + group]!;
    const along = (group: number): number => (group + 0.5) / groups;
    for (const group of [0, 130, 399])
      expect(at(group) / at(0)).toBeCloseTo(Math.cosh(kL * (1 - along(group))) / Math.cosh(kL * (1 - along(0))), 4);
  });

  it('two colours on one return are as one of both', () => {
    const both = segment(25, [{ law: law(8.4, 0.004), back: 0 }], 1);
    const apart = segment(
      25,
      [
        { law: law(8.4, 0.001), back: 0 },
        { law: law(8.4, 0.003), back: 0 },
      ],
      1,
    );
    for (let group = 0; group < 25; group += 1) {
      const first = apart.rails.firstLoad + 2 * group;
      expect(apart.solution.loadAmps[first]! + apart.solution.loadAmps[first + 1]!).toBeCloseTo(
        both.solution.loadAmps[both.rails.firstLoad + group]!,
        9,
      );
    }
  });

  it('keeps Kirchhoff’s law whatever its loads', () => {
    const random = seededRandom(77);
    for (let turn = 0; turn < 30; turn += 1) {
      const backs = 1 + Math.floor(random() * 4);
      const many = Array.from({ length: 1 + Math.floor(random() * 5) }, () => ({
        law: law(4 + 7 * random(), 0.01 * random()),
        back: Math.floor(random() * backs),
      }));
      const { solution } = segment(1 + Math.floor(random() * 60), many, backs);
      expect(solution.settled).toBe(true);
      expect(solution.residualA).toBeLessThan(1e-9);
    }
  });

  it('without groups is so many wires', () => {
    const { rails, solution } = segment(0, loads, 3);
    expect(rails.firstLoad).toBe(-1);
    expect(solution.volts[rails.end[0]!]).toBeCloseTo(12, 9);
  });
});
