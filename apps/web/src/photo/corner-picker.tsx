import type { Corners, PicturePoint } from '@vitrum/core';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { arrowStep, pictureAt } from './picture-place';

const names = ['Upper left', 'Upper right', 'Lower right', 'Lower left'] as const;

interface CornerPickerProps {
  /** Where the photograph is shown from. */
  readonly address: string;
  readonly width: number;
  readonly height: number;
  readonly corners: Corners;
  readonly onChange: (corners: Corners) => void;
  /** What is drawn over the photograph, under the corners, in its pixels. */
  readonly children?: ReactNode;
}

/** A photograph with four corners to be laid onto those of the face, by pointer or by arrow keys. */
export const CornerPicker = ({ address, width, height, corners, onChange, children }: CornerPickerProps) => {
  const frame = useRef<SVGSVGElement>(null);
  const put = (which: number, [x, y]: PicturePoint): void => {
    const held: PicturePoint = [Math.min(width, Math.max(0, x)), Math.min(height, Math.max(0, y))];
    onChange(corners.map((corner, at) => (at === which ? held : corner)) as unknown as Corners);
  };
  const drag =
    (which: number) =>
    (event: PointerEvent<SVGCircleElement>): void => {
      if (event.buttons === 0 || frame.current === null) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      put(which, pictureAt(frame.current, event));
    };
  const step =
    (which: number) =>
    (event: KeyboardEvent): void => {
      const move = arrowStep(event);
      if (move === null) return;
      event.preventDefault();
      const [x, y] = corners[which]!;
      put(which, [x + move[0], y + move[1]]);
    };
  const radius = Math.max(width, height) / 55;
  return (
    <svg
      ref={frame}
      viewBox={`0 0 ${width} ${height}`}
      className="block max-h-[46vh] w-full touch-none border border-line bg-ink"
    >
      <image href={address} width={width} height={height} />
      <polygon
        points={corners.map((corner) => corner.join(',')).join(' ')}
        fill="none"
        stroke="var(--color-lamp)"
        strokeWidth={radius / 5}
      />
      {children}
      {corners.map(([x, y], which) => (
        <circle
          key={names[which]}
          role="slider"
          tabIndex={0}
          aria-label={`${names[which]} corner`}
          aria-valuenow={Math.round(x)}
          aria-valuetext={`${Math.round(x)}, ${Math.round(y)} pixels`}
          cx={x}
          cy={y}
          r={radius}
          fill="var(--color-lamp)"
          fillOpacity={0.35}
          stroke="var(--color-lamp)"
          strokeWidth={radius / 5}
          className="cursor-move"
          onPointerDown={drag(which)}
          onPointerMove={drag(which)}
          onKeyDown={step(which)}
        />
      ))}
    </svg>
  );
};
