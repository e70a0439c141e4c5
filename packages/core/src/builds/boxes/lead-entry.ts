import { distanceToLine, type Point } from '../../base/outlines/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { LightRuns, Point3 } from '../../light/runs/index.js';

/** The widest lead in use, and a grommet round it: holes are drilled for it whatever gauge is chosen later (mm). */
export const leadHoleMm = 7.4 + 5;

/** Left between the grommet and strip or a block (mm). */
const clearMm = 2;

/** From a place on the back to the nearest middle line of strip there (mm). */
const toStrip = (x: number, y: number, { segments }: LightRuns): number =>
  Math.min(
    ...segments
      .filter(({ on }) => on === 'back')
      .map(({ path }) =>
        distanceToLine(
          [x, y],
          path.map(([px, py]): Point => [px, py]),
        ),
      ),
  );

/** Where the lead goes through the back: in the middle, or as near to it as strip and block leave room, up or down. */
const throughBack = ({ inside, block }: CaseGeometry, runs: LightRuns, strip: Pick<Strip, 'widthMm'>): Point3 => {
  const reach = leadHoleMm / 2 + clearMm;
  const isFree = (y: number): boolean =>
    toStrip(0, y, runs) >= reach + strip.widthMm / 2 &&
    (block === null || block.x0 > reach || block.x1 < -reach || block.y0 > y + reach || block.y1 < y - reach);
  const most = inside.heightMm / 2 - reach;
  for (let away = 0; away <= most; away += 1)
    for (const y of [-away, away]) if (isFree(y)) return [0, y === 0 ? 0 : y, 0];
  return [0, 0, 0];
};

/** Where the lead comes in, on the inner side of the case. */
export const leadEntry = (
  exit: Brief['leadExit'],
  geometry: CaseGeometry,
  runs: LightRuns,
  strip: Pick<Strip, 'widthMm'>,
): Point3 => {
  const [x, y] = [geometry.inside.widthMm / 2, geometry.inside.heightMm / 2];
  switch (exit) {
    case 'left':
      return [-x, 0, 0];
    case 'right':
      return [x, 0, 0];
    case 'top':
      return [0, y, 0];
    case 'bottom':
      return [0, -y, 0];
    case 'back':
      return throughBack(geometry, runs, strip);
  }
};
