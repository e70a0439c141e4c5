import type { Rule } from '../../judging/findings/index.js';
import type { FaceStack } from '../../light/optics/index.js';
import { percent } from '../common/rule-words.js';
import { changeFace, facesOnOffer, hiding } from './candidates.js';
import { coatLess, coatMore, filmForPaint, sandFace } from './coat-candidates.js';
import type { FacedResults } from './results.js';

/** Of what passes, the share that goes straight on: strip, boards and wires are seen by it, from the front and from aside. */
export const straightShare = ({ layers }: Pick<FaceStack, 'layers'>): number =>
  layers.reduce((share, { scatter }) => (scatter.kind === 'lambertian' ? 0 : share * (1 - scatter.hazeShare)), 1);

/** From here on what stands behind is made out, and from here on it spoils the sign whatever its ripple is; typical. */
const madeOut = 0.03;
const spoils = 0.15;

/** A clear or lightly sanded face shows strip, wood and wires. */
export const showsInside: Rule<FacedResults> = ({ results, catalogue }) => {
  const share = straightShare(results.stack);
  if (share < madeOut) return null;
  const { materials } = results;
  return {
    id: 'shows-inside',
    severity: share >= spoils ? 'fix' : 'note',
    step: 'face',
    what: 'What stands behind the face is seen through it',
    why: `${percent(share)} % of what passes ${materials.face.name.toLowerCase()} goes straight on; from ${madeOut * 100} % on strip, boards and wires are made out, from aside as well (typical).`,
    numbers: [{ label: 'straight through', value: percent(share), unit: '%' }],
    where: { view: 'front', rect: results.glow.grid.area },
    target: {
      label: 'straight through',
      better: 'lower',
      unit: '%',
      read: ({ stack }) => percent(straightShare(stack)),
      settled: ({ stack }) => straightShare(stack) < madeOut,
    },
    remedies: [
      changeFace(
        results,
        facesOnOffer(results, catalogue)
          .filter((face) => hiding(face) > hiding(materials.face))
          .sort((a, b) => b.transmittance - a.transmittance),
      ),
      sandFace(results, catalogue),
      coatMore(results, catalogue),
    ],
  };
};

/** How much thicker or thinner a coat comes out here and there, by hand (share of it); typical. */
const coatSpread = 0.15;
/** Clouds in a face that differ by this are seen (Michelson, slow). */
const cloudsSeen = 0.03;

/** What all coats of paint pass where each is so much of it thicker: one coat’s error has nothing to do with the next one’s. */
const painted = ({ materials }: FacedResults, thicker: number): number =>
  materials.faceCoats
    .filter(({ coating }) => coating.kind === 'paint')
    .reduce((passed, { coating, coats }) => passed * coating.transmittance ** (coats + thicker * Math.sqrt(coats)), 1);

const clouds = (results: FacedResults): number => {
  const [thin, thick] = [painted(results, -coatSpread), painted(results, coatSpread)];
  return (thin - thick) / (thin + thick);
};

/** Coats laid by hand differ from place to place, and the more of them the more. */
export const coatsUneven: Rule<FacedResults> = ({ results, catalogue }) => {
  const contrast = clouds(results);
  if (contrast < cloudsSeen) return null;
  const mean = results.glow.evenness.meanCdM2;
  const [low, high] = [painted(results, coatSpread), painted(results, -coatSpread)].map((passed) =>
    Math.round((mean * passed) / painted(results, 0)),
  );
  return {
    id: 'coats-uneven',
    severity: 'note',
    step: 'face',
    what: 'Coats come out uneven by hand',
    why: `Where each is ${coatSpread * 100} % thinner or thicker (typical) the face has between ${low} and ${high} cd/m²: clouds of ${percent(contrast)} %, and more than ${percent(cloudsSeen)} % is seen. Cross-coat thinly, and look at it lit before the next coat.`,
    numbers: [
      { label: 'at the thickest', value: low!, unit: 'cd/m²' },
      { label: 'at the thinnest', value: high!, unit: 'cd/m²' },
    ],
    where: { view: 'front', rect: results.glow.grid.area },
    target: {
      label: 'clouds',
      better: 'lower',
      unit: '%',
      read: (tried) => percent(clouds(tried)),
      settled: (tried) => clouds(tried) < cloudsSeen,
    },
    remedies: [filmForPaint(results, catalogue), coatLess(results)],
  };
};
