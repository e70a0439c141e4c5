import { shareSupply, type Strip } from '../../../document/catalogue/index.js';
import { set } from '../../../document/design/index.js';
import { evenlyOver, wholeFront, type Candidate, type Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { LayerStrip } from '../materials.js';
import type { GrooveResults } from '../results.js';
import { placeAt } from './common.js';

const strangers = ({ materials }: GrooveResults): readonly LayerStrip[] =>
  materials.layers.filter(({ strip }) => !shareSupply(strip, materials.strip));

/** The likest first: of the same colours, then of about the same light. */
const likest = (strips: readonly Strip[], wanted: Strip): readonly Strip[] =>
  [...strips].sort(
    (a, b) =>
      Number(b.colour === wanted.colour) - Number(a.colour === wanted.colour) ||
      Math.abs(a.lumensPerM - wanted.lumensPerM) - Math.abs(b.lumensPerM - wanted.lumensPerM),
  );

/** Strip of a layer that takes another voltage, or another kind of controller, than the rest. */
export const layersDiffer: Rule<GrooveResults> = ({ results, catalogue }) => {
  const found = strangers(results);
  const [odd] = found;
  if (odd === undefined) return null;
  const { strip } = results.materials;
  const { layers = [] } = results.assembly.light;
  const line = results.geometry.lines.find(({ layer }) => layer === odd.layer);
  const fits = likest(
    catalogue.strips.filter(
      (each) =>
        each.form !== 'modules' &&
        shareSupply(each, strip) &&
        (results.design.brief.exposure === 'indoors' || each.protection !== 'bare'),
    ),
    odd.strip,
  );
  return {
    id: 'layers-differ',
    severity: 'stop',
    step: 'light',
    what: `The strip of layer “${odd.layer}” cannot share one supply with the rest`,
    why:
      odd.strip.voltageV === strip.voltageV
        ? 'Pixels are told by data, the other strip is switched: one controller cannot do both.'
        : `It takes ${odd.strip.voltageV} V, the rest ${strip.voltageV} V.`,
    numbers: [{ label: 'of another kind', value: found.length, unit: found.length === 1 ? 'layer' : 'layers' }],
    where: line === undefined ? wholeFront(results) : placeAt(results, line.points[line.points.length >> 1]!),
    target: {
      label: 'of another kind',
      better: 'lower',
      unit: 'layers',
      read: (tried) => strangers(tried).length,
      settled: (tried) => strangers(tried).length === 0,
    },
    remedies: [
      {
        id: 'layer-strip',
        candidates: evenlyOver(fits.slice(0, 8)).map(({ id, name }): Candidate => ({
          label: `Layer “${odd.layer}”: ${name}`,
          change: [
            set(
              fieldsIn(results).light.layers,
              layers.map((each) => (each.layer === odd.layer ? { ...each, stripId: id } : each)),
            ),
          ],
        })),
      },
    ],
  };
};
