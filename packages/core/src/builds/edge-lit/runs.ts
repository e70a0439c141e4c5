import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import { maxLeds, placeLeds, segmentAlong, snapToCut, withCuts, type Blueprint } from '../../light/laying/index.js';
import type { LightRuns, Point3 } from '../../light/runs/index.js';
import type { SheetSide } from '../../light/sheet/index.js';
import { litEdges } from './lit-edges.js';
import type { PanelGeometry } from './geometry.js';
import type { PanelMaterials } from './materials.js';
import type { EdgeLitAssembly, PanelLight } from './schema.js';
import type { Straight } from './sheet-outline.js';

const own = fieldsOf<EdgeLitAssembly>();

/** Where the LEDs of each edge are, along which way they run and which way they look. */
const ways: Readonly<Record<SheetSide, { readonly along: Point3; readonly looks: Point3 }>> = {
  left: { along: [0, 1, 0], looks: [1, 0, 0] },
  top: { along: [1, 0, 0], looks: [0, -1, 0] },
  right: { along: [0, -1, 0], looks: [-1, 0, 0] },
  bottom: { along: [-1, 0, 0], looks: [0, 1, 0] },
};

const middleOf = (
  { sheet }: PanelGeometry,
  side: SheetSide,
  { fromMm, toMm }: Straight,
  gapMm: number,
  z: number,
): Point3 => {
  const along = (fromMm + toMm) / 2;
  const [x, y] = [sheet.x + along, sheet.y + along];
  switch (side) {
    case 'left':
      return [sheet.x - gapMm, y, z];
    case 'right':
      return [sheet.x + sheet.width + gapMm, y, z];
    case 'top':
      return [x, sheet.y + sheet.height + gapMm, z];
    case 'bottom':
      return [x, sheet.y - gapMm, z];
  }
};

/** Strip under a case keeps so far from its sides (mm). */
const underMarginMm = 30;

/** Strip under a case, in as few rows along it as take its cuts, about as many in each, looking down. */
const underneath = (geometry: PanelGeometry, underMm: number, strip: PanelMaterials['strip']): readonly Blueprint[] => {
  const { outside, rearZMm } = geometry;
  const { cutPitchMm } = strip;
  const cutsIn = (mm: number): number => Math.round(snapToCut(Math.max(0, mm), cutPitchMm).lengthMm / cutPitchMm);
  const [cuts, most] = [cutsIn(underMm), cutsIn(outside.widthMm - 2 * underMarginMm)];
  if (cuts === 0 || most === 0) return [];
  const rows = Math.ceil(cuts / most);
  return Array.from({ length: rows }, (_, row): Blueprint => {
    const own = Math.floor(cuts / rows) + (row < cuts % rows ? 1 : 0);
    const y = outside.heightMm * ((row + 0.5) / rows - 0.5);
    return segmentAlong(strip, own * cutPitchMm, [0, y, rearZMm - strip.heightMm], [row % 2 === 0 ? 1 : -1, 0, 0], {
      normal: [0, 0, -1],
      on: 'back',
    });
  });
};

/** Strip before the edges of a sheet, whole cuts in the middle of each; and what lies under its case. */
export const panelRuns = (
  geometry: PanelGeometry,
  light: PanelLight,
  { strip }: PanelMaterials,
  underMm = 0,
): Result<LightRuns> => {
  const z = geometry.thicknessMm / 2 + light.offsetMm;
  const pieces = litEdges(light)
    .map((side): Blueprint => {
      const straight = geometry.straight[side]!;
      return segmentAlong(
        strip,
        straight.toMm - straight.fromMm - 2 * light.endMarginMm,
        middleOf(geometry, side, straight, light.gapMm, z),
        ways[side].along,
        { normal: ways[side].looks, on: side },
      );
    })
    .filter(({ lengthMm }) => lengthMm > 0);
  const segments = [...pieces, ...underneath(geometry, underMm, strip)].map((piece, index) => ({
    ...piece,
    number: index + 1,
  }));
  const ledCount = segments.reduce((sum, segment) => sum + segment.ledCount, 0);
  if (ledCount > maxLeds)
    return failure({
      path: pathOf(own.light.edges),
      message: `gives ${ledCount} LEDs; Vitrum lights up to ${maxLeds}`,
    });
  const ledPitchMm = 1000 / strip.ledsPerM;
  const runs: LightRuns = {
    segments,
    leds: placeLeds(segments, ledPitchMm),
    stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    ledPitchMm,
    rowPitchMm: null,
    throwMm: light.gapMm,
  };
  return success(withCuts(runs, light.cuts ?? [], strip.cutPitchMm));
};
