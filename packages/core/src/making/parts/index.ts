import type { Member } from '../../joinery/members/index.js';
import type { BoughtPart, CutPart, Parts } from './types.js';

export { clipEveryMm, clipsOf, electrical, sundry, type StripUse } from './bought.js';
export { layerOf, layersByDepth } from './layers.js';
export { plainBoard } from './plain-board.js';
export type { BoughtPart, CutPart, Operation, PartLayer, Parts, PartShape } from './types.js';

/** The parts stage: what is cut and what is bought for one sign, and what hangs of it. */
export const sumParts = (cut: readonly CutPart[], bought: readonly BoughtPart[]): Parts => ({
  cut,
  bought,
  kg:
    cut.reduce((sum, part) => sum + (part.hangs === false ? 0 : part.kg * part.count), 0) +
    bought.reduce((sum, part) => sum + (part.hangs ? part.kg : 0), 0),
});

/** The members among parts, by the names of their parts. */
export const membersOf = (cut: readonly CutPart[]): readonly Member[] =>
  cut.flatMap(({ member, name }) => (member === undefined ? [] : [{ ...member, name }]));
