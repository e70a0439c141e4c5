import { rectRing } from '../../base/outlines/index.js';
import type { Member } from '../../joinery/members/index.js';
import type { PartShape } from '../../making/parts/index.js';

/** Grooves and rabbets of a member, drawn with its front edge up, each with its depth (mm). */
export const seatsOf = ({
  seats,
  lengthMm,
  widthMm,
}: Member): readonly { readonly depthMm: number; readonly shapes: readonly PartShape[] }[] =>
  seats.map(({ fromFrontMm, widthMm: seatMm, depthMm, stopMm }) => ({
    depthMm,
    shapes: [
      {
        kind: 'outline',
        outline: [
          rectRing({ x: stopMm, y: widthMm - fromFrontMm - seatMm, width: lengthMm - 2 * stopMm, height: seatMm }),
        ],
      },
    ],
  }));
