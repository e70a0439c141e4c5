import type { AssemblyEvaluation } from '@vitrum/core';
import { useRef, useState, type PointerEvent, type RefObject, type WheelEvent } from 'react';
import { selectAssembly } from '../document/selection';
import { assemblyAt } from './assembly-at';
import { toSign, zoomAbout, type FrontView, type HandView } from './front-view';
import type { Measuring } from './measure';

/** A press that moved no farther than this is a click (px). */
const stillPx = 4;

interface Press {
  readonly x: number;
  readonly y: number;
  readonly hand: HandView;
}

interface HandOptions {
  readonly room: RefObject<HTMLElement | null>;
  readonly view: FrontView;
  readonly assemblies: readonly AssemblyEvaluation[];
  readonly hand: HandView;
  readonly setHand: (next: HandView | ((now: HandView) => HandView)) => void;
}

/** What a hand does on the front: it pans, zooms by the wheel, measures while that is on, and chooses by a click. */
export const useHand = ({ room, view, assemblies, hand, setHand }: HandOptions) => {
  const [measuring, setMeasuring] = useState<Measuring | null>(null);
  const press = useRef<Press | null>(null);
  const place = (event: { readonly clientX: number; readonly clientY: number }): readonly [number, number] => {
    const box = room.current?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };
  const signAt = (x: number, y: number): readonly [number, number] => toSign(view, x, y);

  const onPointerDown = (event: PointerEvent<SVGSVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = place(event);
    press.current = { x, y, hand };
    if (measuring !== null) setMeasuring([signAt(x, y), signAt(x, y)]);
  };
  const onPointerMove = (event: PointerEvent): void => {
    const from = press.current;
    if (from === null) return;
    const [x, y] = place(event);
    if (measuring?.[0] !== undefined) setMeasuring([measuring[0], signAt(x, y)]);
    else setHand({ ...from.hand, shiftX: from.hand.shiftX + x - from.x, shiftY: from.hand.shiftY + y - from.y });
  };
  const onPointerUp = (event: PointerEvent): void => {
    const from = press.current;
    press.current = null;
    const [x, y] = place(event);
    if (from === null || measuring !== null || Math.hypot(x - from.x, y - from.y) > stillPx) return;
    const found = assemblyAt(assemblies, signAt(x, y));
    if (found !== null) selectAssembly(found.id);
  };

  return {
    measuring,
    toggleMeasuring: () => setMeasuring(measuring === null ? [] : null),
    zoom: (factor: number, x: number, y: number): void => setHand((now) => zoomAbout(now, view, factor, x, y)),
    onWheel: (event: WheelEvent): void => {
      const [x, y] = place(event);
      setHand((now) => zoomAbout(now, view, event.deltaY < 0 ? 1.15 : 1 / 1.15, x, y));
    },
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: () => void (press.current = null) },
  };
};
