import { boxFront } from '../boxes/front.js';
import type { Front } from '../common/front.js';
import type { LayersResults } from './results.js';

/** What is seen of a scene: the case round its opening, and in it the sheets, which the map of light shows. */
export const layersFront = (results: LayersResults): Front => {
  const front = boxFront(results);
  return {
    ...front,
    cover: { passes: [1, 1, 1], reflects: [0, 0, 0] },
    shapes: front.shapes
      .filter(({ id }) => id !== 'letters')
      .map((shape) => (shape.id === 'rim' ? { ...shape, paint: front.shapes[0]!.paint } : shape)),
  };
};
