export { solveSign, type SolvedSign } from './solve-sign.js';
