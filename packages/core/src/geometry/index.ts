export type { CaseGeometry, LettersGeometry, Member, PieceGeometry, Seat, SheetSize } from './types.js';
