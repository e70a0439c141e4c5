import type { Segment } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../document/document-store';
import { toScreen, type FrontView } from './front-view';
import { alongPiece, freePiece, movedOf, pushPiece } from './halo-edits';
import { useDrag } from './use-drag';

interface StripHandleProps {
  readonly segment: Segment;
  readonly view: FrontView;
}

/**
 * The start of a piece: dragged along its path it is held there (square), and the rest is solved round it. Arrow keys do
 * the same; Delete lets it go.
 */
export const StripHandle = ({ segment, view }: StripHandleProps) => {
  const { number } = segment;
  const held = useDocument(({ design }) => movedOf(design).find(({ piece }) => piece === number)?.alongMm ?? null);
  const drag = useDrag(view, () => {
    const moved = movedOf(useDocument.getState().design);
    const from = moved.find(({ piece }) => piece === number)?.alongMm ?? 0;
    return (at) => pushPiece(moved, number, from + alongPiece(segment, at));
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    const moved = movedOf(useDocument.getState().design);
    if (event.key === 'Delete' || event.key === 'Backspace') return void changeDesign(freePiece(moved, number));
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    changeDesign(pushPiece(moved, number, (held ?? 0) + way * (event.shiftKey ? 10 : 1)));
  };
  const [x, y] = toScreen(view, segment.from[0], segment.from[1]);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Start of piece ${number}`}
      aria-valuenow={Math.round(held ?? 0)}
      aria-valuetext={held === null ? 'as solved' : `held, pushed ${held} mm`}
      className="cursor-grab touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={12} fill="transparent" stroke="none" />
      {held === null ? (
        <circle cx={x} cy={y} r={4.5} fill="#ffd27a" stroke="#1a1c21" />
      ) : (
        <rect x={x - 5} y={y - 5} width={10} height={10} fill="#ffd27a" stroke="#1a1c21" strokeWidth={1.5} />
      )}
    </g>
  );
};
