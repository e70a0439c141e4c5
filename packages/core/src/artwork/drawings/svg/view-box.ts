import type { Affine, Ring } from '../../../base/outlines/index.js';
import type { Viewport } from './shape-paths.js';
import { lengthIn } from './units.js';

interface Attributes {
  readonly [key: string]: string;
}

/** A view box that is one. */
const boxIn = (
  attributes: Attributes,
): { readonly left: number; readonly top: number; readonly width: number; readonly height: number } | null => {
  const box = (attributes['viewBox'] ?? '')
    .trim()
    .slice(0, 200)
    .split(/[\s,]+/)
    .map(Number);
  const [left, top, width, height] = box as [number, number, number, number];
  return box.length !== 4 || !box.every(Number.isFinite) || width <= 0 || height <= 0
    ? null
    : { left, top, width, height };
};

/** What percentages within an svg element or a symbol are of: its view box, else its size, else what is around it. */
export const viewportOf = (attributes: Attributes, around: Viewport): Viewport => {
  const box = boxIn(attributes);
  if (box !== null) return { width: box.width, height: box.height };
  return {
    width: lengthIn(attributes['width'], around.width) ?? around.width,
    height: lengthIn(attributes['height'], around.height) ?? around.height,
  };
};

/** The corners of what is seen of an svg element or a symbol, in the units of what is around it. */
export const frameRing = (attributes: Attributes, around: Viewport): Ring => {
  const [x, y] = [lengthIn(attributes['x'], around.width) ?? 0, lengthIn(attributes['y'], around.height) ?? 0];
  const [width, height] = [
    lengthIn(attributes['width'], around.width) ?? around.width,
    lengthIn(attributes['height'], around.height) ?? around.height,
  ];
  return [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ];
};

/**
 * From what is inside an svg element to what is around it (W3C, SVG 1.1, 7.7 and 7.8): its view box fitted into its width
 * and height, in the middle unless told otherwise.
 */
export const viewBoxMap = (attributes: Attributes, around: Viewport | null = null): Affine => {
  const [wide, high] = [around?.width ?? null, around?.height ?? null];
  const [x, y] = [lengthIn(attributes['x'], wide) ?? 0, lengthIn(attributes['y'], high) ?? 0];
  const box = boxIn(attributes);
  if (box === null) return [1, 0, 0, 1, x, y];
  const { left, top, width, height } = box;
  const [w, h] = [lengthIn(attributes['width'], wide), lengthIn(attributes['height'], high)];
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
