export {
  asArtwork,
  takeDrawing,
  usualIntake,
  type DrawingFile,
  type IntakeOptions,
  type TakenDrawing,
} from './take-drawing.js';
