import type { DesignChange } from '@vitrum/core';
import { useRef, type KeyboardEvent } from 'react';
import { changeDesign } from '../document/document-store';
import { freePin, isNear, pinAt, pinTo, type Pin, type PinsField } from '../document/pins';
import { arrowWay } from './arrow-way';
import { toScreen, type FrontView, type Place } from './front-view';
import { useDrag } from './use-drag';

interface PinHandleProps {
  /** What it is: “Post 3”. */
  readonly name: string;
  readonly testId: string;
  readonly number: number;
  readonly at: Place;
  readonly radiusPx: number;
  readonly view: FrontView;
  readonly field: PinsField;
  readonly pins: readonly Pin[];
  /** The pins of the design as it is when a drag begins. */
  readonly pinsNow: () => readonly Pin[];
  /** Whether there is room for its number. */
  readonly numbered: boolean;
  readonly colour: string;
}

/** Something that Vitrum places: dragged or moved by arrow keys it stays where it is put (square); Delete lets Vitrum place it again. */
export const PinHandle = ({
  name,
  testId,
  number,
  at,
  radiusPx,
  view,
  field,
  pins,
  pinsNow,
  numbered,
  colour,
}: PinHandleProps) => {
  const pinned = pinAt(pins, at) >= 0;
  // Edits may come faster than the sign is worked out, which then shows a place that was left since.
  const trail = useRef<readonly Place[]>([]);
  /** Where it stands by the design. */
  const stands = (): Place => {
    const last = trail.current.at(-1);
    const wasLeft = trail.current.slice(0, -1).some((place) => isNear(place, at));
    if (wasLeft && last !== undefined && pinAt(pinsNow(), last) >= 0) return last;
    trail.current = [at];
    return at;
  };
  const moved = (from: Place, to: Place, pinsBefore: readonly Pin[]): DesignChange => {
    trail.current = [...trail.current, to];
    return pinTo(field, pinsBefore, from, to);
  };
  const drag = useDrag(view, () => {
    const [from, before] = [stands(), pinsNow()];
    return (to) => moved(from, to, before);
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    if (event.key === 'Delete' || event.key === 'Backspace')
      return void changeDesign(freePin(field, pinsNow(), stands()));
    const by = arrowWay(event);
    if (by === null) return;
    event.preventDefault();
    event.stopPropagation();
    const from = stands();
    changeDesign(moved(from, [from[0] + by[0], from[1] + by[1]], pinsNow()));
  };
  const [x, y] = toScreen(view, ...at);
  const where = at.map((mm) => Math.round(mm)).join(', ');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name} at ${where} mm, ${pinned ? 'held by hand' : 'as solved'}`}
      data-testid={testId}
      className="cursor-move touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={Math.max(13, radiusPx)} fill="transparent" />
      {pinned && (
        <rect
          x={x - radiusPx - 4}
          y={y - radiusPx - 4}
          width={2 * radiusPx + 8}
          height={2 * radiusPx + 8}
          fill="none"
          stroke={colour}
          strokeWidth={1.5}
        />
      )}
      <circle cx={x} cy={y} r={radiusPx} fill={colour} stroke="#10212c" strokeWidth={1.5} />
      {numbered && (
        <text
          x={x + radiusPx + 6}
          y={y - 5}
          fontSize={12}
          className="figure"
          fill={colour}
          stroke="#10212c"
          strokeWidth={2.5}
          paintOrder="stroke"
        >
          {number}
        </text>
      )}
    </g>
  );
};
