import { renderFace, renderFalseColour, type Ambient, type Evaluation, type Exposure } from '@vitrum/core';
import { useEffect, useRef } from 'react';
import { rectOnScreen, type FrontView } from './front-view';

interface FaceCanvasProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  readonly ambient: Ambient;
  readonly lit: boolean;
  /** Luminance at the top of the scale; null shows the true picture. */
  readonly falseTop: number | null;
  /** What the eye is used to. */
  readonly exposure: Exposure;
}

/** The lit face, a cell a pixel, stretched smoothly over its place. */
export const FaceCanvas = ({ evaluation, view, ambient, lit, falseTop, exposure }: FaceCanvasProps) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const picture =
      falseTop === null
        ? renderFace(evaluation, ambient, lit, false, exposure)
        : renderFalseColour(evaluation, falseTop);
    const target = canvas.current;
    const context = target?.getContext('2d');
    if (!target || !context) return;
    target.width = picture.width;
    target.height = picture.height;
    context.putImageData(new ImageData(new Uint8ClampedArray(picture.data), picture.width, picture.height), 0, 0);
  }, [evaluation, ambient, lit, falseTop, exposure]);
  const place = rectOnScreen(view, evaluation.glow.grid.area);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      data-testid="face"
      className="absolute"
      style={{ left: place.x, top: place.y, width: place.width, height: place.height }}
    />
  );
};
