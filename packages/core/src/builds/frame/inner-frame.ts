import { failure, success, type Result } from '../../base/result.js';
import { fieldsOf, pathOf, set, type DesignChange, type Fields } from '../../document/design/index.js';
import { panelOf } from '../../joinery/members/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { Section } from '../../light/section/index.js';
import { plainBoard, type CutPart } from '../../making/parts/index.js';
import type { BoxMaterials } from '../boxes/materials.js';
import { blockLid } from '../boxes/section.js';
import type { CaseDesign, LightDesign } from '../boxes/schema.js';
import type { FrameAssembly, ShowsDesign } from './schema.js';
import { opalBehind } from './sheets.js';

/** Pads between an inner frame and what lies before it (mm). */
export const padMm = 5;
/** From the inner edge of a band in to the inner frame (mm), so that no edge of it is seen. */
export const clearOfBandMm = 4;

/** A block on the back that carries strip behind a band is an inner frame: rails without a lid. */
export const hasInnerFrame = ({ kind }: ShowsDesign, { block }: Pick<CaseGeometry, 'block'>): boolean =>
  kind === 'lit-mirror' && block !== null;

/** The inner frame that a band of a mirror so large asks for, in a case so deep for its light; null where it has no room. */
export const innerFrameFor = (
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  { insetMm, widthMm: wide }: ShowsDesign['band'],
  lightDepthMm: number,
): NonNullable<CaseDesign['block']> | null => {
  const in_ = insetMm + wide + clearOfBandMm;
  const block = {
    widthMm: Math.floor(widthMm - 2 * in_),
    heightMm: Math.floor(heightMm - 2 * in_),
    depthMm: Math.floor(lightDepthMm - padMm),
    offsetXMm: 0,
    offsetYMm: 0,
  };
  return Math.min(block.widthMm, block.heightMm) < 60 || block.depthMm < 10 ? null : block;
};

/**
 * How a band is lit: strip round an inner frame, bent round its corners, looking out; on the rim where there is no room for one.
 * Frosted glass alone shows every LED, so that an opal sheet lies behind it.
 */
export const bandLight = (
  size: { readonly widthMm: number; readonly heightMm: number },
  band: ShowsDesign['band'],
  depthInsideMm: number,
) => {
  const second = opalBehind(size.widthMm, size.heightMm);
  return innerFrameFor(size, band, depthInsideMm) === null
    ? ({ layout: 'rim', facing: 'front', corners: 'cut', second } as const)
    : ({ layout: 'block', facing: 'out', corners: 'bent', second } as const);
};

/** The same as a change of a design; the inner frame follows the band. */
export const bandChange = (at: Fields<FrameAssembly>, light: ReturnType<typeof bandLight>): DesignChange => [
  set(at.case.block, null),
  set(at.light.layout, light.layout),
  set(at.light.facing, light.facing),
  set(at.light.corners, light.corners),
  set(at.face.second, light.second),
];

/** Whether the strip of a lit mirror asks for an inner frame that follows its band: none is given. */
export const followsBand = ({ shows, light, case: { block } }: FrameAssembly): boolean =>
  shows.kind === 'lit-mirror' && light.layout === 'block' && (block === null || block === undefined);

const own = fieldsOf<FrameAssembly>();

/**
 * A case with the inner frame that the band of its mirror asks for, by the thickness of its returns and how far a second sheet
 * reaches into it (mm); fails where there is no room for one.
 */
export const withInnerFrame = (
  design: CaseDesign,
  band: ShowsDesign['band'],
  returnMm: number,
  secondMm: number,
): Result<CaseDesign> => {
  const across = (given: number): number =>
    design.retention === 'laid-on' || design.sizeBy === 'face'
      ? given
      : panelOf(given - 2 * returnMm, design.seatMm, design.playMm);
  const size = { widthMm: across(design.widthMm), heightMm: across(design.heightMm) };
  const block = innerFrameFor(size, band, design.depthInsideMm - secondMm);
  return block === null
    ? failure({
        path: pathOf(own.shows.band.widthMm),
        message: `leaves no room for an inner frame within it, in a mirror ${Math.round(Math.min(size.widthMm, size.heightMm))} mm across and a case ${design.depthInsideMm} mm deep; make the band narrower, the frame deeper, or run the strip along the returns`,
      })
    : success({ ...design, block });
};

/** The parts of an inner frame in the place of those of a block over a supply: four rails, no lid. */
export const innerFrameParts = (
  parts: readonly CutPart[],
  { block }: CaseGeometry,
  { backBoard, strip }: BoxMaterials,
  corners: LightDesign['corners'],
): readonly CutPart[] => {
  const own = parts.filter(({ id }) => !id.startsWith('block-'));
  if (block === null) return own;
  const [across, up] = [block.x1 - block.x0, block.y1 - block.y0 - 2 * backBoard.thicknessMm];
  const rounded =
    corners === 'bent' ? `; outer corners rounded to ${Math.round(10 * strip.bendRadiusMm) / 10} mm for the strip` : '';
  const rail = (side: string, length: number): CutPart =>
    plainBoard(
      backBoard,
      `inner-${side}`,
      `Inner frame, ${side}`,
      length,
      block.heightMm,
      `on edge, glued to the back; strip on its outer side${rounded}`,
    );
  return [...own, rail('top', across), rail('bottom', across), rail('left', up), rail('right', up)];
};

/** The slice of a case with an inner frame: its block without a lid. */
export const innerFrameSection = (section: Section): Section => ({
  ...section,
  layers: section.layers.map((layer) => ({ ...layer, detail: layer.detail.replace('the block', 'the inner frame') })),
  shapes: section.shapes.filter(({ material }) => material !== blockLid),
});
