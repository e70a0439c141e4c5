export {
  asArtwork,
  takeDrawing,
  usualIntake,
  type DrawingFile,
  type IntakeOptions,
  type TakenDrawing,
} from './take-drawing.js';
export { mostLayers, takeLayers, type LayerOptions, type TakenLayer, type TakenLayers } from './take-layers.js';
export { asDrawnLines, takeLines, type DrawnLine, type TakenLines } from './take-lines.js';
