import type { Manifold, ManifoldToplevel } from 'manifold-3d';
import type { Member } from '../joinery/members/index.js';

type Corner = readonly [x: number, y: number, z: number];

/** A box of an independent geometry kernel. */
export const boxIn = (kernel: ManifoldToplevel, low: Corner, high: Corner): Manifold =>
  kernel.Manifold.cube([high[0] - low[0], high[1] - low[1], high[2] - low[2]]).translate([...low]);

/** A member on the bench: along x from 0, its outer side up at y = thickness, its front edge at z = 0 and the rest behind. */
const cut = (kernel: ManifoldToplevel, member: Member): Manifold => {
  const { lengthMm, widthMm, thicknessMm, ends, seats, endRabbetMm } = member;
  const skew = ends === 'mitre' ? thicknessMm : 0;
  const profile = new kernel.CrossSection([
    [
      [skew, 0],
      [lengthMm - skew, 0],
      [lengthMm, thicknessMm],
      [0, thicknessMm],
    ],
  ]);
  let left = profile.extrude(widthMm).translate([0, 0, -widthMm]);
  for (const { fromFrontMm, widthMm: seatMm, depthMm, stopMm } of seats)
    left = left.subtract(
      boxIn(
        kernel,
        [stopMm > 0 ? stopMm : -1, -1, -fromFrontMm - seatMm],
        [lengthMm - (stopMm > 0 ? stopMm : -1), depthMm, -fromFrontMm],
      ),
    );
  if (endRabbetMm > 0)
    for (const [from, to] of [
      [-1, thicknessMm],
      [lengthMm - thicknessMm, lengthMm + 1],
    ] as const)
      left = left.subtract(boxIn(kernel, [from, -1, -widthMm - 1], [to, endRabbetMm, 1]));
  return left;
};

/** A member where it belongs round an inside, its rear edge `rearMm` behind the front of the frame. */
export const placedMember = (
  kernel: ManifoldToplevel,
  member: Member,
  inside: { readonly widthMm: number; readonly heightMm: number },
  rearMm: number,
): Manifold => {
  const { name, lengthMm, widthMm } = member;
  const upright = name === 'left' || name === 'right';
  const half = (upright ? inside.widthMm : inside.heightMm) / 2;
  const turn = { top: 0, left: 90, bottom: 180, right: 270 }[name] ?? 0;
  return cut(kernel, member)
    .translate([-lengthMm / 2, half, widthMm - rearMm])
    .rotate([0, 0, turn]);
};
