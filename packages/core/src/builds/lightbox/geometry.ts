import type { Materials } from '../../catalogue/index.js';
import type { CaseDesign } from '../../design/index.js';
import type { CaseGeometry, Member, Seat } from '../../geometry/index.js';
import { failure, success, type Problem, type Result } from '../../result.js';

/** Least wood left behind a rabbet or groove (mm); less breaks while it is cut. */
const leastWallMm = 2;
/** Play of a sheet in the width of its groove (mm). */
const groovePlayMm = 0.4;

/** Width of the part of the case in front of the inside: face, groove and lip. */
const frontDepth = (design: CaseDesign, faceMm: number): number => {
  if (design.retention === 'groove') return faceMm + groovePlayMm + design.lipMm;
  return faceMm;
};

/** From the size that was given to the outside of the case along one axis. */
const outsideFrom = (given: number, design: CaseDesign, returnMm: number): number => {
  if (design.sizeBy === 'outside' || design.retention === 'laid-on') return given;
  return given + 2 * (design.playMm - design.seatMm + returnMm);
};

const faceSeat = (design: CaseDesign, faceMm: number): Seat | null => {
  if (design.retention === 'laid-on') return null;
  const groove = design.retention === 'groove';
  return {
    kind: design.retention,
    holds: 'face',
    fromFrontMm: groove ? design.lipMm : 0,
    widthMm: groove ? faceMm + groovePlayMm : faceMm,
    depthMm: design.seatMm,
    stopMm: 0,
  };
};

/** Where members meet in butt joints, those that run through keep their seats short of the outside. */
const membersOf = (
  design: CaseDesign,
  outside: { readonly widthMm: number; readonly heightMm: number },
  returnMm: number,
  boardWidthMm: number,
  seats: readonly Seat[],
): readonly Member[] => {
  const mitre = design.cornerJoint === 'mitre';
  const stop = mitre ? 0 : returnMm - design.seatMm;
  const through = { widthMm: boardWidthMm, thicknessMm: returnMm, ends: mitre ? 'mitre' : 'square' } as const;
  const stopped = seats.map((seat) => ({ ...seat, stopMm: stop }));
  const sideLength = outside.heightMm - (mitre ? 0 : 2 * returnMm);
  return [
    { ...through, name: 'top', lengthMm: outside.widthMm, seats: stopped },
    { ...through, name: 'bottom', lengthMm: outside.widthMm, seats: stopped },
    { ...through, name: 'left', lengthMm: sideLength, seats },
    { ...through, name: 'right', lengthMm: sideLength, seats },
  ];
};

const problemsOf = (
  design: CaseDesign,
  returnMm: number,
  inside: { readonly widthMm: number; readonly heightMm: number },
): readonly Problem[] => {
  const problems: Problem[] = [];
  if (design.seatMm > returnMm - leastWallMm)
    problems.push({
      path: 'assemblies.0.case.seatMm',
      message: `a seat of ${design.seatMm} mm leaves less than ${leastWallMm} mm of the ${returnMm} mm return; make it ${returnMm - leastWallMm} mm or less`,
    });
  if (design.playMm >= design.seatMm)
    problems.push({
      path: 'assemblies.0.case.playMm',
      message: `a play of ${design.playMm} mm lets the sheet fall out of a ${design.seatMm} mm seat`,
    });
  for (const axis of ['widthMm', 'heightMm'] as const)
    if (inside[axis] < 10)
      problems.push({
        path: `assemblies.0.case.${axis}`,
        message: `leaves ${Math.max(0, Math.round(inside[axis]))} mm inside the returns; make the case larger or the returns thinner`,
      });
  return problems;
};

/** Sizes of a rectangular light box, from its outside or from its face sheet, either way. */
export const lightboxGeometry = (design: CaseDesign, materials: Materials): Result<CaseGeometry> => {
  const returnMm = materials.returnBoard.thicknessMm;
  const backMm = materials.backBoard.thicknessMm;
  const faceMm = materials.face.thicknessMm;
  const outerWidth = outsideFrom(design.widthMm, design, returnMm);
  const outerHeight = outsideFrom(design.heightMm, design, returnMm);
  const inside = {
    widthMm: outerWidth - 2 * returnMm,
    heightMm: outerHeight - 2 * returnMm,
    depthMm: design.depthInsideMm,
  };
  const problems = problemsOf(design, returnMm, inside);
  if (problems.length > 0) return failure(...problems);

  const seated = 2 * (design.seatMm - design.playMm);
  const laidOn = design.retention === 'laid-on';
  const front = frontDepth(design, faceMm);
  const depth = backMm + design.depthInsideMm + front;
  const boardWidth = laidOn ? depth - front : depth;
  const backSeat: Seat = {
    kind: 'rabbet',
    holds: 'back',
    fromFrontMm: boardWidth - backMm,
    widthMm: backMm,
    depthMm: design.seatMm,
    stopMm: 0,
  };
  const outside = { widthMm: outerWidth, heightMm: outerHeight, depthMm: depth };
  const seats = [faceSeat(design, faceMm), backSeat].filter((seat) => seat !== null);
  return success({
    outside,
    inside,
    face: {
      widthMm: laidOn ? outerWidth : inside.widthMm + seated,
      heightMm: laidOn ? outerHeight : inside.heightMm + seated,
      thicknessMm: faceMm,
    },
    back: { widthMm: inside.widthMm + seated, heightMm: inside.heightMm + seated, thicknessMm: backMm },
    members: membersOf(design, outside, returnMm, boardWidth, seats),
    faceFrontZMm: design.depthInsideMm + faceMm,
  });
};
