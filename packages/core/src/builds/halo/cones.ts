import type { Ring } from '../../base/outlines/index.js';
import type { Section } from '../../light/section/index.js';
import type { HaloResults } from './results.js';

/** Half-beam cones of LEDs that face the wall, down to it; none of strip on its side. */
export const haloCones = ({ geometry, assembly }: HaloResults, section: Section, spread: number): readonly Ring[] =>
  assembly.light.standing
    ? []
    : section.shapes
        .filter(({ role }) => role === 'strip')
        .map(({ ring }): Ring => {
          const ys = ring.map(([, y]) => y);
          const y = (Math.min(...ys) + Math.max(...ys)) / 2;
          const reach = geometry.ledZMm * spread;
          return [
            [geometry.ledZMm, y],
            [0, y + reach],
            [0, y - reach],
          ];
        });
