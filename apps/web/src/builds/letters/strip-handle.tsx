import type { LetterAssembly, Segment } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../../document/document-store';
import { toScreen, type FrontView, type Place } from '../../lamp-room/front-view';
import { useFields, useSelection } from '../../document/selection';
import { alongSegment, letLie, movedNow, pushAlong, pushOf, useMoved, type Held } from './strip-edits';
import { useDrag } from '../../lamp-room/use-drag';

interface StripHandleProps {
  /** The segment whose path it is dragged along. */
  readonly segment: Segment;
  /** The module that is dragged; the whole segment, by its start, when left out. */
  readonly module?: number;
  /** Where it stands now, and how far along its path that is. */
  readonly at: Place;
  readonly alongMm: number;
  readonly view: FrontView;
}

const steps: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 };

/**
 * The start of a segment, or one module: dragged along its path it is held there (square), and the rest is solved round it.
 * Arrow keys do the same; Delete lets it go.
 */
export const StripHandle = ({ segment, module, at, alongMm, view }: StripHandleProps) => {
  const field = useFields<LetterAssembly>().light.moved;
  const held: Held = module === undefined ? { segment: segment.number } : { segment: segment.number, module };
  const pushed = pushOf(useMoved(), held);
  const now = () => movedNow(useDocument.getState().design, useSelection.getState().assemblyId);
  const drag = useDrag(view, () => {
    const moved = now();
    const from = pushOf(moved, held) ?? 0;
    return (to) => pushAlong(field, moved, held, from + alongSegment(segment, to) - alongMm);
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    const moved = now();
    if (event.key === 'Delete' || event.key === 'Backspace') return void changeDesign(letLie(field, moved, held));
    const way = steps[event.key];
    if (way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    changeDesign(pushAlong(field, moved, held, (pushed ?? 0) + way * (event.shiftKey ? 10 : 1)));
  };
  const [x, y] = toScreen(view, at[0], at[1]);
  const size = module === undefined ? 5 : 3.5;
  const name =
    module === undefined ? `Start of segment ${segment.number}` : `Module ${module} of segment ${segment.number}`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(pushed ?? 0)}
      aria-valuetext={pushed === null ? 'as solved' : `held, pushed ${pushed} mm`}
      className="cursor-grab touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={2.4 * size} fill="transparent" stroke="none" />
      {pushed === null ? (
        <circle cx={x} cy={y} r={0.9 * size} fill="#ffd27a" stroke="#1a1c21" />
      ) : (
        <rect
          x={x - size}
          y={y - size}
          width={2 * size}
          height={2 * size}
          fill="#ffd27a"
          stroke="#1a1c21"
          strokeWidth={1.5}
        />
      )}
    </g>
  );
};
