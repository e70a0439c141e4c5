import {
  renderFace,
  renderFalseColour,
  sceneBehind,
  type Ambient,
  type AssemblyEvaluation,
  type Exposure,
  type Glare,
} from '@vitrum/core';
import { useEffect, useRef } from 'react';
import { paint } from '../ui/paint';
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
  /** The veil of the light over what stands round it; null when there is none. */
  readonly glare: Glare | null;
}

/** The lit face, a cell a pixel, stretched smoothly over its place. */
export const FaceCanvas = ({ sign, index, view, ambient, lit, falseTop, exposure, glare }: FaceCanvasProps) => {
  const own = sign[index]!;
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    // What lights a wall is seen on all that is there already.
    const behind = own.front.lights === 'ground' ? sceneBehind(sign, index, { lit, lux: exposure.lux, glare }) : null;
    const picture =
      falseTop === null ? renderFace(own, ambient, lit, false, { exposure, behind }) : renderFalseColour(own, falseTop);
    paint(canvas.current, picture);
  }, [sign, index, own, ambient, lit, falseTop, exposure, glare]);
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
