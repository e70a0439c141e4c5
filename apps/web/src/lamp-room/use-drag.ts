import type { DesignChange } from '@vitrum/core';
import { useRef, type PointerEvent } from 'react';
import { beginGesture } from '../document/document-store';
import { toSign, type FrontView, type Place } from './front-view';

/** Where on the sign a pointer is. */
const signAt = (event: PointerEvent<SVGElement>, view: FrontView): Place => {
  const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
  return toSign(view, event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0));
};

/** A drag of something on the front: one step of undo; `begin` looks at the design once and answers with what a place means. */
export const useDrag = (view: FrontView, begin: () => (at: Place) => DesignChange) => {
  const drag = useRef<{
    readonly gesture: ReturnType<typeof beginGesture>;
    readonly change: (at: Place) => DesignChange;
  } | null>(null);
  const letGo = (how: 'end' | 'cancel'): void => {
    drag.current?.gesture[how]();
    drag.current = null;
  };
  return {
    cancel: () => letGo('cancel'),
    dragging: () => drag.current !== null,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGElement>): void => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { gesture: beginGesture(), change: begin() };
      },
      onPointerMove: (event: PointerEvent<SVGElement>): void => {
        if (drag.current !== null) drag.current.gesture.change(drag.current.change(signAt(event, view)));
      },
      onPointerUp: () => letGo('end'),
      onPointerCancel: () => letGo('cancel'),
    },
  };
};
