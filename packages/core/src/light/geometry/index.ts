export type { CansGeometry, CaseGeometry, LettersGeometry, Member, PieceGeometry, Seat, SheetSize } from './types.js';
