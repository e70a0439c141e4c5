import type { Ring } from '../../base/outlines/index.js';
import type { Section } from '../../light/section/index.js';
import type { GrooveResults } from './results.js';

/** Half-beam cones of LEDs that face the viewer, up to the front; none of strip on its edge. */
export const grooveCones = (
  { geometry, assembly }: GrooveResults,
  section: Section,
  spread: number,
): readonly Ring[] => {
  const front = geometry.frontZMm + geometry.groove.proudMm;
  return assembly.groove.lies === 'edge'
    ? []
    : section.shapes
        .filter(({ role }) => role === 'strip')
        .map(({ ring }): Ring => {
          const ys = ring.map(([, y]) => y);
          const z = Math.max(...ring.map(([x]) => x));
          const y = (Math.min(...ys) + Math.max(...ys)) / 2;
          // The walls of the groove cut it off.
          const reach = Math.min((front - z) * spread, geometry.groove.widthMm / 2);
          return [
            [z, y],
            [front, y + reach],
            [front, y - reach],
          ];
        });
};
