import type { BoxAssembly } from './schema.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import { backHoldOf, backPlayOf } from './back-hold.js';
import type { BoxMaterials } from './materials.js';
import type { CaseDesign } from './schema.js';
import {
  cornerJoints,
  frameMembers,
  leastPluggedMm,
  insideOf,
  panelOf,
  type Seat,
} from '../../joinery/members/index.js';
import { mouthOf, wayOutOf } from './way-out.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { Block } from '../../light/radiosity/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';

const own = fieldsOf<BoxAssembly>();

/** Least wood left behind a rabbet or groove (mm); less breaks while it is cut. */
export const leastWallMm = 2;
/** Play of a sheet in the width of its groove, in all (mm), where a design does not say. */
export const usualGroovePlayMm = 0.4;
const groovePlayOf = ({ groovePlayMm }: CaseDesign): number => groovePlayMm ?? usualGroovePlayMm;

/** Width of the part of the case in front of the inside: face, groove and lip. */
const frontDepth = (design: CaseDesign, faceMm: number): number => {
  if (design.retention === 'groove') return faceMm + groovePlayOf(design) + design.lipMm;
  return faceMm;
};

/** From the size that was given to the outside of the case along one axis. */
const outsideFrom = (given: number, design: CaseDesign, returnMm: number): number => {
  if (design.sizeBy === 'outside' || design.retention === 'laid-on') return given;
  return insideOf(given, design.seatMm, design.playMm) + 2 * returnMm;
};

/** A second sheet that lies tight behind the face and is seated with it: both in one seat, so thick (mm). */
const withFaceMm = (second: BoxMaterials['second']): number =>
  second?.seated === true && second.gapMm === 0 ? second.sheet.thicknessMm : 0;

const faceSeat = (design: CaseDesign, sheetMm: number, behindMm: number): Omit<Seat, 'stopMm'> | null => {
  if (design.retention === 'laid-on') return null;
  const groove = design.retention === 'groove';
  const faceMm = sheetMm + behindMm;
  return {
    kind: design.retention,
    holds: 'face',
    fromFrontMm: groove ? design.lipMm : 0,
    widthMm: groove ? faceMm + groovePlayOf(design) : faceMm,
    depthMm: design.seatMm,
    sheetMm: faceMm,
    ...(mouthOf(design) > 0 ? { mouthMm: mouthOf(design) } : {}),
  };
};

/** Wood between the grooves of face and second sheet (mm). */
const betweenGroovesMm = (design: CaseDesign, gapMm: number): number => gapMm - groovePlayOf(design);

/** The groove of a second sheet, in members whose front is so deep before the inside (mm). */
const secondSeat = (
  design: CaseDesign,
  second: BoxMaterials['second'],
  frontMm: number,
): Omit<Seat, 'stopMm'> | null =>
  second?.seated === true && second.gapMm > 0
    ? {
        kind: 'groove',
        holds: 'second sheet',
        fromFrontMm: frontMm + betweenGroovesMm(design, second.gapMm),
        widthMm: second.sheet.thicknessMm + groovePlayOf(design),
        depthMm: design.seatMm,
        sheetMm: second.sheet.thicknessMm,
      }
    : null;

const problemsOf = (
  design: CaseDesign,
  returnMm: number,
  inside: { readonly widthMm: number; readonly heightMm: number },
): readonly Problem[] => {
  const problems: Problem[] = [];
  if (design.seatMm > returnMm - leastWallMm)
    problems.push({
      path: pathOf(own.case.seatMm),
      message: `a seat of ${design.seatMm} mm leaves less than ${leastWallMm} mm of the ${returnMm} mm return; make it ${returnMm - leastWallMm} mm or less`,
    });
  if (design.playMm >= design.seatMm)
    problems.push({
      path: pathOf(own.case.playMm),
      message: `a play of ${design.playMm} mm lets the sheet fall out of a ${design.seatMm} mm seat`,
    });
  if (backPlayOf(design) >= design.seatMm && backPlayOf(design) !== design.playMm)
    problems.push({
      path: pathOf(own.case.backPlayMm),
      message: `a play of ${backPlayOf(design)} mm lets the back fall out of a ${design.seatMm} mm seat`,
    });
  if (design.plugged === true && cornerJoints[design.cornerJoint].fastener === 'screw' && returnMm < leastPluggedMm)
    problems.push({
      path: pathOf(own.case.plugged),
      message: `plugs want returns of ${leastPluggedMm} mm or more; these are ${returnMm} mm: leave the plugs out`,
    });
  if (backHoldOf(design).proudMm > 0 && (design.recessMm ?? 0) > 0)
    problems.push({
      path: pathOf(own.case.backHold),
      message: `turn buttons lie on the rear edges and reach no back that is set in by ${design.recessMm} mm; take screws or inserts, or set the back in by 0`,
    });
  for (const axis of ['widthMm', 'heightMm'] as const)
    if (inside[axis] < 10)
      problems.push({
        path: pathOf(own.case[axis]),
        message: `leaves ${Math.max(0, Math.round(inside[axis]))} mm inside the returns; make the case larger or the returns thinner`,
      });
  return problems;
};

const blockOf = ({ block }: CaseDesign): Block | null =>
  block === null || block === undefined
    ? null
    : {
        x0: block.offsetXMm - block.widthMm / 2,
        x1: block.offsetXMm + block.widthMm / 2,
        y0: block.offsetYMm - block.heightMm / 2,
        y1: block.offsetYMm + block.heightMm / 2,
        heightMm: block.depthMm,
      };

/** Wood between two grooves that does not break out (mm). */
const leastBetweenMm = 3;

/** Room that must stay between a block and what is round it, and in front of the LEDs (mm). */
const blockClearMm = 5;
const leastThrowMm = 3;

const stackProblems = (
  design: CaseDesign,
  { second, strip }: BoxMaterials,
  inside: { readonly widthMm: number; readonly heightMm: number },
  lightDepthMm: number,
): readonly Problem[] => {
  const problems: Problem[] = [];
  if (lightDepthMm < strip.heightMm + leastThrowMm)
    problems.push(
      second === null
        ? {
            path: pathOf(own.case.depthInsideMm),
            message: `leaves no room for light: the strip stands ${strip.heightMm} mm high in ${design.depthInsideMm} mm; make it ${strip.heightMm + leastThrowMm} mm or more`,
          }
        : {
            path: pathOf(own.face.second.gapMm),
            message: `puts the second sheet ${Math.round(lightDepthMm * 10) / 10} mm from the back, into the strip; make the gap smaller or the case deeper`,
          },
    );
  if (second?.seated === true && second.gapMm > 0 && betweenGroovesMm(design, second.gapMm) < leastBetweenMm)
    problems.push({
      path: pathOf(own.face.second.gapMm),
      message: `leaves ${Math.max(0, Math.round(10 * betweenGroovesMm(design, second.gapMm)) / 10)} mm of wood between the grooves of face and second sheet; make the gap ${Math.ceil(leastBetweenMm + groovePlayOf(design))} mm or more, or 0 for both in one groove`,
    });
  const block = blockOf(design);
  if (block === null) return problems;
  const reach = [
    [block.x0, block.x1, inside.widthMm / 2, 'widthMm'],
    [block.y0, block.y1, inside.heightMm / 2, 'heightMm'],
  ] as const;
  for (const [low, high, half, size] of reach)
    if (low < -half + blockClearMm || high > half - blockClearMm)
      problems.push({
        path: pathOf(own.case.block[size]),
        message: `makes the block reach past the inside of the case; it must stay ${blockClearMm} mm clear of the returns`,
      });
  if (block.heightMm > lightDepthMm - blockClearMm)
    problems.push({
      path: pathOf(own.case.block.depthMm),
      message: `makes the block touch the face; ${Math.max(0, Math.round(lightDepthMm - blockClearMm))} mm is the most here`,
    });
  return problems;
};

/** Sizes of a rectangular case, from its outside or from its face sheet, either way. */
export const boxGeometry = (design: CaseDesign, materials: BoxMaterials): Result<CaseGeometry> => {
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
  const { second } = materials;
  const lightDepthMm = design.depthInsideMm - (second === null ? 0 : second.gapMm + second.sheet.thicknessMm);
  const problems = [...problemsOf(design, returnMm, inside), ...stackProblems(design, materials, inside, lightDepthMm)];
  if (problems.length > 0) return failure(...problems);

  const panel = {
    widthMm: panelOf(inside.widthMm, design.seatMm, design.playMm),
    heightMm: panelOf(inside.heightMm, design.seatMm, design.playMm),
  };
  const laidOn = design.retention === 'laid-on';
  const front = frontDepth(design, faceMm);
  const recessMm = design.recessMm ?? 0;
  const depth = recessMm + backMm + design.depthInsideMm + front;
  const boardWidth = laidOn ? depth - front : depth;
  const backSeat: Omit<Seat, 'stopMm'> = {
    kind: 'rabbet',
    holds: 'back',
    fromFrontMm: boardWidth - backMm - recessMm,
    widthMm: backMm + recessMm,
    depthMm: design.seatMm,
    sheetMm: backMm,
  };
  const outside = { widthMm: outerWidth, heightMm: outerHeight, depthMm: depth };
  const behindMm = withFaceMm(second);
  const seats = [faceSeat(design, faceMm, behindMm), secondSeat(design, second, laidOn ? 0 : front), backSeat].filter(
    (seat) => seat !== null,
  );
  const wayOut = wayOutOf(design, front + behindMm);
  return success({
    outside,
    inside,
    face: {
      widthMm: laidOn ? outerWidth : panel.widthMm,
      heightMm: laidOn ? outerHeight : panel.heightMm,
      thicknessMm: faceMm,
    },
    back: {
      widthMm: panelOf(inside.widthMm, design.seatMm, backPlayOf(design)),
      heightMm: panelOf(inside.heightMm, design.seatMm, backPlayOf(design)),
      thicknessMm: backMm,
    },
    members: frameMembers({
      insideWidthMm: inside.widthMm,
      insideHeightMm: inside.heightMm,
      memberWidthMm: boardWidth,
      thicknessMm: returnMm,
      joint: design.cornerJoint,
      plugged: design.plugged ?? false,
      seats,
      ...(wayOut === undefined ? {} : { wayOut }),
    }),
    recessMm,
    faceFrontZMm: design.depthInsideMm + faceMm,
    lightDepthMm,
    block: blockOf(design),
  });
};
