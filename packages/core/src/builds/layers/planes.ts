import { coverage, type Outline } from '../../base/outlines/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { linearOf, luminanceOf, type GridLimits } from '../../light/glow/index.js';
import { layNet, type LayeredScene, type Net } from '../../light/layers/index.js';
import { sceneLimits } from './scene-limits.js';
import type { SheetStock } from '../common/sheet-stock.js';
import { reflectsOf, type LayersMaterials } from './materials.js';
import type { Scene } from './scene.js';
import type { SceneDesign } from './schema.js';

/** Sheets as light meets them, and what each sees of each other: whatever the LEDs give. */
export interface LitPlanes {
  readonly planes: LayeredScene;
  /** Of each plane: the place of its sheet among those that stand, and whether it is what is let into it. */
  readonly of: readonly { readonly sheet: number; readonly inlay: boolean }[];
  readonly net: Net;
}

/** Edges of sheets are to be sharp: the picture has so many times the cells that light would want, and no more along its longer side. */
const sharper = 1.8;
const mostAcross = 560;
/** Sheets are kept so far from touching, as light is worked out between them (mm). */
const leastGapMm = 0.2;

/** What of each cell an outline covers; kept by it, for a sheet that is only moved to and fro stays as it is. */
const covered = new WeakMap<Outline, { readonly grid: Grid; readonly solid: Float32Array }>();

const solidOf = (outline: Outline, grid: Grid): Float32Array => {
  const known = covered.get(outline);
  const { area, columns, rows } = grid;
  const same =
    known?.grid.columns === columns &&
    known.grid.rows === rows &&
    known.grid.area.width === area.width &&
    known.grid.area.height === area.height;
  if (known !== undefined && same) return known.solid;
  const solid = coverage(outline, area, columns, rows);
  covered.set(outline, { grid, solid });
  return solid;
};

/** The sheets of a scene as thin planes over the raster of its picture. */
export const litPlanes = (
  scene: Scene,
  design: SceneDesign,
  { inside }: CaseGeometry,
  { lining, face }: LayersMaterials,
  limits: GridLimits,
): LitPlanes => {
  const cell = Math.max(inside.widthMm, inside.heightMm) / Math.min(sharper * limits.longSide, mostAcross);
  const grid = gridOver(
    { x: -inside.widthMm / 2, y: -inside.heightMm / 2, width: inside.widthMm, height: inside.heightMm },
    Math.max(8, Math.round(inside.widthMm / cell)),
    Math.max(8, Math.round(inside.heightMm / cell)),
  );
  let before = 0;
  const plane = (
    sheet: number,
    inlay: boolean,
    stock: SheetStock,
    outline: Outline,
    rearZMm: number,
    { front, rear: behind }: ReturnType<typeof reflectsOf>,
  ) => {
    const rear = Math.max(rearZMm, before + leastGapMm);
    before = rear + stock.thicknessMm;
    return {
      of: { sheet, inlay },
      rearZMm: rear,
      frontZMm: before,
      frontReflects: front,
      rearReflects: behind,
      passes: stock.passes,
      solid: solidOf(outline, grid),
    };
  };
  const planes = scene.sheets.flatMap(({ sheet, stock, outline, rearZMm, inlay, print }, at) => [
    plane(at, false, stock, outline, rearZMm, reflectsOf(sheet, stock, print)),
    // What is let in lies in its sheet; as light goes it stands just before it.
    ...(inlay === null
      ? []
      : [
          plane(at, true, inlay.stock, inlay.pockets, rearZMm, {
            front: inlay.stock.reflects,
            rear: inlay.stock.reflects,
          }),
        ]),
  ]);
  const lit: LayeredScene = {
    depthMm: Math.max(inside.depthMm, before + leastGapMm),
    backReflects: luminanceOf(linearOf(design.backColour)),
    rimReflects: lining.reflectance,
    glazing: { passes: face.transmittance, reflects: Math.min(face.reflectance, 1 - face.transmittance) },
    planes: planes.map(({ of: _of, ...rest }) => rest),
    grid,
  };
  return { planes: lit, of: planes.map(({ of }) => of), net: layNet(lit, sceneLimits(limits).patchLongSide) };
};
