import { rectRing, type Rect } from '../../base/outlines/index.js';
import type { LinearRgb } from '../../light/colour/index.js';
import { seenHueOfFace } from '../faces/seen-hue.js';
import type { Front, FrontShape } from '../common/front.js';
import type { BoxResults } from './results.js';

/** How the usual woods of returns look from the front; others as the last. */
const woods: Readonly<Record<string, LinearRgb>> = {
  'ply-12': [0.45, 0.34, 0.22],
  'ply-18': [0.45, 0.34, 0.22],
  'oak-18': [0.34, 0.23, 0.13],
};
const otherWood: LinearRgb = [0.4, 0.32, 0.22];

const centred = ({ widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number }): Rect => ({
  x: -widthMm / 2,
  y: -heightMm / 2,
  width: widthMm,
  height: heightMm,
});

/** The returns’ edges, the seated rim of the face, and the letters or the mask. */
export const boxFront = (results: BoxResults): Front => {
  const { geometry, lettering, assembly, glow, materials } = results;
  const { film } = materials;
  const masked = assembly.artwork.mode === 'lit-letters';
  const covered = assembly.case.retention !== 'groove';
  const [outside, opening] = [centred(geometry.outside), centred(geometry.inside)];
  const seated = covered ? centred(geometry.face) : opening;
  const grey = glow.faceReflectance;
  const cover = { passes: film.transmittanceRgb, reflects: film.reflectanceRgb };
  const rim: FrontShape = {
    id: 'rim',
    outline: [rectRing(seated), rectRing(opening)],
    rule: 'evenodd',
    paint: { reflects: [grey, grey, grey] },
    beside: true,
  };
  return {
    lights: 'itself',
    seenHue: seenHueOfFace(results),
    cover,
    covered: masked ? 'round-letters' : 'letters',
    clip: null,
    rim: { outside, inside: opening },
    shapes: [
      {
        id: 'returns',
        outline: [rectRing(outside), rectRing(seated)],
        rule: 'evenodd',
        paint: { reflects: woods[materials.returnBoard.id] ?? otherWood },
        beside: true,
      },
      ...(covered ? [rim] : []),
      {
        id: 'letters',
        outline: masked ? [rectRing(opening), ...lettering.outline] : lettering.outline,
        rule: masked ? 'evenodd' : 'nonzero',
        paint: cover,
        beside: false,
      },
    ],
    fitted: outside,
    body: [rectRing(outside)],
    profile: 'everywhere',
  };
};
