import { memoizeLast } from '../../base/maths/index.js';
import type { Placing } from '../../base/placing/index.js';
import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import { signRunsOf, solveCircuit, type Circuit, type Router, type WiredAssembly } from '../../power/circuit/index.js';
import type { Design } from '../design/index.js';
import { keptList } from './kept-list.js';
import type { Standing } from './lay-sign.js';

const runsTogether = (
  ids: readonly string[],
  strips: readonly Strip[],
  runs: readonly WiredAssembly['runs'][],
  entries: readonly WiredAssembly['entry'][],
  routers: readonly Router[],
  placings: readonly Placing[],
) =>
  signRunsOf(
    ids.map((id, index) => ({
      id,
      strip: strips[index]!,
      runs: runs[index]!,
      entry: entries[index]!,
      router: routers[index]!,
      placing: placings[index]!,
    })),
  );

/** Wires all assemblies to each other and to their supplies. Memoized by what stands in each. */
export const signWiring = (catalogue: Catalogue) => {
  const together = memoizeLast(runsTogether);
  const circuit = memoizeLast(solveCircuit);
  const ids = keptList<string>();
  const strips = keptList<Strip>();
  const runs = keptList<WiredAssembly['runs']>();
  const entries = keptList<WiredAssembly['entry']>();
  const routers = keptList<Router>();
  const placings = keptList<Placing>();
  return {
    circuit,
    wire: ({ brief, power }: Design, standing: readonly Standing[]): Circuit =>
      circuit.run(
        brief,
        power,
        catalogue,
        together.run(
          ids(standing.map(({ assembly }) => assembly.id)),
          strips(standing.map(({ laid }) => laid.materials.strip)),
          runs(standing.map(({ laid }) => laid.runs)),
          entries(standing.map(({ laid }) => laid.entry)),
          routers(standing.map(({ laid }) => laid.router)),
          placings(standing.map(({ placing }) => placing)),
        ),
      ),
  };
};
