import { memoizeLast, sum } from '../../base/maths/index.js';
import { unplaced3, type Placing } from '../../base/placing/index.js';
import type { Circuit, WireRun } from '../../power/circuit/index.js';
import type { Design } from '../design/index.js';
import { keptList } from './kept-list.js';
import type { Standing, StagesOf } from './lay-sign.js';

/** Wires that end in an assembly, in its own axes; all of them as they are where it is the only one. */
const wiresIn = ({ wires, segments }: Circuit, index: number, placing: Placing, count: number): readonly WireRun[] => {
  if (count === 1) return wires;
  return wires
    .filter(({ ends: [, to] }) => to !== 'lead' && segments[to.segment]!.assembly === index)
    .map((wire) => ({
      ...wire,
      path: wire.path.map((at) => unplaced3(placing, at)),
      holes: wire.holes.map((at) => unplaced3(placing, at)),
      at: [unplaced3(placing, wire.at[0]), unplaced3(placing, wire.at[1])] as const,
    }));
};

const wiresOfEach = (solved: Circuit, placings: readonly Placing[]) =>
  placings.map((placing, index) => wiresIn(solved, index, placing, placings.length));

/** What each assembly draws of all, and which holds the supply. */
const ownPowersOf = (solved: Circuit) => {
  const all = sum(solved.shares.map(({ watts }) => watts));
  return solved.shares.map(({ watts }, index) => ({
    share: all > 0 ? watts / all : 1 / solved.shares.length,
    holdsSupply: index === 0,
  }));
};

/** Gives each assembly what it needs to light it, for when that is asked for, and lists what it is made of. */
export const signLighting = (stagesOf: StagesOf) => {
  const wiresOf = memoizeLast(wiresOfEach);
  const ownPowers = memoizeLast(ownPowersOf);
  const placingsKept = keptList<Placing>();
  return (design: Design, standing: readonly Standing[], circuit: Circuit) => {
    const wires = wiresOf.run(circuit, placingsKept(standing.map(({ placing }) => placing)));
    const powers = ownPowers.run(circuit);
    return standing.map(({ assembly, index, label, laid, placing }) => {
      const stages = stagesOf(assembly, index);
      const own = { circuit, share: circuit.shares[index]!, wires: wires[index]! };
      const lighting = stages.light(design.brief, design.power, assembly, laid, { ...own, ownPower: powers[index]! });
      // What only the circuit wants of it.
      const { entry, router, ...found } = laid;
      const { build, id } = assembly;
      const results = { build, id, index, label, placing, design, assembly, ...own, ...found, ...lighting };
      return { ...results, ...stages.parts(results) };
    });
  };
};

/** An assembly that is wired, with what it is made of, and its light for when that is asked for. */
export type WiredAssembly = ReturnType<ReturnType<typeof signLighting>>[number];
