import { shareSupply } from '../../document/catalogue/index.js';
import type { AssemblyResults, SignResults } from '../results/index.js';
import { changeStrip } from './candidates.js';
import { wholeSign } from './places.js';
import type { SignRule } from './types.js';

/** Assemblies whose strip cannot share what the one before all has. */
const strangersTo = (one: AssemblyResults, { assemblies }: SignResults): readonly AssemblyResults[] =>
  assemblies.filter(({ materials }) => !shareSupply(materials.strip, one.materials.strip));
const strangers = (results: SignResults): readonly AssemblyResults[] => {
  const [first] = results.assemblies;
  return first === undefined ? [] : strangersTo(first, results);
};

/** Strips of unlike voltage, or pixels beside strip that is switched: one supply and one controller cannot drive both. */
export const stripsDiffer: SignRule = ({ results, catalogue }) => {
  const [first] = results.assemblies;
  const found = strangers(results);
  const [odd] = found;
  if (first === undefined || odd === undefined) return null;
  const { strip } = first.materials;
  const other = odd.materials.strip;
  const same = catalogue.strips
    .filter(
      (each) =>
        shareSupply(each, strip) &&
        each.colour === other.colour &&
        (results.design.brief.exposure === 'indoors' || each.protection !== 'bare'),
    )
    .sort((a, b) => Math.abs(a.lumensPerM - other.lumensPerM) - Math.abs(b.lumensPerM - other.lumensPerM));
  return {
    id: 'strips-differ',
    severity: 'stop',
    step: 'light',
    what: `${first.label} and ${odd.label} cannot share one supply`,
    why:
      strip.voltageV === other.voltageV
        ? `The pixels of one are told by data, the strip of the other is switched: one controller cannot do both.`
        : `${first.label} takes ${strip.voltageV} V, ${odd.label} ${other.voltageV} V. Give both strip of one voltage, or make two signs of it.`,
    numbers: [{ label: 'of another kind', value: found.length, unit: found.length === 1 ? 'assembly' : 'assemblies' }],
    where: wholeSign(results),
    target: {
      label: 'of another kind',
      better: 'lower',
      unit: '',
      read: (tried) => strangers(tried).length,
      settled: (tried) => strangers(tried).length === 0,
    },
    remedies: [changeStrip(odd, same)],
  };
};
