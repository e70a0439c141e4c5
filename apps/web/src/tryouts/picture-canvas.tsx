import type { Picture } from '@vitrum/core';
import { useEffect, useRef } from 'react';
import { paint } from '../ui/paint';

interface PictureCanvasProps {
  readonly picture: Picture;
  readonly label: string;
  readonly className?: string;
}

/** A rendered picture, pixel by pixel. */
export const PictureCanvas = ({ picture, label, className = '' }: PictureCanvasProps) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => paint(canvas.current, picture), [picture]);
  return <canvas ref={canvas} role="img" aria-label={label} className={className} />;
};
