import { linearOf } from '../../light/colour/index.js';
import { seenHueOfFace } from '../faces/seen-hue.js';
import { fittedLetters } from '../letters/fitted.js';
import { opaque, wallRgb, type Front } from '../common/front.js';
import type { FaceLitResults } from './results.js';

/** Lit letters and the edges of their returns; round them there is the wall. */
export const faceLitFront = (results: FaceLitResults): Front => {
  const { lettering, assembly } = results;
  return {
    lights: 'itself',
    seenHue: seenHueOfFace(results),
    cover: { passes: opaque, reflects: wallRgb },
    covered: 'round-letters',
    clip: lettering.outline,
    rim: null,
    shapes: [
      {
        id: 'letters',
        outline: lettering.outline,
        rule: 'nonzero',
        paint: { reflects: linearOf(assembly.cans.colour) },
        beside: false,
        lineMm: assembly.cans.wallMm,
      },
    ],
    fitted: fittedLetters(results),
    body: lettering.outline,
    profile: 'letters',
  };
};
