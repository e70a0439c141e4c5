import type { Rect } from '../../base/outlines/index.js';
import { placed, placedRect, rectRound } from '../../base/placing/index.js';
import type { PlacedFront } from './layer.js';

/**
 * The veil that bright light lays over its surroundings in the eye itself. Stiles and Holladay (as in CIE 146:2002):
 * veil (cd/m²) = 10 × illuminance at the eye (lx) / angle² (degrees), from 1° to 30°; nearer than 1° it rises no further
 * here. What lies on the lit part or stands before it takes none: there the eye, used to the light, sees its edges sharp.
 */
export interface Glare {
  readonly area: Rect;
  readonly columns: number;
  readonly rows: number;
  /** Red, green and blue of the veil (cd/m²), row 0 at the bottom. */
  readonly rgb: Float32Array;
}

const perDegree2 = 10;
const degreesPerRadian = 180 / Math.PI;
const perSteradian = perDegree2 / degreesPerRadian ** 2;
const nearestRad = Math.PI / 180;

/** Sources and places on the longer side; enough for what has no edges. */
const sourcesAcross = 28;
const placesAcross = 48;
/** How far round the sign the veil is drawn, as a share of its longer side. */
const reachShare = 1.2;

interface Source {
  readonly at: readonly [number, number];
  /** Luminance × area (cd), by channel. */
  readonly rgb: readonly [number, number, number];
}

/** The light of an assembly gathered into few sources, without what letters hide. */
const sourcesOf = ({ glow, front, placing }: PlacedFront): readonly Source[] => {
  const { grid, luminance, letters } = glow;
  const step = Math.max(1, Math.ceil(Math.max(grid.columns, grid.rows) / sourcesAcross));
  const cellM2 = grid.cellWidthMm * grid.cellHeightMm;
  const sources: Source[] = [];
  for (let row = 0; row < grid.rows; row += step)
    for (let column = 0; column < grid.columns; column += step) {
      const [toRow, toColumn] = [Math.min(grid.rows, row + step), Math.min(grid.columns, column + step)];
      let sum = 0;
      for (let y = row; y < toRow; y += 1)
        for (let x = column; x < toColumn; x += 1) {
          const cell = y * grid.columns + x;
          const hidden = front.covered === 'letters' ? letters[cell]! : 1 - letters[cell]!;
          sum += luminance[cell]! * (1 - hidden);
        }
      const middle: readonly [number, number] = [
        grid.area.x + ((column + toColumn) / 2) * grid.cellWidthMm,
        grid.area.y + ((row + toRow) / 2) * grid.cellHeightMm,
      ];
      const [red, green, blue] = front.seenHue;
      const power = sum * cellM2;
      if (power > 0) sources.push({ at: placed(placing, middle), rgb: [power * red, power * green, power * blue] });
    }
  return sources;
};

/** Fades from 1 in the middle to 0 at the border of an area. */
const window = (share: number): number => {
  const out = Math.abs(2 * share - 1);
  return out < 0.5 ? 1 : 0.5 + 0.5 * Math.cos(Math.PI * Math.min(1, (out - 0.5) * 2));
};

/**
 * The veil round a lit sign seen from a distance (mm). It fades to nothing toward a border that is so far round the sign,
 * as a share of its longer side.
 */
export const glareOf = (assemblies: readonly PlacedFront[], distanceMm: number, share = reachShare): Glare => {
  const sources = assemblies.flatMap(sourcesOf);
  const bounds = rectRound(assemblies.map(({ front, placing }) => placedRect(placing, front.fitted)));
  const reach = share * Math.max(bounds.width, bounds.height);
  const area: Rect = {
    x: bounds.x - reach,
    y: bounds.y - reach,
    width: bounds.width + 2 * reach,
    height: bounds.height + 2 * reach,
  };
  const perMm = placesAcross / Math.max(area.width, area.height);
  const [columns, rows] = [area.width, area.height].map((side) => Math.max(2, Math.round(side * perMm))) as [
    number,
    number,
  ];
  const nearest2 = (distanceMm * Math.tan(nearestRad)) ** 2;
  const rgb = new Float32Array(3 * columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const [u, v] = [(column + 0.5) / columns, (row + 0.5) / rows];
      const [x, y] = [area.x + u * area.width, area.y + v * area.height];
      const faded = perSteradian * window(u) * window(v);
      const at = 3 * (row * columns + column);
      for (const source of sources) {
        const near = faded / ((source.at[0] - x) ** 2 + (source.at[1] - y) ** 2 + nearest2);
        rgb[at] = rgb[at]! + near * source.rgb[0];
        rgb[at + 1] = rgb[at + 1]! + near * source.rgb[1];
        rgb[at + 2] = rgb[at + 2]! + near * source.rgb[2];
      }
    }
  return { area, columns, rows, rgb };
};

/** Adds the veil at a place of the sign (mm) to what is seen there: red, green and blue (cd/m²). */
export const addGlare = ({ area, columns, rows, rgb }: Glare, x: number, y: number, into: Float64Array): void => {
  const u = ((x - area.x) / area.width) * columns - 0.5;
  const v = ((y - area.y) / area.height) * rows - 0.5;
  if (u < 0 || v < 0 || u > columns - 1 || v > rows - 1) return;
  const column = Math.min(columns - 2, u | 0);
  const row = Math.min(rows - 2, v | 0);
  const s = u - column;
  const t = v - row;
  const at = 3 * (row * columns + column);
  const above = at + 3 * columns;
  for (let channel = 0; channel < 3; channel += 1)
    into[channel]! +=
      (1 - t) * ((1 - s) * rgb[at + channel]! + s * rgb[at + 3 + channel]!) +
      t * ((1 - s) * rgb[above + channel]! + s * rgb[above + 3 + channel]!);
};
