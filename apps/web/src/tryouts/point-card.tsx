import type { TryPoint } from '@vitrum/core';
import { useLength } from '../view/use-length';
import { PictureCanvas } from './picture-canvas';

interface PointCardProps {
  readonly point: TryPoint;
  readonly currency: string;
}

/** One combination: how it looks lit, and its figures. */
export const PointCard = ({ point, currency }: PointCardProps) => {
  const show = useLength();
  return (
    <figure
      className="pointer-events-none absolute top-3 right-6 flex w-[330px] gap-3 border border-line bg-sheet p-2 shadow-md"
      data-testid="point-card"
    >
      <PictureCanvas picture={point.picture} label="How it looks lit" className="h-auto w-32 self-start bg-black" />
      <figcaption className="min-w-0 text-xs">
        <strong className="block leading-tight">{point.face}</strong>
        <span className="figure block">
          {show(point.depthMm)}, {point.rows} row{point.rows === 1 ? '' : 's'}, {point.ledCount} LEDs
        </span>
        <span className="figure block">
          {Math.round(point.meanCdM2)} cd/m², darkest {Math.round(point.minOverMean * 100)} %
        </span>
        <span className="figure block">
          {currency}
          {point.costPerSign.toFixed(2)} a sign
        </span>
        <span className={point.fails.length === 0 ? 'text-sound' : 'text-signal'}>
          {point.fails.length === 0 ? 'will do; click to take it' : `fails: ${point.fails.join(', ')}`}
        </span>
      </figcaption>
    </figure>
  );
};
