import type { AssemblyEvaluation } from '@vitrum/core';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useView } from '../view/view-store';
import { toSign, toScreen, type FrontView } from './front-view';

interface SliceLineProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
}

const stepMm = 5;

/** Where the slice below is taken; dragged, or moved by arrow keys. */
export const SliceLine = ({ own, view }: SliceLineProps) => {
  const asked = useView((state) => state.sliceXMm) ?? own.section.atXMm;
  const drag = useRef(false);
  const half = own.glow.grid.area.width / 2;
  const held = (mm: number): number => Math.min(half, Math.max(-half, mm));
  const x = held(asked);
  const [sx, top] = toScreen(view, x, own.geometry.outside.heightMm / 2);
  const [, bottom] = toScreen(view, x, -own.geometry.outside.heightMm / 2);
  const move = (mm: number): void => void useView.setState({ sliceXMm: held(mm) });
  const onKeyDown = (event: KeyboardEvent): void => {
    const step = event.key === 'ArrowRight' ? stepMm : event.key === 'ArrowLeft' ? -stepMm : 0;
    if (step === 0) return;
    event.preventDefault();
    move(x + step);
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>): void => {
    if (!drag.current) return;
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    move(toSign(view, event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0))[0]);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Where the slice is taken"
      aria-orientation="horizontal"
      aria-valuemin={Math.round(-half)}
      aria-valuemax={Math.round(half)}
      aria-valuenow={Math.round(x)}
      aria-valuetext={`${Math.round(x)} mm from the middle`}
      className="cursor-ew-resize"
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = true;
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => (drag.current = false)}
      onPointerCancel={() => (drag.current = false)}
    >
      <line x1={sx} y1={top - 26} x2={sx} y2={bottom + 10} stroke="transparent" strokeWidth={16} />
      <line x1={sx} y1={top - 26} x2={sx} y2={bottom + 10} stroke="#000" strokeOpacity={0.5} strokeWidth={3} />
      <line x1={sx} y1={top - 26} x2={sx} y2={bottom + 10} stroke="#ffb347" strokeWidth={1.3} strokeDasharray="5 4" />
      <text
        x={sx + 6}
        y={top - 15}
        fontSize={13}
        fill="#ffb347"
        stroke="#000"
        strokeWidth={2.5}
        paintOrder="stroke"
        className="figure"
      >
        slice
      </text>
    </g>
  );
};
