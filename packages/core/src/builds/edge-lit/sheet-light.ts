import { moveOutline, type Ring } from '../../base/outlines/index.js';
import { emitterMmOf } from '../../document/catalogue/index.js';
import { colourOf } from '../../light/colour/index.js';
import type { LightRuns, LightShare, Segment } from '../../light/runs/index.js';
import { sheetSides, type ClearSheet, type EdgeFit, type EdgeLed, type SheetSide } from '../../light/sheet/index.js';
import type { Brief } from '../../document/design/index.js';
import type { PanelGeometry } from './geometry.js';
import type { PanelMaterials } from './materials.js';
import type { EdgeLitAssembly, SheetDesign } from './schema.js';

/** Natural logarithm of what handling and dust on the faces of a sheet take of a metre of path; typical. */
const scratchesPerM = 0.15;

/** The finish of every edge as light inside meets it. */
const sidesOf = (sheet: SheetDesign, lit: readonly SheetSide[]): ClearSheet['sides'] =>
  Object.fromEntries(
    sheetSides.map((side) => [
      side,
      lit.includes(side) ? (sheet.litFinish ?? 'polished') : (sheet.unlit?.[side] ?? 'polished'),
    ]),
  ) as ClearSheet['sides'];

/** Corners rounder than this share of the shorter side are followed as they are; light takes others for square. */
const roundShare = 0.1;

const followedRing = (
  sheet: SheetDesign,
  { ring, sheet: { x, y } }: Pick<PanelGeometry, 'ring' | 'sheet'>,
): Ring | null =>
  (sheet.outline ?? null) === null && (sheet.cornerMm ?? 0) <= roundShare * Math.min(sheet.widthMm, sheet.heightMm)
    ? null
    : moveOutline([ring], -x, -y)[0]!;

/** The sheet as light in it sees it. */
export const clearSheetOf = (
  { sheet, light }: Pick<EdgeLitAssembly, 'sheet' | 'light'>,
  { pane }: PanelMaterials,
  geometry: Pick<PanelGeometry, 'ring' | 'sheet'>,
): ClearSheet => ({
  widthMm: sheet.widthMm,
  heightMm: sheet.heightMm,
  outline: followedRing(sheet, geometry),
  thicknessMm: pane.thicknessMm,
  index: pane.index,
  lossPerMm: (pane.lossPerM + scratchesPerM) / 1000,
  silver: pane.silver ?? null,
  sides: sidesOf(sheet, light.edges),
});

/** How the LEDs stand before the edges. */
export const edgeFitOf = ({ light }: Pick<EdgeLitAssembly, 'light'>, { strip }: PanelMaterials): EdgeFit => ({
  emitterMm: emitterMmOf(strip),
  gapMm: light.gapMm,
  offsetMm: light.offsetMm,
});

/** Of what would enter by a polished edge, the share that a sawn one lets in: the rest leaves by the faces beside it; typical. */
const sawnLetsIn = 0.7;

/** What the lit edges let in of what polished ones would. */
export const letsInOf = ({ litFinish }: Pick<SheetDesign, 'litFinish'>): number =>
  litFinish === 'sawn' ? sawnLetsIn : 1;

/** Every LED before an edge, with what its current lets it give. */
export const edgeLedsOf = (
  { leds: { x, y, segment }, segments }: LightRuns,
  share: LightShare,
  { sheet }: PanelGeometry,
  materials: PanelMaterials,
  light: Brief['light'],
  sheetDesign: Pick<SheetDesign, 'litFinish'>,
): readonly EdgeLed[] => {
  const { strip } = materials;
  const lumens = lumensPerLed(light, strip) * letsInOf(sheetDesign);
  const widthMm = emitterMmOf(strip);
  return Array.from(x).flatMap((atX, led): EdgeLed | readonly EdgeLed[] => {
    const { on } = segments[segment[led]!]!;
    if (!isSheetSide(on)) return [];
    return {
      side: on,
      alongMm: on === 'left' || on === 'right' ? y[led]! - sheet.y : atX - sheet.x,
      widthMm,
      lumens: lumens * share.fluxShare[led]!,
    };
  });
};

const lumensPerLed = (light: Brief['light'], strip: PanelMaterials['strip']): number =>
  colourOf(light, strip).lumensPerM / strip.ledsPerM;

/** Whether strip lies before an edge, and not under the case. */
export const isSheetSide = (on: Segment['on']): on is SheetSide => sheetSides.some((side) => side === on);

/** What strip under a case gives (lm). */
export const underLmOf = (
  { leds, segments }: LightRuns,
  { fluxShare }: LightShare,
  { strip }: PanelMaterials,
  light: Brief['light'],
): number => {
  const lumens = lumensPerLed(light, strip);
  return leds.segment.reduce(
    (sum, segment, led) => (isSheetSide(segments[segment]!.on) ? sum : sum + lumens * fluxShare[led]!),
    0,
  );
};

/** What LEDs give before the edges alone: groups under the case are dark. */
export const atEdgesAlone = ({ leds, segments }: LightRuns, share: LightShare): LightShare => {
  if (segments.every(({ on }) => isSheetSide(on))) return share;
  const under = new Set<number>();
  leds.segment.forEach((segment, led) => {
    if (!isSheetSide(segments[segment]!.on)) under.add(share.groupOfLed[led]!);
  });
  return {
    ...share,
    groupShares: share.groupShares.map((shares) => shares.map((own, group) => (under.has(group) ? 0 : own))),
  };
};
