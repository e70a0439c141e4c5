import {
  renderFace,
  renderFalseColour,
  sceneBehind,
  type Ambient,
  type AssemblyEvaluation,
  type Exposure,
} from '@vitrum/core';
import { useEffect, useRef } from 'react';
import { outlinePath } from './front-shapes';
import { rectOnScreen, turnOf, type FrontView } from './front-view';

interface FaceCanvasProps {
  /** All assemblies of the sign, and which of them this is. */
  readonly sign: readonly AssemblyEvaluation[];
  readonly index: number;
  readonly view: FrontView;
  readonly ambient: Ambient;
  readonly lit: boolean;
  /** Luminance at the top of the scale; null shows the true picture. */
  readonly falseTop: number | null;
  /** What the eye is used to. */
  readonly exposure: Exposure;
}

/** The lit face, a cell a pixel, stretched smoothly over its place. */
export const FaceCanvas = ({ sign, index, view, ambient, lit, falseTop, exposure }: FaceCanvasProps) => {
  const own = sign[index]!;
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    // Of several assemblies, each is seen with what stands behind it.
    const behind =
      sign.length > 1 && own.front.lights === 'ground'
        ? sceneBehind(sign, index, lit, exposure.lux, exposure.whiteCdM2 / exposure.surroundWhiteCdM2)
        : null;
    const picture =
      falseTop === null ? renderFace(own, ambient, lit, false, exposure, behind) : renderFalseColour(own, falseTop);
    const target = canvas.current;
    const context = target?.getContext('2d');
    if (!target || !context) return;
    target.width = picture.width;
    target.height = picture.height;
    context.putImageData(new ImageData(new Uint8ClampedArray(picture.data), picture.width, picture.height), 0, 0);
  }, [sign, index, own, ambient, lit, falseTop, exposure]);
  const place = rectOnScreen(view, own.glow.grid.area);
  const { clip } = own.front;
  const local = { ...view, originX: view.originX - place.x, originY: view.originY - place.y };
  return (
    <canvas
      ref={canvas}
      aria-hidden
      data-testid="face"
      className="absolute"
      style={{
        left: place.x,
        top: place.y,
        width: place.width,
        height: place.height,
        clipPath: clip === null ? undefined : `path("${outlinePath(clip, local)}")`,
        transform: turnOf(view) === 0 ? undefined : `rotate(${-turnOf(view)}deg)`,
        transformOrigin: `${local.originX}px ${local.originY}px`,
      }}
    />
  );
};
