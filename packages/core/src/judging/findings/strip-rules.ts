import { stripsOf } from '../../light/runs/index.js';
import { inDesign, type AssemblyResults, type SignResults } from '../results/index.js';
import { changeStrip, oneChange, suitableStrips } from './candidates.js';
import { wholeFront, wholeSign } from './places.js';
import type { Rule, SignRule } from './types.js';

/** Strip without a coat in the wet. */
export const bareOutdoors: Rule = ({ results, catalogue }) => {
  const { exposure } = results.design.brief;
  const { strip } = results.materials;
  const bareMetres = ({ materials, runs }: AssemblyResults): number =>
    stripsOf(materials.strip, runs)
      .filter((each) => each.strip.protection === 'bare')
      .reduce((sum, each) => sum + each.runs.stripMm / 1000, 0);
  const bare = bareMetres(results);
  if (exposure === 'indoors' || (strip.protection !== 'bare' && bare === 0)) return null;
  const coated = [...suitableStrips(results, catalogue)].sort(
    (a, b) =>
      Number(b.voltageV === strip.voltageV) - Number(a.voltageV === strip.voltageV) ||
      Math.abs(a.lumensPerM - strip.lumensPerM) - Math.abs(b.lumensPerM - strip.lumensPerM),
  );
  return {
    id: 'bare-outdoors',
    severity: exposure === 'outdoors' ? 'stop' : 'fix',
    step: 'light',
    what: exposure === 'outdoors' ? 'Bare strip in an outdoor sign' : 'Bare strip in a damp place',
    why: `${bare.toFixed(2)} m of uncoated strip; damp corrodes its pads and may short them.`,
    numbers: [{ label: 'bare strip', value: bare, unit: 'm' }],
    where: wholeFront(results),
    target: {
      label: 'bare strip',
      better: 'lower',
      unit: 'm',
      read: bareMetres,
      settled: (tried) => tried.materials.strip.protection !== 'bare' && bareMetres(tried) === 0,
    },
    remedies: coated.slice(0, 2).map((strip) => ({ ...changeStrip(results, [strip]), id: `coated-${strip.id}` })),
  };
};

/** The strip cannot show the light that the brief asks for. */
export const wrongColour: Rule = ({ results, catalogue }) => {
  const { light } = results.design.brief;
  const { strip } = results.materials;
  const suits = (tried: AssemblyResults): boolean =>
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
  const misfit = (tried: AssemblyResults): number => (suits(tried) ? 0 : 1);
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
      ...(nearest === null
        ? []
        : [oneChange('nearest-white', `Ask for ${nearest} K`, inDesign.brief.light, { kind: 'white', cctK: nearest })]),
      changeStrip(results, others),
    ],
  };
};

/** A single segment longer than a whole reel needs a joint in mid-row. */
export const segmentOverReel: SignRule = ({ results }) => {
  const reel = results.packing.reels.find(({ joined }) => joined.length > 0);
  const [longest] = reel?.joined ?? [];
  if (reel === undefined || longest === undefined) return null;
  const overReel = ({ packing }: SignResults): number =>
    packing.reels.reduce((sum, { joined }) => sum + joined.length, 0);
  return {
    id: 'segment-over-reel',
    severity: 'note',
    step: 'light',
    what: 'A row is longer than a reel',
    why: `${(longest.lengthMm / 1000).toFixed(2)} m in one piece; a reel holds ${reel.reelMm / 1000} m, so each such row has a soldered joint on a cut mark.`,
    numbers: [{ label: 'longest segment', value: longest.lengthMm / 1000, unit: 'm' }],
    where: wholeSign(results),
    target: {
      label: 'segments over a reel',
      better: 'lower',
      unit: '',
      read: overReel,
      settled: (tried) => overReel(tried) === 0,
    },
    remedies: [],
  };
};
