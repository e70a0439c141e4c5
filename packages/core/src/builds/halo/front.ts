import { adaptedHue, colourOf, linearOf, throughTint, type LinearRgb } from '../../light/colour/index.js';
import { fittedLetters } from '../letters/fitted.js';
import { opaque, type Front } from '../common/front.js';
import type { HaloResults } from './results.js';

/** The hue of the wall as seen: a white loses most of its tint to adaptation, the wall keeps its own. */
const seenHueOfWall = ({ design, glow, materials }: HaloResults): LinearRgb =>
  design.brief.light.kind === 'white'
    ? throughTint(adaptedHue(colourOf(design.brief.light, materials.strip).hue), materials.wall.reflectanceRgb).hue
    : glow.hue;

/** Opaque letters before a lit wall. */
export const haloFront = (results: HaloResults): Front => {
  const { lettering, assembly } = results;
  const cover = { passes: opaque, reflects: linearOf(assembly.letters.colour) };
  return {
    lights: 'ground',
    seenHue: seenHueOfWall(results),
    cover,
    covered: 'letters',
    clip: null,
    rim: null,
    shapes: [{ id: 'letters', outline: lettering.outline, rule: 'nonzero', paint: cover, beside: false }],
    fitted: fittedLetters(results),
    body: lettering.outline,
    profile: 'round-letters',
  };
};
