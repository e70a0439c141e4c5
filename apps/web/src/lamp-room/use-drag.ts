import type { DesignChange } from '@vitrum/core';
import { useRef, type PointerEvent } from 'react';
import { useGesture } from '../document/use-gesture';
import { toSign, type FrontView, type Place } from './front-view';

/** Where on the sign a pointer is. */
const signAt = (event: PointerEvent<SVGElement>, view: FrontView): Place => {
  const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
  return toSign(view, event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0));
};

/** A drag of something on the front: one step of undo; `begin` looks at the design once and answers with what a place means. */
export const useDrag = (view: FrontView, begin: () => (at: Place) => DesignChange) => {
  const gesture = useGesture();
  const meaning = useRef<(at: Place) => DesignChange>(() => []);
  return {
    cancel: () => gesture.letGo('cancel'),
    dragging: gesture.isOpen,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGElement>): void => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        meaning.current = begin();
        gesture.begin();
      },
      onPointerMove: (event: PointerEvent<SVGElement>): void => {
        if (gesture.isOpen()) gesture.change(meaning.current(signAt(event, view)));
      },
      onPointerUp: () => gesture.letGo('end'),
      onPointerCancel: () => gesture.letGo('cancel'),
    },
  };
};
