import type { Affine } from '../../../base/outlines/index.js';
import { lengthIn } from './units.js';

interface Attributes {
  readonly [key: string]: string;
}

/**
 * From what is inside an svg element to what is around it (W3C, SVG 1.1, 7.7 and 7.8): its view box fitted into its width
 * and height, in the middle unless told otherwise.
 */
export const viewBoxMap = (attributes: Attributes): Affine => {
  const [x, y] = [lengthIn(attributes['x']) ?? 0, lengthIn(attributes['y']) ?? 0];
  const box = (attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [left, top, width, height] = box as [number, number, number, number];
  if (box.length !== 4 || !box.every(Number.isFinite) || width <= 0 || height <= 0) return [1, 0, 0, 1, x, y];
  const [w, h] = [lengthIn(attributes['width']), lengthIn(attributes['height'])];
  const [scaleX, scaleY] = [
    (w ?? (h === null ? width : (h * width) / height)) / width,
    (h ?? (w === null ? height : (w * height) / width)) / height,
  ];
  const fit = attributes['preserveAspectRatio'] ?? 'xMidYMid meet';
  if (fit.includes('none')) return [scaleX, 0, 0, scaleY, x - left * scaleX, y - top * scaleY];
  const scale = fit.includes('slice') ? Math.max(scaleX, scaleY) : Math.min(scaleX, scaleY);
  const share = (axis: 'x' | 'Y'): number => {
    if (fit.includes(`${axis}Min`)) return 0;
    return fit.includes(`${axis}Max`) ? 1 : 0.5;
  };
  const spareX = width * (scaleX - scale) * share('x');
  const spareY = height * (scaleY - scale) * share('Y');
  return [scale, 0, 0, scale, x - left * scale + spareX, y - top * scale + spareY];
};
