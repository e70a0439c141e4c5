import type { StageResults } from '../evaluate/types.js';
import { changeStrip, oneChange, suitableStrips } from './candidates.js';
import type { Place, Remedy, Rule } from './types.js';

const tenths = (value: number): number => Math.round(value * 10) / 10;
const mm = (value: number): string => `${tenths(value)} mm`;

const backOf = ({ geometry }: StageResults): Place => ({
  view: 'front',
  rect: {
    x: -geometry.inside.widthMm / 2,
    y: -geometry.inside.heightMm / 2,
    width: geometry.inside.widthMm,
    height: geometry.inside.heightMm,
  },
});

const longestLeftover = ({ runs }: StageResults) =>
  runs.segments.reduce(
    (worst, segment) => (segment.leftoverMm > worst.leftoverMm ? segment : worst),
    runs.segments[0]!,
  );

/** Leftover that is worth a word (mm): less disappears in the blur at the returns. */
const leftoverNoticedMm = 8;

/** A row ends between cut marks: the rest stays dark, or the box changes a little. */
export const betweenCutMarks: Rule = ({ results, catalogue }) => {
  const { runs, materials, design } = results;
  if (runs.segments.length === 0) return null;
  const segment = longestLeftover(results);
  const { leftoverMm } = segment;
  if (leftoverMm < leftoverNoticedMm) return null;
  const assembly = design.assemblies[0]!;
  const resized = (longer: boolean): Remedy => {
    const fields = (['widthMm', 'heightMm'] as const).flatMap((size) => {
      const along = runs.segments.find(({ from, to }) => (size === 'widthMm' ? from[1] === to[1] : from[0] === to[0]));
      if (along === undefined) return [];
      const by = longer ? materials.strip.cutPitchMm - along.leftoverMm : -along.leftoverMm;
      return [{ size, value: tenths(assembly.case[size] + by) }];
    });
    const words = fields.map(({ size, value }) => `${size === 'widthMm' ? 'width' : 'height'} ${mm(value)}`).join(', ');
    const change = fields.map(({ size, value }) => ({ path: `assemblies.0.case.${size}`, value }));
    return { id: longer ? 'longer' : 'shorter', candidates: [{ label: `Make the ${words}`, change }] };
  };
  const finer = suitableStrips(results, catalogue).filter(
    (strip) => strip.cutPitchMm < materials.strip.cutPitchMm && strip.voltageV === materials.strip.voltageV,
  );
  const rest = (tried: StageResults): number =>
    tried.runs.segments.length === 0 ? 0 : longestLeftover(tried).leftoverMm;
  return {
    id: 'between-cut-marks',
    severity: 'note',
    step: 'light',
    what: `Row ends fall ${mm(leftoverMm)} past a cut mark`,
    why: `Each row gets ${mm(segment.lengthMm)} of strip, cut every ${mm(materials.strip.cutPitchMm)}; the rest is shared as ${mm(leftoverMm / 2)} more at both ends.`,
    numbers: [{ label: 'left over', value: leftoverMm, unit: 'mm' }],
    where: {
      view: 'front',
      rect: {
        x: Math.max(segment.from[0], segment.to[0]),
        y: segment.to[1] - 15,
        width: Math.max(10, leftoverMm / 2),
        height: 30,
      },
    },
    target: {
      label: 'left over',
      better: 'lower',
      unit: 'mm',
      read: rest,
      settled: (tried) => rest(tried) < leftoverNoticedMm,
    },
    remedies: [changeStrip(finer), resized(true), resized(false)],
  };
};

/** No piece of strip fits at all. */
export const noStrip: Rule = ({ results, catalogue }) => {
  if (results.runs.segments.length > 0) return null;
  const { strip } = results.materials;
  return {
    id: 'no-strip',
    severity: 'stop',
    step: 'light',
    what: 'Not one piece of this strip fits',
    why: `It is cut every ${mm(strip.cutPitchMm)}, and there is no room for that between the end margins.`,
    numbers: [{ label: 'cut pitch', value: strip.cutPitchMm, unit: 'mm' }],
    where: backOf(results),
    target: {
      label: 'strip laid',
      better: 'higher',
      unit: 'm',
      read: ({ runs }) => runs.stripMm / 1000,
      settled: ({ runs }) => runs.segments.length > 0,
    },
    remedies: [
      oneChange('no-margin', 'End margin 2 mm', 'assemblies.0.light.endMarginMm', 2),
      changeStrip(suitableStrips(results, catalogue).filter(({ cutPitchMm }) => cutPitchMm < strip.cutPitchMm)),
    ],
  };
};

/** Least light at the far end of a chain, against the start; typical. */
const dimmestAllowed = 0.85;

const longestChain = ({ circuit }: StageResults): number =>
  circuit.chains.reduce((most, { stripMm }) => Math.max(most, stripMm), 0);
/** Light of the dimmest LED over that of the brightest: what a lead loses dims all alike and is not counted here. */
const dimmest = ({ circuit }: StageResults): number => {
  const least = circuit.chains.reduce((share, { dimmestShare }) => Math.min(share, dimmestShare), 1);
  const most = circuit.chains.reduce((share, { brightestShare }) => Math.max(share, brightestShare), 0);
  return most > 0 ? least / most : 1;
};

/** A run longer than the strip allows, or one whose end grows dim. */
export const runTooLong: Rule = ({ results, catalogue }) => {
  const { materials, design } = results;
  const bothEnds = design.power.feed === 'both-ends';
  const allowed = materials.strip.maxRunMm * (bothEnds ? 2 : 1);
  const length = longestChain(results);
  const share = dimmest(results);
  const over = length > allowed;
  if (!over && share >= dimmestAllowed) return null;
  const ok = (tried: StageResults): boolean =>
    longestChain(tried) <= tried.materials.strip.maxRunMm * (tried.design.power.feed === 'both-ends' ? 2 : 1) &&
    dimmest(tried) >= dimmestAllowed;
  const higher = suitableStrips(results, catalogue).filter(({ voltageV }) => voltageV > materials.strip.voltageV);
  return {
    id: 'run-too-long',
    severity: over ? 'stop' : 'fix',
    step: 'power',
    what: over ? 'A run is longer than the strip allows' : 'The far end of a run is dim',
    why: over
      ? `${(length / 1000).toFixed(2)} m in one run; this strip takes ${(allowed / 1000).toFixed(1)} m fed ${bothEnds ? 'at both ends' : 'at one end'}.`
      : `The last LED gives ${percentText(share)} of the light of the first; ${percentText(dimmestAllowed)} is the usual least (typical).`,
    numbers: [
      { label: 'longest run', value: length / 1000, unit: 'm' },
      { label: 'light at the end', value: Math.round(share * 1000) / 10, unit: '%' },
    ],
    where: backOf(results),
    target: {
      label: 'light at the end',
      better: 'higher',
      unit: '%',
      read: (tried) => Math.round(dimmest(tried) * 1000) / 10,
      settled: ok,
    },
    remedies: [
      ...(bothEnds ? [] : [oneChange('both-ends', 'Feed every run at both ends', 'power.feed', 'both-ends')]),
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
    where: backOf(results),
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

/** A reel is opened for less than this share of it. */
const littleShare = 0.2;

/** Reels run short by little: one more is opened for a few cuts. */
export const reelShort: Rule = ({ results }) => {
  const { packing, design, materials } = results;
  const { reels } = packing.reels;
  const last = reels[reels.length - 1];
  if (reels.length < 2 || last === undefined) return null;
  const usedMm = packing.reelMm - last.leftMm;
  if (usedMm > packing.reelMm * littleShare) return null;
  const reelsNeeded = (tried: StageResults): number => tried.packing.reels.reels.length;
  const assembly = design.assemblies[0]!;
  const shorter = Array.from(
    { length: 6 },
    (_, step) => assembly.light.endMarginMm + ((step + 1) * materials.strip.cutPitchMm) / 2,
  );
  const { rowCount, layout } = assembly.light;
  return {
    id: 'reel-short',
    severity: 'note',
    step: 'light',
    what: `Reel ${reels.length} is opened for ${(usedMm / 1000).toFixed(2)} m`,
    why: `${reels.length - 1} reel${reels.length === 2 ? '' : 's'} of ${packing.reelMm / 1000} m would do with a little less strip.`,
    numbers: [
      { label: 'short by', value: usedMm / 1000, unit: 'm' },
      { label: 'left on the last', value: last.leftMm / 1000, unit: 'm' },
    ],
    where: backOf(results),
    target: {
      label: 'reels',
      better: 'lower',
      unit: '',
      read: reelsNeeded,
      settled: (tried) => reelsNeeded(tried) < reels.length,
    },
    remedies: [
      {
        id: 'shorter-rows',
        candidates: shorter.map((margin) => ({
          label: `Rows ${mm(margin)} from the ends`,
          change: [{ path: 'assemblies.0.light.endMarginMm', value: margin }],
        })),
      },
      ...(layout === 'rows' && rowCount > 1
        ? [oneChange('one-row-less', `${rowCount - 1} rows`, 'assemblies.0.light.rowCount', rowCount - 1)]
        : []),
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
    where: backOf(results),
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
