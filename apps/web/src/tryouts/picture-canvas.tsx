import type { Picture } from '@vitrum/core';
import { useEffect, useRef } from 'react';

interface PictureCanvasProps {
  readonly picture: Picture;
  readonly label: string;
  readonly className?: string;
}

/** A rendered picture, pixel by pixel. */
export const PictureCanvas = ({ picture, label, className = '' }: PictureCanvasProps) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (context === null || context === undefined) return;
    const image = context.createImageData(picture.width, picture.height);
    image.data.set(picture.data);
    context.putImageData(image, 0, 0);
  }, [picture]);
  return (
    <canvas
      ref={canvas}
      width={picture.width}
      height={picture.height}
      role="img"
      aria-label={label}
      className={className}
    />
  );
};
