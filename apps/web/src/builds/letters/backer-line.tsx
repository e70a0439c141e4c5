import type { OverlayProps } from '../common/build-page';
import { toScreen } from '../../lamp-room/front-view';

/** The edge of the backer that letters stand on; nothing where they hang one by one. */
export const BackerLine = ({ own, view }: OverlayProps) => {
  const body = own.hang?.bodies.find(({ id }) => id === 'backer');
  if (body === undefined) return null;
  const { x, y, width, height } = body.bounds;
  // Bodies are told in the axes of the sign; what is drawn here is in those of the assembly.
  const [left, top] = toScreen(view, x - own.placing.xMm, y - own.placing.yMm + height);
  return (
    <rect
      data-testid="backer-line"
      x={left}
      y={top}
      width={width * view.scale}
      height={height * view.scale}
      fill="none"
      stroke="#d9d2c3"
      strokeOpacity={0.75}
      strokeWidth={1.25}
    />
  );
};
