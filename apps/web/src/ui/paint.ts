import type { Picture } from '@vitrum/core';

/** Puts a picture on a canvas, which takes its size. */
export const paint = (canvas: HTMLCanvasElement | null, { width, height, data }: Picture): void => {
  const context = canvas?.getContext('2d');
  if (!canvas || !context) return;
  canvas.width = width;
  canvas.height = height;
  context.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
};
