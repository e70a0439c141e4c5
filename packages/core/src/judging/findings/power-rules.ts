import { capital } from '../../base/words/index.js';
import { set } from '../../document/design/index.js';
import { hardestUsed, jointWords, ratingShare, type Carrier } from '../../power/circuit/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { oneChange } from './candidates.js';
import { morePairsOfGroups } from './group-pairs.js';
import { wholeSign } from './places.js';
import type { Place, Remedy, SignRule } from './types.js';

/** Within a hundredth of its rating counts as at it. */
const atRating = 1.01;

/** The carrier that is used hardest, of the kinds that nothing else watches over. */
const worst = ({ circuit }: SignResults): Carrier | null =>
  hardestUsed(circuit.carriers.filter(({ kind }) => kind === 'wire' || kind === 'joint' || kind === 'controller'));

const placeOf = ({ at }: Carrier, results: SignResults): Place =>
  at === null ? wholeSign(results) : { view: 'front', rect: { x: at[0] - 12, y: at[1] - 12, width: 24, height: 24 } };

/** Shares the current among more feeds: both ends of each run. */
const shareCurrent = ({ design }: SignResults): readonly Remedy[] =>
  design.power.feed === 'both-ends'
    ? []
    : [oneChange('both-ends', 'Feed every run at both ends', inDesign.power.feed, 'both-ends')];

/** A wire or a joint carries more than it is rated for. */
export const overRating: SignRule = ({ results, catalogue }) => {
  const carrier = worst(results);
  if (carrier === null || ratingShare(carrier) <= atRating) return null;
  const { joint } = results.circuit;
  const stronger = catalogue.joints.filter(({ ratedA }) => ratedA > joint.ratedA).sort((a, b) => a.ratedA - b.ratedA);
  return {
    id: 'over-rating',
    severity: 'stop',
    step: 'power',
    what: `${carrier.kind === 'controller' ? 'The' : 'A'} ${carrier.kind} carries more than it may`,
    why: `${capital(carrier.name)} carries ${carrier.amps.toFixed(2)} A and is rated for ${carrier.ratedA} A; beyond that it heats and fails.`,
    numbers: [
      { label: 'current', value: carrier.amps, unit: 'A' },
      { label: 'rated', value: carrier.ratedA, unit: 'A' },
    ],
    where: placeOf(carrier, results),
    target: {
      label: 'of its rating',
      better: 'lower',
      unit: '%',
      read: (tried) => Math.round(100 * ratingShare(worst(tried) ?? carrier)),
      settled: (tried) => ratingShare(worst(tried) ?? carrier) <= atRating,
    },
    remedies: [
      ...(carrier.kind === 'joint'
        ? [
            {
              id: 'joint',
              candidates: stronger.map(({ kind }) => ({
                label: `Join by ${jointWords[kind]}`,
                change: [set(inDesign.power.joint, kind)],
              })),
            },
          ]
        : []),
      ...(carrier.kind === 'controller' ? [] : morePairsOfGroups(results)),
      ...(carrier.kind === 'controller'
        ? [
            oneChange('auto-controller', 'Let Vitrum choose the controller', inDesign.power.controllerId, 'auto'),
            oneChange(
              'amplify',
              'Another supply with an amplifier of its own',
              inDesign.power.supplyCount,
              results.circuit.supplyCount + 1,
            ),
          ]
        : shareCurrent(results)),
    ],
  };
};
