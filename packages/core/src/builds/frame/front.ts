import { boxFront } from '../boxes/front.js';
import type { Front } from '../common/front.js';
import type { FrameResults } from './results.js';

/** What is seen of a frame: a mirror that is laid on is mirror up to its edges, and shines where its silver is off alone. */
export const frameFront = (results: FrameResults): Front => {
  const front = boxFront(results);
  return results.materials.mirror === null
    ? front
    : {
        ...front,
        profile: 'letters',
        shapes: front.shapes.map((shape) =>
          shape.id === 'rim' ? { ...shape, paint: front.cover, beside: false } : shape,
        ),
      };
};
