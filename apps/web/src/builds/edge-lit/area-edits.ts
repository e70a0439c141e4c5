import { inRing, type PanelArtwork, type PanelResults, type Point, type Rect, type Ring } from '@vitrum/core';

/** Of the artwork’s letters, so large are those of a new area; between them is left so much (mm). */
const smallerShare = 0.4;
const betweenMm = 8;

/** What an area shows, in a word. */
export const areaLabel = ({ photo, drawing, text }: PanelArtwork): string => {
  if (photo) return 'photograph';
  if (drawing) return 'drawing';
  return text === undefined ? 'artwork' : text.trim() === '' ? 'text' : (text.split('\n')[0] ?? '').slice(0, 14);
};

/** A new area below what is worked already, worked as the artwork is; above it where there is no room below. */
export const newArea = (artwork: PanelArtwork, own: PanelResults | null): PanelArtwork => {
  const capHeightMm = Math.max(2, Math.round(artwork.capHeightMm * smallerShare));
  const bounds = own?.lettering.bounds ?? null;
  const below = bounds === null || own === null ? 0 : bounds.y - betweenMm - capHeightMm / 2;
  const above = bounds === null ? 0 : bounds.y + bounds.height + betweenMm + capHeightMm / 2;
  const fits = own === null || below - capHeightMm / 2 > own.geometry.seen.y;
  const middle = own === null ? 0 : own.geometry.sheet.y + own.geometry.sheet.height / 2;
  return {
    fontId: artwork.fontId,
    text: 'text',
    capHeightMm,
    lineSpacing: artwork.lineSpacing,
    align: artwork.align,
    ...(artwork.toolId === undefined ? {} : { toolId: artwork.toolId }),
    mirrored: artwork.mirrored === true,
    offsetXMm: 0,
    offsetYMm: Math.round((fits ? below : above) - middle),
    depthMm: artwork.depthMm,
    fill: 'solid',
  };
};

/** A list with one place less. */
export const without = <Each>(list: readonly Each[], place: number): readonly Each[] =>
  list.filter((_, each) => each !== place);

/** A place that a picture takes of a sheet: how wide, and how far off the middle of the sheet (mm). */
export interface PicturePlace {
  readonly widthMm: number;
  readonly offsetXMm: number;
  readonly offsetYMm: number;
}

const marginMm = 6;
/** Where nothing else is worked a picture takes so much of what is seen; where everything is, so much over its middle. */
const aloneShare = 0.85;
const crowdedShare = 0.3;
const leastMm = 15;

/** The bounds of all areas but one; null where there are no others. */
const othersIn = ({ areas }: PanelResults, place: number): Rect | null => {
  const others = areas.flatMap((area) => (area.place === place ? [] : (area.lettering.bounds ?? [])));
  if (others.length === 0) return null;
  const x = Math.min(...others.map((each) => each.x));
  const y = Math.min(...others.map((each) => each.y));
  return {
    x,
    y,
    width: Math.max(...others.map((each) => each.x + each.width)) - x,
    height: Math.max(...others.map((each) => each.y + each.height)) - y,
  };
};

/** The middle and the width of a picture in the axes of the assembly. */
interface Laid {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/** Widths are tried in so many steps, and a picture low, in the middle and high in its room. */
const widthSteps = 12;

/** The largest that a room takes of a picture, all four corners within the outline of the sheet; null where none is worth it. */
const largestIn = (room: Rect, upByAcross: number, ring: Ring): Laid | null => {
  const most = Math.min(room.width - 2 * marginMm, (room.height - 2 * marginMm) / upByAcross);
  for (let step = widthSteps; step > 0; step -= 1) {
    const width = (most * step) / widthSteps;
    if (width < leastMm) return null;
    const [across, up] = [width / 2 + marginMm, (width * upByAcross) / 2 + marginMm];
    const x = room.x + room.width / 2;
    for (const y of [room.y + room.height / 2, room.y + up, room.y + room.height - up]) {
      const inset = 0.5;
      const corners = [-1, 1].flatMap((right) =>
        [-1, 1].map((high): Point => [x + right * (across - marginMm + inset), y + high * (up - marginMm + inset)]),
      );
      if (corners.every((corner) => inRing(corner, ring))) return { x, y, width };
    }
  }
  return null;
};

/** The largest place for a picture of these proportions (height by width) that is free of what else is worked. */
export const freePlace = (own: PanelResults, place: number, upByAcross: number): PicturePlace => {
  const { seen, sheet, ring } = own.geometry;
  const others = othersIn(own, place);
  const rooms: readonly Rect[] =
    others === null
      ? [seen]
      : [
          { ...seen, y: others.y + others.height, height: seen.y + seen.height - others.y - others.height },
          { ...seen, height: others.y - seen.y },
          { ...seen, x: others.x + others.width, width: seen.x + seen.width - others.x - others.width },
          { ...seen, width: others.x - seen.x },
        ];
  const laid = rooms
    .flatMap((room) => largestIn(room, upByAcross, ring) ?? [])
    .sort((one, other) => other.width - one.width);
  const whole = {
    x: seen.x + seen.width / 2,
    y: seen.y + seen.height / 2,
    width: Math.min(seen.width, seen.height / upByAcross),
  };
  const best = laid[0] ?? { ...whole, width: crowdedShare * whole.width };
  return {
    widthMm: Math.max(5, Math.floor((others === null ? aloneShare : 1) * best.width)),
    offsetXMm: Math.round(best.x - sheet.x - sheet.width / 2),
    offsetYMm: Math.round(best.y - sheet.y - sheet.height / 2),
  };
};
