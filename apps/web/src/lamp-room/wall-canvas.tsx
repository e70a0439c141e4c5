import { renderWall, type AssemblyEvaluation, type Exposure, type Glare } from '@vitrum/core';
import { useEffect, useRef } from 'react';
import { paint } from '../ui/paint';
import { rectOnScreen, type FrontView } from './front-view';

interface WallCanvasProps {
  readonly sign: readonly AssemblyEvaluation[];
  readonly view: FrontView;
  readonly exposure: Exposure;
  readonly glare: Glare;
}

/** The wall round the sign, with the veil that its light lays over it in the eye. */
export const WallCanvas = ({ sign, view, exposure, glare }: WallCanvasProps) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    paint(canvas.current, renderWall(sign, glare, exposure));
  }, [sign, glare, exposure]);
  const { x, y, width, height } = rectOnScreen(view, glare.area);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      data-testid="wall-canvas"
      className="absolute max-w-none"
      style={{ left: x, top: y, width, height }}
    />
  );
};
