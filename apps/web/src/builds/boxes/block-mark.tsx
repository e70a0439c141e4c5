import type { BoxResults } from '@vitrum/core';
import { rectOnScreen } from '../../lamp-room/front-view';
import type { OverlayProps } from '../common/build-page';

/** The block on the back, where it stands. */
export const BlockMark = ({ own, view }: OverlayProps) => {
  const { block } = (own as unknown as BoxResults).geometry;
  if (block === null) return null;
  const { x, y, width, height } = rectOnScreen(view, {
    x: block.x0,
    y: block.y0,
    width: block.x1 - block.x0,
    height: block.y1 - block.y0,
  });
  return <rect x={x} y={y} width={width} height={height} fill="none" stroke="#1a1c21" strokeDasharray="6 4" />;
};
