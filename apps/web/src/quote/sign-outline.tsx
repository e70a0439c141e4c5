import { isFaceOn, quadPlace, wallHeightMm, wallRectangle, type PicturePoint, type WallSetup } from '@vitrum/core';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { arrowStep, pictureAt } from '../photo/picture-place';

interface SignOutlineProps {
  readonly setup: WallSetup;
  readonly picture: { readonly width: number; readonly height: number };
  /** How large the sign is (mm). */
  readonly front: { readonly width: number; readonly height: number };
  readonly onChange: (middleMm: PicturePoint) => void;
}

/** One step of an arrow key moves a sign so far (mm). */
const stepMm = 10;

/** The outline of the sign on the wall in a photograph, to be moved by pointer or by arrow keys. */
export const SignOutline = ({ setup, picture, front, onChange }: SignOutlineProps) => {
  const outline = useRef<SVGPolygonElement>(null);
  /** From the pointer to the middle of the sign, as it was taken hold of (mm). */
  const held = useRef<PicturePoint | null>(null);
  if (!isFaceOn(setup.corners) || !(setup.widthMm > 0)) return null;
  const heightMm = wallHeightMm(setup, picture);
  const wallAt = (event: PointerEvent): PicturePoint | null => {
    const frame = outline.current?.ownerSVGElement;
    const place = frame ? quadPlace(setup.corners)(...pictureAt(frame, event)) : null;
    return place === null ? null : [place[0] * setup.widthMm, place[1] * heightMm];
  };
  const take = (event: PointerEvent<SVGPolygonElement>): void => {
    const at = wallAt(event);
    if (at === null) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = [setup.middleMm[0] - at[0], setup.middleMm[1] - at[1]];
  };
  const drag = (event: PointerEvent): void => {
    const at = held.current === null || event.buttons === 0 ? null : wallAt(event);
    if (at !== null) onChange([Math.round(at[0] + held.current![0]), Math.round(at[1] + held.current![1])]);
  };
  const step = (event: KeyboardEvent): void => {
    const move = arrowStep(event);
    if (move === null) return;
    event.preventDefault();
    onChange([setup.middleMm[0] + stepMm * move[0], setup.middleMm[1] + stepMm * move[1]]);
  };
  const [right, down] = setup.middleMm.map(Math.round) as [number, number];
  return (
    <polygon
      ref={outline}
      role="slider"
      tabIndex={0}
      aria-label="The sign"
      aria-valuenow={right}
      aria-valuetext={`its middle ${right} mm right of and ${down} mm below the upper left corner`}
      points={wallRectangle(setup, picture, setup.middleMm, front)
        .map((corner) => corner.join(','))
        .join(' ')}
      fill="var(--color-signal)"
      fillOpacity={0.35}
      stroke="var(--color-signal)"
      strokeWidth={Math.max(picture.width, picture.height) / 400}
      className="cursor-move"
      onPointerDown={take}
      onPointerMove={drag}
      onPointerUp={() => (held.current = null)}
      onKeyDown={step}
    />
  );
};
