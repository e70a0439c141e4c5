import { cellMiddle, type Grid } from '../../base/raster/index.js';
import { luminanceOf, type LinearRgb } from '../../light/glow/index.js';
import type { SceneLight, ScenePlane } from '../../light/layers/index.js';

/** What a picture of a scene is put together from. */
export interface Composing {
  readonly planes: readonly ScenePlane[];
  readonly grid: Grid;
  readonly lit: SceneLight;
  /** What each plane gives back; where it is printed, by its place. */
  readonly colours: readonly LinearRgb[];
  readonly prints: readonly (((place: readonly [number, number]) => LinearRgb) | null)[];
  readonly backRgb: LinearRgb;
  /** Of the light, at luminance 1. */
  readonly hue: LinearRgb;
  /** What the clear front passes. */
  readonly glazing: number;
}

/** What is seen of one plane, summed over the cells in which it is. */
export interface SeenSum {
  cells: number;
  cdM2: number;
  lux: number;
  x: number;
  y: number;
}

/** A scene as it is seen from the front. */
export interface Composed {
  readonly luminance: Float32Array;
  /** By cell, what the hue of the light is multiplied by; and how it looks unlit. */
  readonly factors: Float32Array;
  readonly unlit: Float32Array;
  /** By cell, the plane of which most is seen; the back: −1. */
  readonly top: Int16Array;
  /** The back first. */
  readonly sums: readonly SeenSum[];
}

/** Less than this of a cell is left open: nothing behind shows. */
const hidden = 0.004;

/** What is seen of each plane from the front, the foremost first, each as far as nothing covers it. */
export const composed = ({ planes, grid, lit, colours, prints, backRgb, hue, glazing }: Composing): Composed => {
  const count = grid.columns * grid.rows;
  const luminance = new Float32Array(count);
  const factors = new Float32Array(3 * count);
  const unlit = new Float32Array(3 * count);
  const top = new Int16Array(count).fill(-1);
  const sums = Array.from({ length: planes.length + 1 }, (): SeenSum => ({ cells: 0, cdM2: 0, lux: 0, x: 0, y: 0 }));
  const hueLuminances = [
    luminanceOf([hue[0], 0, 0]),
    luminanceOf([0, hue[1], 0]),
    luminanceOf([0, 0, hue[2]]),
  ] as const;
  // Where the cells of the picture lie on the raster of light.
  const coarse = lit.grid;
  const across = Array.from({ length: grid.columns }, (_, at) => (at + 0.5) * (coarse.columns / grid.columns) - 0.5);
  const up = Array.from({ length: grid.rows }, (_, at) => (at + 0.5) * (coarse.rows / grid.rows) - 0.5);
  for (let row = 0; row < grid.rows; row += 1) {
    const v = Math.max(0, Math.min(coarse.rows - 1.001, up[row]!));
    const j = v | 0;
    const t = v - j;
    for (let column = 0; column < grid.columns; column += 1) {
      const at = row * grid.columns + column;
      const u = Math.max(0, Math.min(coarse.columns - 1.001, across[column]!));
      const i = u | 0;
      const s = u - i;
      const from = j * coarse.columns + i;
      const read = (map: Float32Array): number =>
        (1 - t) * ((1 - s) * map[from]! + s * map[from + 1]!) +
        t * ((1 - s) * map[from + coarse.columns]! + s * map[from + coarse.columns + 1]!);
      let [red, green, blue, dayRed, dayGreen, dayBlue] = [0, 0, 0, 0, 0, 0];
      let open = 1;
      let most = 0;
      for (let plane = planes.length - 1; plane >= -1 && open > hidden; plane -= 1) {
        const own = plane < 0 ? null : planes[plane]!;
        const solid = own === null ? 1 : own.solid[at]!;
        if (solid <= 0) continue;
        const part = open * solid;
        const print = plane < 0 ? null : prints[plane]!;
        const rgb = plane < 0 ? backRgb : print === null ? colours[plane]! : print(cellMiddle(grid, at));
        const lux = read(own === null ? lit.back : lit.planes[plane]!.front);
        const through = own === null || own.passes === 0 ? 0 : own.passes * read(lit.planes[plane]!.rear);
        const [r, g, b] = [rgb[0] * lux + through, rgb[1] * lux + through, rgb[2] * lux + through];
        red += part * r;
        green += part * g;
        blue += part * b;
        dayRed += part * rgb[0];
        dayGreen += part * rgb[1];
        dayBlue += part * rgb[2];
        const sum = sums[plane + 1]!;
        sum.cells += part;
        sum.cdM2 += (part * glazing * (r * hueLuminances[0] + g * hueLuminances[1] + b * hueLuminances[2])) / Math.PI;
        sum.lux += part * lux;
        sum.x += part * column;
        sum.y += part * row;
        if (part > most) {
          most = part;
          top[at] = plane;
        }
        open *= 1 - solid;
      }
      const value = luminanceOf([red * hue[0], green * hue[1], blue * hue[2]]) / Math.PI;
      luminance[at] = value * glazing;
      const scale = value > 1e-9 ? 1 / (value * Math.PI) : 0;
      factors[3 * at] = scale > 0 ? red * scale : 1;
      factors[3 * at + 1] = scale > 0 ? green * scale : 1;
      factors[3 * at + 2] = scale > 0 ? blue * scale : 1;
      unlit[3 * at] = dayRed;
      unlit[3 * at + 1] = dayGreen;
      unlit[3 * at + 2] = dayBlue;
    }
  }
  // From cells to millimetres.
  for (const sum of sums) {
    sum.x = (sum.x + 0.5 * sum.cells) * grid.cellWidthMm + sum.cells * grid.area.x;
    sum.y = (sum.y + 0.5 * sum.cells) * grid.cellHeightMm + sum.cells * grid.area.y;
  }
  return { luminance, factors, unlit, top, sums };
};
