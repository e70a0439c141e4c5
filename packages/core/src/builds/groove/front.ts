import { rectRing, subtract, unite } from '../../base/outlines/index.js';
import { adaptedHue, type LinearRgb } from '../../light/colour/index.js';
import type { Front } from '../common/front.js';
import { carrierReflects } from './carrier-looks.js';
import { plateOf } from './geometry.js';
import type { GrooveResults } from './results.js';
import { plateMarginMm } from './parts.js';

/** What light falls on the carrier is seen on it: it is in the map, as the lines are. */
const shown: LinearRgb = [1, 1, 1];
/** A plate behind letters, unpainted or white. */
const plateRgb: LinearRgb = [0.62, 0.6, 0.56];

/** A carrier with lines of light in it. */
export const grooveFront = ({ geometry, assembly, design, glow, materials }: GrooveResults): Front => {
  const cover = {
    passes: shown,
    reflects: carrierReflects(assembly.carrier, materials),
  };
  const { outline, bounds } = geometry;
  const letters = assembly.carrier.kind === 'letters';
  const plate = plateOf(geometry, plateMarginMm);
  return {
    lights: 'itself',
    seenHue: design.brief.light.kind === 'white' ? adaptedHue(glow.hue) : glow.hue,
    cover,
    covered: 'round-letters',
    clip: letters || outline.some((ring) => ring.length !== 4) ? outline : null,
    sheet: true,
    rim: null,
    shapes: [
      ...(letters
        ? [
            {
              id: 'plate',
              outline: subtract([plate], outline),
              rule: 'nonzero' as const,
              paint: { reflects: plateRgb },
              beside: true,
            },
          ]
        : []),
    ],
    fitted: letters
      ? {
          x: bounds.x - plateMarginMm,
          y: bounds.y - plateMarginMm,
          width: bounds.width + 2 * plateMarginMm,
          height: bounds.height + 2 * plateMarginMm,
        }
      : bounds,
    body: letters ? unite([plate]) : outline.length > 0 ? outline : [rectRing(bounds)],
    profile: 'letters',
  };
};
