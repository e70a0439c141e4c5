import { set } from '../../document/design/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import type { Remedy } from './types.js';

/** So many more pairs are tried at the most. */
const mostTried = 5;

/** Groups in series parted in more pairs, each fed by itself: its wires and joints carry so much less. */
export const morePairsOfGroups = ({ circuit, design }: SignResults): readonly Remedy[] => {
  if (design.power.arrangement !== 'series-groups') return [];
  const now = circuit.pairs.length;
  const most = Math.min(20, now + mostTried, Math.floor(circuit.segments.length / 2));
  return [
    {
      id: 'more-group-pairs',
      candidates: Array.from({ length: Math.max(0, most - now) }, (_, more) => ({
        label: `${now + more + 1} pairs of groups, each fed by itself`,
        change: [set(inDesign.power.groupPairs, now + more + 1)],
      })),
    },
  ];
};
