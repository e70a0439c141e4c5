export type { CansGeometry, CaseGeometry, LettersGeometry, SignGeometry, SheetSize } from './types.js';
