import type { Random } from '../../base/maths/index.js';
import { thrownBackAt } from './fresnel.js';
import { sideLaw } from './sides.js';
import type { ClearSheet, EdgeFit, EdgeLed, WorkedFaces } from './types.js';
import { hullOf, sideWalls, type Wall } from './walls.js';

/** Where photons ended (shares of those sent), and where worked cells took them out, front and back together. */
export interface SlabTrace {
  readonly photons: number;
  readonly out: number;
  readonly missed: number;
  readonly thrownBack: number;
  readonly edges: number;
  /** Left by a face that was not worked: none does in a polished sheet of n > √2. */
  readonly faces: number;
  readonly lost: number;
  readonly byCell: Float64Array;
}

type Vector = [number, number, number];

const mostHits = 4000;

/**
 * The second opinion: photons one by one through the sheet in three dimensions, with total reflection, Fresnel's law, losses
 * and chance at every face they meet. Slow and plain; shares nothing with the quick way but the laws of face and edge and the outline that they stand along.
 */
export const traceSlab = (
  sheet: ClearSheet,
  fit: EdgeFit,
  leds: readonly EdgeLed[],
  worked: WorkedFaces,
  photons: number,
  random: Random,
): SlabTrace => {
  const { widthMm, heightMm, thicknessMm, index, lossPerMm, silver, sides } = sheet;
  const { cellMm, columns, rows, front, back } = worked;
  const byCell = new Float64Array(columns * rows);
  const tally = { out: 0, missed: 0, thrownBack: 0, edges: 0, faces: 0, lost: 0 };
  const lawOf = {
    top: sideLaw(sides.top, index),
    right: sideLaw(sides.right, index),
    bottom: sideLaw(sides.bottom, index),
    left: sideLaw(sides.left, index),
  };
  const total = leds.reduce((sum, { lumens }) => sum + lumens, 0);
  const half = thicknessMm / 2;

  /** Lambertian about +z of its own frame. */
  const lambert = (): Vector => {
    const [radius, angle] = [Math.sqrt(random()), 2 * Math.PI * random()];
    return [radius * Math.cos(angle), radius * Math.sin(angle), Math.sqrt(1 - radius * radius)];
  };
  /** From the frame of an edge (along, across the sheet, inward) to that of the sheet. */
  const turned = ({ intoX, intoY, alongX, alongY }: Wall, [along, across, inward]: Vector): Vector => [
    along * alongX + inward * intoX,
    along * alongY + inward * intoY,
    across,
  ];
  const hull = hullOf(sheet);
  const lit = sideWalls(sheet);

  const send = (led: EdgeLed): keyof typeof tally => {
    const [along, across, inward] = lambert();
    const onto = fit.offsetMm + (random() - 0.5) * fit.emitterMm + (fit.gapMm * across) / inward;
    if (Math.abs(onto) > half) return 'missed';
    if (random() < thrownBackAt(inward, 1 / index)) return 'thrownBack';
    const refracted: Vector = [along / index, across / index, 0];
    refracted[2] = Math.sqrt(1 - refracted[0] ** 2 - refracted[1] ** 2);
    let [dx, dy, dz] = turned(lit[led.side], refracted);
    const place = led.alongMm + (random() - 0.5) * led.widthMm;
    let x = led.side === 'left' ? 0 : led.side === 'right' ? widthMm : place;
    let y = led.side === 'bottom' ? 0 : led.side === 'top' ? heightMm : place;
    let z = onto;
    for (let hit = 0; hit < mostHits; hit += 1) {
      const next = hull(x, y, dx, dy);
      if (next === null) return 'lost';
      const toZ = dz === 0 ? Infinity : ((dz > 0 ? half : -half) - z) / dz;
      const way = Math.min(next.way, toZ);
      if (random() > Math.exp(-lossPerMm * way)) return 'lost';
      x += dx * way;
      y += dy * way;
      z += dz * way;
      if (way === toZ) {
        const inFront = dz > 0;
        const column = Math.min(columns - 1, Math.max(0, Math.floor(x / cellMm)));
        const row = Math.min(rows - 1, Math.max(0, Math.floor(y / cellMm)));
        const cell = row * columns + column;
        if (random() < ((inFront ? front : back)?.[cell] ?? 0)) {
          byCell[cell]! += 1;
          return 'out';
        }
        if (!inFront && silver !== null) {
          if (random() > silver) return 'lost';
        } else if (random() > thrownBackAt(Math.abs(dz), index)) return 'faces';
        dz = -dz;
        continue;
      }
      const { wall } = next;
      const law = lawOf[wall.side];
      const inward = dx * wall.intoX + dy * wall.intoY;
      if (random() < law.mirrored(Math.abs(inward))) {
        dx -= 2 * inward * wall.intoX;
        dy -= 2 * inward * wall.intoY;
      } else if (random() < law.scattered) [dx, dy, dz] = turned(wall, lambert());
      else return 'edges';
    }
    return 'lost';
  };

  leds.forEach((led) => {
    const own = Math.round((photons * led.lumens) / total);
    for (let photon = 0; photon < own; photon += 1) tally[send(led)] += 1;
  });
  const sent = Object.values(tally).reduce((sum, count) => sum + count, 0);
  return {
    photons: sent,
    out: tally.out / sent,
    missed: tally.missed / sent,
    thrownBack: tally.thrownBack / sent,
    edges: tally.edges / sent,
    faces: tally.faces / sent,
    lost: tally.lost / sent,
    byCell: byCell.map((count) => count / sent),
  };
};
