import type { KeyboardEvent } from 'react';
import type { Place } from './front-view';

/** Where an arrow key moves what is held on the front: by 1 mm, or by 10 with Shift; null for any other key. */
export const arrowWay = ({ key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>): Place | null => {
  const step = shiftKey ? 10 : 1;
  const ways: Readonly<Record<string, Place>> = {
    ArrowRight: [step, 0],
    ArrowLeft: [-step, 0],
    ArrowUp: [0, step],
    ArrowDown: [0, -step],
  };
  return ways[key] ?? null;
};
