import { adaptedHue, linearOf } from '../../light/colour/index.js';
import { opaque, type Front } from '../common/front.js';
import type { StackedResults } from './results.js';

/** The lid before the wall, its letters lit, the light of its bands on the wall round it. */
export const stackedFront = ({ geometry, lid, assembly, design, glow }: StackedResults): Front => {
  const cover = { passes: opaque, reflects: linearOf(assembly.plates.colour) };
  return {
    lights: 'ground',
    seenHue: design.brief.light.kind === 'white' ? adaptedHue(glow.hue) : glow.hue,
    cover,
    covered: 'letters',
    clip: null,
    rim: null,
    shapes: [{ id: 'lid', outline: lid.solid, rule: 'nonzero', paint: cover, beside: false }],
    fitted: geometry.bounds,
    body: geometry.outline,
    profile: 'round-letters',
  };
};
