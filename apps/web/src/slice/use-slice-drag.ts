import type { DesignChange } from '@vitrum/core';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { changeDesign } from '../document/document-store';
import { useGesture } from '../document/use-gesture';
import type { SliceDrawing } from './slice-drawing';

/** A length that is dragged up and down in the slice. */
export interface SliceDrag {
  readonly drawing: SliceDrawing;
  readonly path: DesignChange[number]['path'];
  /** From the document, not from the evaluation, which may be a step behind quick keys. */
  readonly mm: number;
  /** 1 where down makes it more, −1 where up does. */
  readonly way: 1 | -1;
  readonly stepMm: number;
  /** Kept within its bounds and to its steps. */
  readonly held: (mm: number) => number;
  /** Keeps the scale of the slice while it is dragged; null lets go. */
  readonly hold: (scale: number | null) => void;
  readonly onBegin?: () => void;
}

const keySteps: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

/** Handlers of a handle: a drag is one step of the history, arrow keys move by one step, or ten with Shift; Escape lets go. */
export const useSliceDrag = ({ drawing, path, mm, way, stepMm, held, hold, onBegin }: SliceDrag) => {
  const gesture = useGesture();
  const begun = useRef({ y: 0, mm: 0, scale: 1 });
  const letGo = (how: 'end' | 'cancel'): void => {
    gesture.letGo(how);
    hold(null);
  };
  return {
    onPointerDown: (event: PointerEvent<SVGGElement>): void => {
      event.currentTarget.setPointerCapture(event.pointerId);
      begun.current = { y: event.clientY, mm, scale: drawing.scale };
      onBegin?.();
      gesture.begin();
      hold(drawing.scale);
    },
    onPointerMove: (event: PointerEvent): void => {
      const { y, mm: from, scale } = begun.current;
      gesture.change([{ path, value: held(from + (way * (event.clientY - y)) / scale) }]);
    },
    onPointerUp: () => letGo('end'),
    onPointerCancel: () => letGo('cancel'),
    onKeyDown: (event: KeyboardEvent): void => {
      if (event.key === 'Escape' && gesture.isOpen()) return letGo('cancel');
      const step = keySteps[event.key] ?? 0;
      if (step === 0) return;
      event.preventDefault();
      changeDesign([{ path, value: held(mm + way * step * stepMm * (event.shiftKey ? 10 : 1)) }]);
    },
  };
};
