import type { Brief, HangingDesign } from '../../document/design/index.js';
import type { BaseDesign, FrameDesign, HolderDesign, TopDesign } from './schema.js';

/** What a usual holder goes by. */
export interface HeldSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  readonly stripWidthMm: number;
  readonly stripHeightMm: number;
  readonly gapMm: number;
}

/** A base stands when it is this share of the sheet’s height deep, and not less than this (mm); typical. */
const depthShare = 0.42;
const [leastDepthMm, mostDepthMm] = [50, 120] as const;

/** A base of oak, or printed. */
export const usualBase = ({ heightMm }: HeldSheet, make: BaseDesign['make'] = 'wood'): BaseDesign => ({
  kind: 'base',
  make,
  boardId: 'oak-block-40',
  depthMm: Math.round(Math.min(mostDepthMm, Math.max(leastDepthMm, depthShare * heightMm))),
  overhangMm: 15,
  slotMm: 14,
  playMm: 0.2,
  lidBoardId: 'ply-6',
});

/** Oak is sold in boards up to so long; longer members are of plywood (mm). */
const longestOakMm = 1900;

/** A frame of oak, screwed, deep enough for its strip. */
export const usualFrame = ({
  widthMm,
  heightMm,
  thicknessMm,
  stripWidthMm,
  stripHeightMm,
  gapMm,
}: HeldSheet): FrameDesign => {
  const lipMm = Math.max(5, Math.ceil(2 + (stripWidthMm + 1 - thicknessMm) / 2));
  return {
    kind: 'frame',
    boardId: Math.max(widthMm, heightMm) > longestOakMm ? 'ply-18' : 'oak-18',
    joint: 'pocket-screws',
    seatMm: Math.max(4, Math.min(8, Math.floor(14 - gapMm - stripHeightMm))),
    playMm: 0.2,
    depthMm: Math.ceil(2 * lipMm + thicknessMm + 4),
    lipMm,
  };
};

/** A case of plywood that the sheet is the top of. */
export const usualTop = ({ stripHeightMm, gapMm }: HeldSheet): TopDesign => ({
  kind: 'top',
  boardId: 'ply-18',
  joint: 'butt',
  seatMm: Math.max(4, Math.min(10, Math.floor(14 - gapMm - stripHeightMm))),
  playMm: 0.4,
  depthMm: 90,
  bottomBoardId: 'ply-6',
});

/** The usual holder of a kind for a sheet. */
export const usualHolder = (kind: HolderDesign['kind'], held: HeldSheet): HolderDesign =>
  kind === 'base' ? usualBase(held) : kind === 'frame' ? usualFrame(held) : usualTop(held);

/** How a framed sheet is held where it is to be. */
export const frameHanging = (place: Brief['place']): HangingDesign => ({
  way: place === 'counter' ? 'feet' : place === 'wall' ? 'brackets' : 'chain',
});
