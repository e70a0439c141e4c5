import { inPlace, placedOn, type Placing } from '../../base/placing/index.js';
import type { Placement } from '../../document/design/index.js';

/** An assembly as far as its place goes: where it says it stands, and how far its front is from what it stands on. */
export interface PlacedAssembly {
  readonly id: string;
  readonly place: Placement;
  readonly frontZMm: number;
}

/** Where each assembly stands in the sign. Each stands on the wall or on one before it, as the document asks. */
export const placingsOf = (assemblies: readonly PlacedAssembly[]): readonly Placing[] => {
  const known = new Map<string, { readonly placing: Placing; readonly frontZMm: number }>();
  return assemblies.map(({ id, place, frontZMm }) => {
    const below = place.on === null ? undefined : known.get(place.on);
    const own: Placing = {
      xMm: place.xMm,
      yMm: place.yMm,
      zMm: below?.frontZMm ?? 0,
      turnRad: (place.turnDeg * Math.PI) / 180,
    };
    const placing = below === undefined ? own : placedOn(below.placing, own);
    known.set(id, { placing, frontZMm });
    return isInPlace(placing) ? inPlace : placing;
  });
};

const isInPlace = ({ xMm, yMm, zMm, turnRad }: Placing): boolean =>
  xMm === 0 && yMm === 0 && zMm === 0 && turnRad === 0;
