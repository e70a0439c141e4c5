import type { Chain } from '../../power/circuit/index.js';
import type { DesignChange } from '../../document/design/index.js';
import type { StageResults } from '../../sign/evaluate/types.js';
import { changeStrip, oneChange, suitableStrips } from './candidates.js';
import type { Place, Rule } from './types.js';

/** The whole piece from the front. */
export const wholeFront = ({ geometry: { outside } }: StageResults): Place => ({
  view: 'front',
  rect: { x: -outside.widthMm / 2, y: -outside.heightMm / 2, width: outside.widthMm, height: outside.heightMm },
});

/** Least light at the far end of a chain, against the start; typical. */
const dimmestAllowed = 0.85;

const longestFed = ({ circuit }: StageResults): number =>
  circuit.chains.reduce((most, { fedMm }) => Math.max(most, fedMm), 0);
/** Light of the dimmest LED over that of the brightest: what a lead loses dims all alike and is not counted here. */
const dimmest = ({ circuit }: StageResults): number => {
  const least = circuit.chains.reduce((share, { dimmestShare }) => Math.min(share, dimmestShare), 1);
  const most = circuit.chains.reduce((share, { brightestShare }) => Math.max(share, brightestShare), 0);
  return most > 0 ? least / most : 1;
};

/** Strip up to this much longer than its longest run is no finding: feeds never share a run quite evenly. */
const runSlack = 1.01;

/** The chain that is in need most: the one that hangs longest on one feed, or has the dimmest group. */
const neediest = ({ circuit }: StageResults, over: boolean): Chain =>
  circuit.chains.reduce((worst, chain) =>
    (over ? chain.fedMm > worst.fedMm : chain.dimmestShare < worst.dimmestShare) ? chain : worst,
  );

/** Room shown round a piece that is pointed at (mm). */
const roundMm = 10;

/** A piece by its index among the segments, as a place on the front. */
const segmentPlace = ({ runs }: StageResults, segment: number): Place => {
  const { path } = runs.segments[segment]!;
  const [xs, ys] = [path.map(([x]) => x), path.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs) - roundMm, Math.min(...ys) - roundMm];
  return {
    view: 'front',
    rect: { x: left, y: low, width: Math.max(...xs) + roundMm - left, height: Math.max(...ys) + roundMm - low },
  };
};

/** A piece by its number, as a place on the front; the whole front when there is no such piece. */
export const pieceRect = (results: StageResults, piece: number): Place => {
  const segment = results.runs.segments.findIndex(({ number }) => number === piece);
  return segment < 0 ? wholeFront(results) : segmentPlace(results, segment);
};

/** The piece where a chain is dimmest. */
export const dimPlace = (results: StageResults, chain: Chain): Place =>
  segmentPlace(results, results.circuit.groups.segment[chain.dimmestGroup]!);

/** Feeds the far end of every chain that is too long or too dim, besides what is fed already. */
export const injectFarEnds = (results: StageResults, needs: (chain: Chain) => boolean): DesignChange => {
  const { circuit, runs, design } = results;
  const given = design.power.injections ?? [];
  const added = circuit.chains.filter(needs).map(({ segments, backward }) => {
    const last = runs.segments[segments[segments.length - 1]!]!.number;
    return { piece: last, end: backward ? ('start' as const) : ('end' as const) };
  });
  return [{ path: 'power.injections', value: [...given, ...added] }];
};

/** A run longer than the strip allows on one feed, or one whose end grows dim. */
export const runTooLong: Rule = ({ results, catalogue }) => {
  const { materials, design, circuit } = results;
  const allowed = materials.strip.maxRunMm;
  const length = longestFed(results);
  const share = dimmest(results);
  const over = length > runSlack * allowed;
  if (!over && share >= dimmestAllowed) return null;
  const ok = (tried: StageResults): boolean =>
    longestFed(tried) <= runSlack * tried.materials.strip.maxRunMm && dimmest(tried) >= dimmestAllowed;
  const higher = suitableStrips(results, catalogue).filter(({ voltageV }) => voltageV > materials.strip.voltageV);
  const brightest = circuit.chains.reduce((most, chain) => Math.max(most, chain.brightestShare), 0);
  const needs = ({ fedMm, dimmestShare }: Chain): boolean =>
    fedMm > runSlack * allowed || dimmestShare < dimmestAllowed * brightest;
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
    where: dimPlace(results, neediest(results, over)),
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
      ...(design.power.feed === 'both-ends'
        ? []
        : [oneChange('both-ends', 'Feed every run at both ends', 'power.feed', 'both-ends')]),
      changeStrip(higher),
    ],
  };
};

const percentText = (share: number): string => `${Math.round(share * 100)} %`;

/** Strip without a coat in the wet. */
export const bareOutdoors: Rule = ({ results, catalogue }) => {
  const { exposure } = results.design.brief;
  const { strip } = results.materials;
  if (exposure === 'indoors' || strip.protection !== 'bare') return null;
  const coated = [...suitableStrips(results, catalogue)].sort(
    (a, b) =>
      Number(b.voltageV === strip.voltageV) - Number(a.voltageV === strip.voltageV) ||
      Math.abs(a.lumensPerM - strip.lumensPerM) - Math.abs(b.lumensPerM - strip.lumensPerM),
  );
  const bareMetres = (tried: StageResults): number =>
    tried.materials.strip.protection === 'bare' ? tried.runs.stripMm / 1000 : 0;
  return {
    id: 'bare-outdoors',
    severity: exposure === 'outdoors' ? 'stop' : 'fix',
    step: 'light',
    what: exposure === 'outdoors' ? 'Bare strip in an outdoor sign' : 'Bare strip in a damp place',
    why: `${(results.runs.stripMm / 1000).toFixed(2)} m of uncoated strip; damp corrodes its pads and may short them.`,
    numbers: [{ label: 'bare strip', value: results.runs.stripMm / 1000, unit: 'm' }],
    where: wholeFront(results),
    target: {
      label: 'bare strip',
      better: 'lower',
      unit: 'm',
      read: bareMetres,
      settled: (tried) => tried.materials.strip.protection !== 'bare',
    },
    remedies: coated.slice(0, 2).map((strip) => ({ ...changeStrip([strip]), id: `coated-${strip.id}` })),
  };
};

/** The strip cannot show the light that the brief asks for. */
export const wrongColour: Rule = ({ results, catalogue }) => {
  const { light } = results.design.brief;
  const { strip } = results.materials;
  const suits = (tried: StageResults): boolean =>
    tried.design.brief.light.kind === 'rgb'
      ? tried.materials.strip.colour !== 'white'
      : tried.materials.strip.whitesK.includes(tried.design.brief.light.cctK);
  if (suits(results)) return null;
  const wanted = light.kind === 'rgb' ? `the colour ${light.colour}` : `white at ${light.cctK} K`;
  const nearest =
    light.kind === 'white' && strip.whitesK.length > 0
      ? strip.whitesK.reduce((best, k) => (Math.abs(k - light.cctK) < Math.abs(best - light.cctK) ? k : best))
      : null;
  const others = [...suitableStrips(results, catalogue)].sort(
    (a, b) => Math.abs(a.lumensPerM - strip.lumensPerM) - Math.abs(b.lumensPerM - strip.lumensPerM),
  );
  const misfit = (tried: StageResults): number => (suits(tried) ? 0 : 1);
  return {
    id: 'wrong-colour',
    severity: 'stop',
    step: 'light',
    what: `This strip does not make ${wanted}`,
    why:
      strip.colour === 'rgb'
        ? 'It mixes three colours; a true white needs a white strip.'
        : `It comes in ${strip.whitesK.join(', ')} K.`,
    numbers: [{ label: 'strips that do', value: others.length, unit: 'in the catalogue' }],
    where: null,
    target: { label: 'strips that do not suit', better: 'lower', unit: '', read: misfit, settled: suits },
    remedies: [
      ...(nearest === null ? [] : [oneChange('nearest-white', `Ask for ${nearest} K`, 'brief.light.cctK', nearest)]),
      changeStrip(others),
    ],
  };
};

/** A single piece longer than a whole reel needs a joint in mid-row. */
export const pieceOverReel: Rule = ({ results }) => {
  const [longest] = results.packing.reels.joined;
  if (longest === undefined) return null;
  return {
    id: 'piece-over-reel',
    severity: 'note',
    step: 'light',
    what: 'A row is longer than a reel',
    why: `${(longest.lengthMm / 1000).toFixed(2)} m in one piece; a reel holds ${results.packing.reelMm / 1000} m, so each such row has a soldered joint on a cut mark.`,
    numbers: [{ label: 'longest piece', value: longest.lengthMm / 1000, unit: 'm' }],
    where: wholeFront(results),
    target: {
      label: 'pieces over a reel',
      better: 'lower',
      unit: '',
      read: (tried) => tried.packing.reels.joined.length,
      settled: (tried) => tried.packing.reels.joined.length === 0,
    },
    remedies: [],
  };
};
