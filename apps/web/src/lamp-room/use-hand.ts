import type { AssemblyEvaluation } from '@vitrum/core';
import { useRef, useState, type PointerEvent, type RefObject, type WheelEvent } from 'react';
import { selectAssembly } from '../document/selection';
import { assemblyAt } from './assembly-at';
import { pinched, toSign, zoomAbout, type FrontView, type HandView, type Pinch, type ScreenPlace } from './front-view';
import type { Measuring } from './measure';

/** A press that moved no farther than this is a click (px). */
const stillPx = 4;

interface Press {
  readonly x: number;
  readonly y: number;
  readonly hand: HandView;
}

/** Two fingers: what lies between them, and how far apart they are; null with fewer or more. */
const twoOf = (fingers: ReadonlyMap<number, ScreenPlace>): Pick<Pinch, 'middle' | 'apartPx'> | null => {
  const [a, b, more] = [...fingers.values()];
  if (a === undefined || b === undefined || more !== undefined) return null;
  return { middle: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], apartPx: Math.hypot(a[0] - b[0], a[1] - b[1]) };
};

interface HandOptions {
  readonly room: RefObject<HTMLElement | null>;
  readonly view: FrontView;
  readonly assemblies: readonly AssemblyEvaluation[];
  readonly hand: HandView;
  readonly setHand: (next: HandView | ((now: HandView) => HandView)) => void;
}

/** What a hand does on the front: it pans, pinches with two fingers, zooms by the wheel, measures while that is on, and chooses by a click. */
export const useHand = ({ room, view, assemblies, hand, setHand }: HandOptions) => {
  const [measuring, setMeasuring] = useState<Measuring | null>(null);
  const press = useRef<Press | null>(null);
  const fingers = useRef(new Map<number, ScreenPlace>());
  const pinch = useRef<Pinch | null>(null);
  const place = (event: { readonly clientX: number; readonly clientY: number }): readonly [number, number] => {
    const box = room.current?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };
  const signAt = (x: number, y: number): readonly [number, number] => toSign(view, x, y);

  const onPointerDown = (event: PointerEvent<SVGSVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = place(event);
    fingers.current.set(event.pointerId, [x, y]);
    const two = twoOf(fingers.current);
    if (two !== null) {
      // A second finger makes a pinch of what was begun with the first.
      pinch.current = { hand, view, ...two };
      press.current = null;
      return;
    }
    press.current = { x, y, hand };
    if (measuring !== null) setMeasuring([signAt(x, y), signAt(x, y)]);
  };
  const onPointerMove = (event: PointerEvent): void => {
    const [x, y] = place(event);
    if (fingers.current.has(event.pointerId)) fingers.current.set(event.pointerId, [x, y]);
    const two = twoOf(fingers.current);
    if (pinch.current !== null && two !== null) return setHand(pinched(pinch.current, two.middle, two.apartPx));
    const from = press.current;
    if (from === null) return;
    if (measuring?.[0] !== undefined) setMeasuring([measuring[0], signAt(x, y)]);
    else setHand({ ...from.hand, shiftX: from.hand.shiftX + x - from.x, shiftY: from.hand.shiftY + y - from.y });
  };
  const lift = ({ pointerId }: PointerEvent): void => {
    fingers.current.delete(pointerId);
    pinch.current = null;
    press.current = null;
  };
  const onPointerUp = (event: PointerEvent): void => {
    const from = press.current;
    lift(event);
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
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: lift },
  };
};
