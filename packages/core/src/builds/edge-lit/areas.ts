import { chooseFont, layLettering, type FontBook, type Lettering } from '../../artwork/lettering/index.js';
import { outlineBounds, type Point } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import type { Engraving, Tool } from '../../document/catalogue/index.js';
import type { AreaTool } from './materials.js';
import { photoAt, photoIn, photoLettering, type Photo } from './photo.js';
import type { PanelArtwork } from './schema.js';

/** A part of the sheet that is worked: what of it, how, and on which face. */
export interface WorkedArea {
  /** 0 is the artwork itself, others follow as the design has them. */
  readonly place: number;
  readonly artwork: PanelArtwork;
  /** As it lies on the sheet. */
  readonly lettering: Lettering;
  readonly photo: Photo | null;
  readonly tool: Tool;
  readonly engraving: Engraving;
  readonly onBack: boolean;
}

/** The font of an area, or why there is none. */
type ChosenFont = ReturnType<typeof chooseFont>;

/** How an area is filled: photographs are dots, whatever their field says. */
export const fillOf = (artwork: Pick<PanelArtwork, 'fill' | 'photo'>): PanelArtwork['fill'] =>
  photoIn(artwork as PanelArtwork) === null ? artwork.fill : 'dots';

/** What an area shows, laid with its middle at its own shift from the middle of the sheet. */
const laidArea = (
  artwork: PanelArtwork,
  text: string,
  font: () => ChosenFont,
  middle: Point,
): Result<Pick<WorkedArea, 'lettering' | 'photo'>> => {
  const photo = photoIn(artwork);
  const [x, y] = [middle[0] + artwork.offsetXMm, middle[1] + artwork.offsetYMm];
  if (photo !== null) {
    const found = photoAt(photo, [x, y]);
    return found.ok ? success({ lettering: photoLettering(found.value), photo: found.value }) : found;
  }
  const found = layLettering(text, artwork, font(), x, y);
  return found.ok ? success({ lettering: found.value, photo: null }) : found;
};

/**
 * The areas of a sheet in the order of the design: the artwork, which says what the brief says unless it says something itself, and what
 * else is worked, each shifted from the middle of the sheet; `font` is that of the artwork. Fails with the field of the area whose font or photograph is amiss.
 */
export const workedAreas = (
  artwork: PanelArtwork,
  more: readonly PanelArtwork[],
  text: string,
  tools: readonly AreaTool[],
  font: ChosenFont,
  fonts: FontBook,
  middleX: number,
  middleY: number,
): Result<readonly WorkedArea[]> => {
  const areas: WorkedArea[] = [];
  for (const [place, each] of [artwork, ...more].entries()) {
    const own = (): ChosenFont => (place === 0 ? font : chooseFont(each.fontId, each.ownFont ?? null, fonts));
    const found = laidArea(each, each.text ?? (place === 0 ? text : ''), own, [middleX, middleY]);
    if (!found.ok)
      return place === 0
        ? found
        : failure(
            ...found.problems.map(({ path, message }) => ({
              path: path.replace(/^artwork/, `areas.${place - 1}`),
              message,
            })),
          );
    areas.push({ place, artwork: each, ...found.value, ...tools[place]!, onBack: each.mirrored === true });
  }
  return success(areas);
};

/** All areas as one piece of artwork, as stages that builds share see it. */
export const allOf = (areas: readonly WorkedArea[]): Lettering => {
  if (areas.length === 1) return areas[0]!.lettering;
  const letterings = areas.map(({ lettering }) => lettering);
  const outline = letterings.flatMap((each) => each.outline);
  const sum = (of: (each: Lettering) => number): number => letterings.reduce((total, each) => total + of(each), 0);
  return {
    outline,
    bounds: outlineBounds(outline),
    areaMm2: sum(({ areaMm2 }) => areaMm2),
    letterCount: sum(({ letterCount }) => letterCount),
    missing: [...new Set(letterings.flatMap(({ missing }) => missing))],
  };
};

/** Areas that something is worked in. */
export const workedOf = (areas: readonly WorkedArea[]): readonly WorkedArea[] =>
  areas.filter(({ lettering }) => lettering.outline.length > 0);

/** How many passes reach the depth of an area. */
export const passesFor = ({ artwork, engraving }: Pick<WorkedArea, 'artwork' | 'engraving'>): number =>
  Math.max(1, Math.ceil(artwork.depthMm / engraving.passMm - 1e-9));
