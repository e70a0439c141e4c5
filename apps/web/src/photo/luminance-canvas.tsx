import type { ComparedPhoto } from '@vitrum/core';
import { useEffect, useRef } from 'react';

interface LuminanceCanvasProps {
  readonly label: string;
  readonly grid: ComparedPhoto['grid'];
  /** Over the mean; 0 is left out. */
  readonly map: Float32Array;
  /** What is white. */
  readonly top: number;
}

/** A map of luminance over its mean in shades of grey, the same for every map of the same `top`. */
export const LuminanceCanvas = ({ label, grid, map, top }: LuminanceCanvasProps) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const { columns, rows } = grid;
    const image = context.createImageData(columns, rows);
    map.forEach((value, cell) => {
      const [row, column] = [rows - 1 - Math.floor(cell / columns), cell % columns];
      const shade = value === 0 ? 20 : Math.round(255 * Math.min(1, value / top) ** 0.4545);
      image.data.set([shade, shade, value === 0 ? 40 : shade, 255], 4 * (row * columns + column));
    });
    context.putImageData(image, 0, 0);
  }, [grid, map, top]);
  return (
    <figure className="min-w-0 flex-1">
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        width={grid.columns}
        height={grid.rows}
        className="w-full border border-line"
      />
      <figcaption className="text-[13px] text-soft">{label}</figcaption>
    </figure>
  );
};
