export { setByHand } from './kept.js';
export { solveSign, type SolvedSign } from './solve-sign.js';
