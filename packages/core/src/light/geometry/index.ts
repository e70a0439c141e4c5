export type { CansGeometry, CaseGeometry, LettersGeometry, Member, SignGeometry, Seat, SheetSize } from './types.js';
