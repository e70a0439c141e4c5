import { set, type DesignChange } from '../../document/design/index.js';
import type { Chain } from '../../power/circuit/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import { inDesign, type SignResults } from '../results/index.js';
import { changeStrip, oneChange, suitableStrips } from './candidates.js';
import { dimPlace } from './places.js';
import type { Remedy, SignRule } from './types.js';

/** Least light at the far end of a chain, against the start; typical. */
const dimmestAllowed = 0.85;

/** The strip of a chain. */
const stripOf = ({ circuit }: SignResults, { segments }: Chain): Strip => circuit.segments[segments[0]!]!.strip;

/** How much of what its strip may have on one feed the longest chain has. */
const longestShare = (results: SignResults): number =>
  results.circuit.chains.reduce((most, chain) => Math.max(most, chain.fedMm / stripOf(results, chain).maxRunMm), 0);
/** Light of the dimmest LED over that of the brightest: what a lead loses dims all alike and is not counted here. */
const dimmest = ({ circuit }: SignResults): number => {
  const least = circuit.chains.reduce((share, { dimmestShare }) => Math.min(share, dimmestShare), 1);
  const most = circuit.chains.reduce((share, { brightestShare }) => Math.max(share, brightestShare), 0);
  return most > 0 ? least / most : 1;
};

/** Strip up to this much longer than its longest run is no finding: feeds never share a run quite evenly. */
const runSlack = 1.01;

/** The chain that is in need most: the one that hangs longest on one feed, or has the dimmest group. */
const neediest = (results: SignResults, over: boolean): Chain => {
  const need = (chain: Chain): number => (over ? chain.fedMm / stripOf(results, chain).maxRunMm : -chain.dimmestShare);
  return results.circuit.chains.reduce((worst, chain) => (need(chain) > need(worst) ? chain : worst));
};

/** Feeds the far end of every chain that is too long or too dim, besides what is fed already. */
export const injectFarEnds = ({ circuit, design }: SignResults, needs: (chain: Chain) => boolean): DesignChange => {
  const given = design.power.injections ?? [];
  const added = circuit.chains.filter(needs).map(({ segments, backward }) => {
    const { ref } = circuit.segments[segments[segments.length - 1]!]!;
    return { ...ref, end: backward ? ('start' as const) : ('end' as const) };
  });
  return [set(inDesign.power.injections, [...given, ...added])];
};

/** Begins another chain in the middle of every one that is too long or too dim; nothing where each is one segment. */
export const splitChains = ({ circuit, design }: SignResults, needs: (chain: Chain) => boolean): readonly Remedy[] => {
  const middles = circuit.chains
    .filter((chain) => needs(chain) && chain.segments.length > 1)
    .map(({ segments }) => circuit.segments[segments[Math.ceil(segments.length / 2)]!]!.ref);
  const count = middles.length;
  return count === 0
    ? []
    : [
        {
          id: 'split',
          candidates: [
            {
              label: `Split ${count === 1 ? 'the chain' : `${count} chains`} in the middle, a feed each`,
              change: [set(inDesign.power.chainsBegin, [...(design.power.chainsBegin ?? []), ...middles])],
            },
          ],
        },
      ];
};

/** A run longer than the strip allows on one feed, or one whose end grows dim. */
export const runTooLong: SignRule = ({ results, catalogue }) => {
  const { design, circuit } = results;
  const share = dimmest(results);
  const over = longestShare(results) > runSlack;
  if (!over && share >= dimmestAllowed) return null;
  const worst = neediest(results, over);
  const strip = stripOf(results, worst);
  const [allowed, length] = [strip.maxRunMm, worst.fedMm];
  const ok = (tried: SignResults): boolean => longestShare(tried) <= runSlack && dimmest(tried) >= dimmestAllowed;
  const own = results.assemblies[circuit.segments[worst.segments[0]!]!.assembly]!;
  const higher = suitableStrips(own, catalogue).filter(({ voltageV }) => voltageV > strip.voltageV);
  const brightest = circuit.chains.reduce((most, chain) => Math.max(most, chain.brightestShare), 0);
  const needs = (chain: Chain): boolean =>
    chain.fedMm > runSlack * stripOf(results, chain).maxRunMm || chain.dimmestShare < dimmestAllowed * brightest;
  return {
    id: 'run-too-long',
    severity: over ? 'stop' : 'fix',
    step: 'power',
    what: over ? 'A run is longer than the strip allows' : 'The far end of a run is dim',
    why: over
      ? `${(length / 1000).toFixed(2)} m hang on one feed; this strip takes ${(allowed / 1000).toFixed(1)} m from one end.`
      : `The last LED gives ${percentText(share)} of the light of the first; ${percentText(dimmestAllowed)} is the usual least (typical).`,
    numbers: [
      { label: 'longest on one feed', value: length / 1000, unit: 'm' },
      { label: 'light at the end', value: Math.round(share * 1000) / 10, unit: '%' },
    ],
    where: dimPlace(results, worst),
    target: {
      label: 'light at the end',
      better: 'higher',
      unit: '%',
      read: (tried) => Math.round(dimmest(tried) * 1000) / 10,
      settled: ok,
    },
    remedies: [
      {
        id: 'inject',
        candidates: [{ label: 'Feed the far end as well', change: injectFarEnds(results, needs) }],
      },
      ...splitChains(results, needs),
      ...(design.power.feed === 'both-ends'
        ? []
        : [oneChange('both-ends', 'Feed every run at both ends', inDesign.power.feed, 'both-ends')]),
      changeStrip(own, higher),
    ],
  };
};

const percentText = (share: number): string => `${Math.round(share * 100)} %`;
