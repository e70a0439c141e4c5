import { inRing, outlineBounds, type Point, type Rect, type Ring } from '../../base/outlines/index.js';
import type { PanelResults } from './results.js';

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
/** A corner so near to the outline is not within it (mm). */
const hairMm = 0.5;

/** The bounds of all areas but one; null where there are no others. */
const othersIn = ({ areas }: Pick<PanelResults, 'areas'>, place: number): Rect | null =>
  outlineBounds(areas.flatMap((area) => (area.place === place ? [] : area.lettering.outline)));

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
    const [across, up] = [width / 2, (width * upByAcross) / 2];
    const x = room.x + room.width / 2;
    for (const y of [room.y + room.height / 2, room.y + up + marginMm, room.y + room.height - up - marginMm]) {
      const corners = [-1, 1].flatMap((right) =>
        [-1, 1].map((high): Point => [x + right * (across + hairMm), y + high * (up + hairMm)]),
      );
      if (corners.every((corner) => inRing(corner, ring))) return { x, y, width };
    }
  }
  return null;
};

/** The largest place for a picture of these proportions (height by width) that is free of what else is worked. */
export const freePlace = (
  own: Pick<PanelResults, 'areas' | 'geometry'>,
  place: number,
  upByAcross: number,
): PicturePlace => {
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
