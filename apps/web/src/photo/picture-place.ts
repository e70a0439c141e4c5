import type { PicturePoint } from '@vitrum/core';
import type { KeyboardEvent, PointerEvent } from 'react';

/** Where in a picture a pointer is (px): the picture stands in the middle of its frame, with bars beside it. */
export const pictureAt = (frame: SVGSVGElement, { clientX, clientY }: PointerEvent): PicturePoint => {
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(frame.getScreenCTM()?.inverse());
  return [x, y];
};

/** By how much an arrow key moves something, ten times as far with Shift; null for another key. */
export const arrowStep = ({ key, shiftKey }: KeyboardEvent): PicturePoint | null => {
  const by = shiftKey ? 10 : 1;
  const moves: Readonly<Record<string, PicturePoint>> = {
    ArrowLeft: [-by, 0],
    ArrowRight: [by, 0],
    ArrowUp: [0, -by],
    ArrowDown: [0, by],
  };
  return moves[key] ?? null;
};
