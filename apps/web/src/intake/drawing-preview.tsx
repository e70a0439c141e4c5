import type { Point, TakenDrawing } from '@vitrum/core';
import { useRef, type PointerEvent } from 'react';

const pathOf = (lines: TakenDrawing['open'], closed: boolean): string =>
  lines.map((points) => `M${points.map(([x, y]) => `${x} ${-y}`).join('L')}${closed ? 'Z' : ''}`).join('');

interface DrawingPreviewProps {
  readonly drawing: TakenDrawing;
  readonly marks: readonly Point[];
  readonly onMark: (at: Point) => void;
}

/** The drawing as it will be cut; a click marks an end of the known length. */
export const DrawingPreview = ({ drawing, marks, onMark }: DrawingPreviewProps) => {
  const sheet = useRef<SVGSVGElement>(null);
  const points = [...drawing.outline.flat(), ...drawing.open.flat()];
  const [left, low, right, high] = points.reduce(
    ([a, b, c, d], [x, y]) => [Math.min(a, x), Math.min(b, y), Math.max(c, x), Math.max(d, y)],
    [Infinity, Infinity, -Infinity, -Infinity],
  );
  const size = Math.max(right - left, high - low, 1e-3);
  const room = size * 0.04;
  const mark = (event: PointerEvent): void => {
    const matrix = sheet.current?.getScreenCTM()?.inverse();
    if (matrix === undefined) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    onMark([x, -y]);
  };
  return (
    <svg
      ref={sheet}
      role="img"
      aria-label={`The drawing: ${drawing.outline.length} outlines, ${drawing.open.length} lines left open`}
      viewBox={`${left - room} ${-high - room} ${right - left + 2 * room} ${high - low + 2 * room}`}
      className="h-60 w-full cursor-crosshair border border-line bg-white"
      onPointerDown={mark}
    >
      <path d={pathOf(drawing.outline, true)} fill="#1a1c21" fillRule="nonzero" />
      <path
        d={pathOf(drawing.open, false)}
        fill="none"
        stroke="#c2410c"
        strokeWidth={size / 200}
        strokeDasharray={`${size / 60} ${size / 90}`}
      />
      {marks.length === 2 && <path d={pathOf([marks], false)} stroke="#b45309" strokeWidth={size / 250} fill="none" />}
      {marks.map(([x, y]) => (
        <circle
          key={`${x},${y}`}
          cx={x}
          cy={-y}
          r={size / 90}
          fill="#ffd27a"
          stroke="#1a1c21"
          strokeWidth={size / 400}
        />
      ))}
    </svg>
  );
};
