import type { Corners, PicturePoint, WallSetup } from '@vitrum/core';

/** Where corners and sign stand before anything is laid onto a photograph so large: in its middle. */
export const setupFor = ({ width, height }: { readonly width: number; readonly height: number }): WallSetup => {
  const at = (u: number, v: number): PicturePoint => [Math.round(u * width), Math.round(v * height)];
  const corners: Corners = [at(0.3, 0.3), at(0.7, 0.3), at(0.7, 0.7), at(0.3, 0.7)];
  const widthMm = 2000;
  return { corners, widthMm, middleMm: [widthMm / 2, ((0.2 * height) / (0.4 * width)) * widthMm], taken: 'day' };
};
