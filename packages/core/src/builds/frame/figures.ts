import { computed, typical, type Figure } from '../../judging/figures/index.js';
import { boxFigures } from '../boxes/figures.js';
import { onFaceLux, standsAtMm } from './on-face.js';
import type { FrameResults } from './results.js';

/** What a lit mirror throws on who stands before it (lx). */
export const faceLuxOf = ({ glow, geometry, assembly }: FrameResults): number =>
  onFaceLux(glow.evenness.meanCdM2, geometry.face, assembly.shows.band);

const onFace = (results: FrameResults): Figure => {
  const lux = faceLuxOf(results);
  return {
    id: 'on-face',
    rules: ['dim-before-mirror'],
    text: `${Math.round(lux)} lx`,
    label: 'on a face before it',
    kind: 'computed',
    value: lux,
    unit: 'lx',
    how: `What the band throws on a face ${standsAtMm} mm before the middle of the mirror, without the light of the room.`,
    inputs: [
      computed('mean luminance', `${Math.round(results.glow.evenness.meanCdM2)} cd/m²`),
      typical('distance', `${standsAtMm} mm`),
    ],
  };
};

/** The figures of the tape for a frame: those of a case, and of a lit mirror what it throws on a face. */
export const frameFigures = (results: FrameResults): readonly Figure[] => [
  ...boxFigures(results),
  ...(results.assembly.shows.kind === 'lit-mirror' ? [onFace(results)] : []),
];
