import { cellMiddle } from '../../base/raster/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { luminanceOf, type BoxGlow, type LinearRgb } from '../../light/glow/index.js';
import { passedAt, type Picture } from '../common/picture.js';

/** The light of a face through a printed picture: its luminance, its hues, and how it looks unlit. What is judged stays the light behind it. */
export const throughPicture = (glow: BoxGlow, picture: Picture, face: CaseGeometry['face']): BoxGlow => {
  const { grid, luminance, hue } = glow;
  const shown = new Float32Array(luminance.length);
  const factors = new Float32Array(3 * luminance.length);
  const unlit = new Float32Array(3 * luminance.length);
  for (let cell = 0; cell < luminance.length; cell += 1) {
    const passes = passedAt(picture, face, cellMiddle(grid, cell));
    const given: LinearRgb = [passes[0] * hue[0], passes[1] * hue[1], passes[2] * hue[2]];
    const share = luminanceOf(given);
    shown[cell] = luminance[cell]! * share;
    for (let part = 0; part < 3; part += 1) {
      factors[3 * cell + part] = share > 0 ? passes[part]! / share : 1;
      // By day light goes through the ink, off what is behind, and through it again.
      unlit[3 * cell + part] = passes[part]! ** 2;
    }
  }
  return {
    ...glow,
    luminance: shown,
    drift: { columns: grid.columns, rows: grid.rows, factors },
    unlitTint: unlit,
  };
};
