import { useState } from 'react';

/** The colour of the wall in a picture of a sign, from its corner; null where pictures cannot be read. */
const wallOf = (picture: HTMLImageElement): string | null => {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [1, 1];
  const context = canvas.getContext('2d');
  if (context === null) return null;
  context.drawImage(picture, 0, 0, 1, 1, 0, 0, 1, 1);
  const [red, green, blue] = context.getImageData(0, 0, 1, 1).data;
  return `rgb(${red} ${green} ${blue})`;
};

interface WallPictureProps {
  readonly src: string;
  readonly alt: string;
  readonly className: string;
  readonly testId?: string;
  /** Fetched when it comes near to being seen. */
  readonly lazy?: boolean;
}

/** A picture of a sign on its wall; the wall goes on round it, so that it has no bars. */
export const WallPicture = ({ src, alt, className, testId, lazy = false }: WallPictureProps) => {
  const [wall, setWall] = useState<string | null>(null);
  return (
    <span className={`flex ${className}`} {...(wall === null ? {} : { style: { background: wall } })}>
      <img
        src={src}
        loading={lazy ? 'lazy' : 'eager'}
        alt={alt}
        data-testid={testId}
        onLoad={({ currentTarget }) => setWall(wallOf(currentTarget))}
        className="h-full min-h-0 w-full object-contain"
      />
    </span>
  );
};
