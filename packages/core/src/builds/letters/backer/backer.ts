import type { Board, Catalogue } from '../../../document/catalogue/index.js';
import { findItem } from '../../../document/catalogue/index.js';
import { success, type Result } from '../../../base/result.js';
import { offset, outlineBounds, rectRing, type Outline, type Point, type Rect } from '../../../base/outlines/index.js';
import { frameMembers, memberMm3, type Member } from '../../../joinery/members/index.js';
import { plainBoard, sundry, type BoughtPart, type CutPart, type PartShape } from '../../../making/parts/index.js';
import type { BackerDesign } from './schema.js';

/** What the sides of a clad box are cut from, and how deep it is (mm), where nothing is said. */
const usualFrameId = 'ply-12';
export const usualBoxMm = 40;

/** The boards that a backer names. */
export interface BackerBoards {
  readonly board: Board;
  readonly frame: Board;
}

/** Finds them; no backer, no boards. */
export const findBacker = (
  design: BackerDesign | null | undefined,
  catalogue: Catalogue,
): Result<BackerBoards | null> => {
  if (design === null || design === undefined) return success(null);
  const board = findItem(catalogue.boards, design.boardId, 'backer.boardId');
  const frame = findItem(catalogue.boards, design.frameBoardId ?? usualFrameId, 'backer.frameBoardId');
  if (!board.ok) return board;
  return frame.ok ? success({ board: board.value, frame: frame.value }) : frame;
};

/** A backer with its sizes, in the axes of the letters. */
export interface Backer {
  readonly rect: Rect;
  readonly design: BackerDesign;
  readonly boards: BackerBoards;
  /** Behind the front of the cladding: its thickness, and of a box its sides (mm). */
  readonly depthMm: number;
  /** What a cleat may hide in (mm). */
  readonly recessMm: number;
  /** How far cladding is cut larger than its box, all round (mm). */
  readonly overMm: number;
  readonly members: readonly Member[];
}

/** Sizes of a backer round letters; null where there are no letters, or no backer. */
export const backerOf = (
  design: BackerDesign | null | undefined,
  boards: BackerBoards | null,
  letters: Outline,
): Backer | null => {
  const bounds = outlineBounds(letters);
  if (design === null || design === undefined || boards === null || bounds === null) return null;
  const { marginMm } = design;
  const rect = {
    x: bounds.x - marginMm,
    y: bounds.y - marginMm,
    width: bounds.width + 2 * marginMm,
    height: bounds.height + 2 * marginMm,
  };
  const behindMm = design.kind === 'box' ? (design.depthMm ?? usualBoxMm) : 0;
  const thick = boards.frame.thicknessMm;
  return {
    rect,
    design,
    boards,
    depthMm: boards.board.thicknessMm + behindMm,
    recessMm: behindMm,
    overMm: design.kind === 'box' ? (design.overMm ?? 0) : 0,
    members:
      design.kind === 'box'
        ? frameMembers({
            insideWidthMm: Math.max(10, rect.width - 2 * thick),
            insideHeightMm: Math.max(10, rect.height - 2 * thick),
            memberWidthMm: behindMm,
            thicknessMm: thick,
            joint: 'butt',
            seats: [],
          })
        : [],
  };
};

/** A hole through the backer: for a post, a screw or a wire, in the axes of the letters. */
export interface BackerHole {
  readonly at: Point;
  readonly diameterMm: number;
}

const round = (mm: number): string => `${Math.round(mm * 10) / 10} mm`;

const boardPart = (backer: Backer, holes: readonly BackerHole[]): CutPart => {
  const { rect, design, boards, overMm: over } = backer;
  const { board } = boards;
  const [width, height] = [rect.width + 2 * over, rect.height + 2 * over];
  const corner = design.kind === 'board' ? Math.min(design.cornerMm ?? 0, width / 2 - 1, height / 2 - 1) : 0;
  const outline: Outline =
    corner > 0
      ? offset([rectRing({ x: corner, y: corner, width: width - 2 * corner, height: height - 2 * corner })], corner)
      : [rectRing({ x: 0, y: 0, width, height })];
  const shapes = holes.map(({ at: [x, y], diameterMm }): PartShape => ({
    kind: 'hole',
    x: x - rect.x + over,
    y: y - rect.y + over,
    diameterMm,
  }));
  const plain = plainBoard(board, 'backer', design.kind === 'box' ? 'Cladding' : 'Backer', width, height, '');
  return {
    ...plain,
    note: [
      'seen from the front; letters by the drill template',
      ...(corner > 0 ? [`corners rounded to ${round(corner)}`] : []),
      ...(over > 0
        ? [`${round(over)} larger than its box all round${design.trimmed === true ? ', trimmed flush once glued' : ''}`]
        : []),
    ].join('; '),
    layers: [
      { operation: 'cut', shapes: [{ kind: 'outline', outline }] },
      ...(shapes.length > 0 ? [{ operation: 'drill' as const, shapes }] : []),
    ],
  };
};

const memberPart = (member: Member, { boards: { frame } }: Backer): CutPart => ({
  ...plainBoard(
    frame,
    `backer-${member.name}`,
    `Box, ${member.name}`,
    member.lengthMm,
    member.widthMm,
    'side of the box behind the cladding',
  ),
  kg: (memberMm3(member) * frame.densityKgM3) / 1e9,
  member,
});

/** The parts of a backer; none where there is none. */
export const backerParts = (backer: Backer | null, holes: readonly BackerHole[]): readonly CutPart[] =>
  backer === null ? [] : [boardPart(backer, holes), ...backer.members.map((member) => memberPart(member, backer))];

/** What is bought for a backer: screws for the corners of a box, and those that hold letters by their backs. */
export const backerBought = (backer: Backer | null, screws: number, catalogue: Catalogue): readonly BoughtPart[] =>
  backer === null ? [] : sundry(catalogue, 'corner-screw', 4 * (backer.members[0]?.fasteners.length ?? 0) + screws);
