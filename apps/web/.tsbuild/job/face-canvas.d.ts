import { type Ambient, type Evaluation } from '@vitrum/core';
import { type FrontView } from './front-view';
interface FaceCanvasProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  readonly ambient: Ambient;
  readonly lit: boolean;
  /** Luminance at the top of the scale; null shows the true picture. */
  readonly falseTop: number | null;
}
/** The lit face, a cell a pixel, stretched smoothly over its place. */
export declare const FaceCanvas: ({
  evaluation,
  view,
  ambient,
  lit,
  falseTop,
}: FaceCanvasProps) => import('react').JSX.Element;
export {};
