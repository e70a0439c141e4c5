import type { LetterAssembly } from '@vitrum/core';
import type { OverlayProps } from '../common/build-page';
import { toScreen } from '../../lamp-room/front-view';

/** How far a line is drawn to each side of its place (mm). */
const drawnMm = 70;

/** Where letters are cut in two. */
export const SplitLines = ({ own, view }: OverlayProps) => {
  const { splits } = own.assembly.artwork as LetterAssembly['artwork'];
  return (
    <g data-testid="split-lines">
      {(splits ?? []).map(({ xMm, yMm, angleDeg }, index) => {
        const [dx, dy] = [
          Math.cos((angleDeg * Math.PI) / 180) * drawnMm,
          Math.sin((angleDeg * Math.PI) / 180) * drawnMm,
        ];
        const [x1, y1] = toScreen(view, xMm - dx, yMm - dy);
        const [x2, y2] = toScreen(view, xMm + dx, yMm + dy);
        return (
          <g key={index}>
            <title>{`split ${index + 1}`}</title>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#10212c" strokeWidth={3.5} />
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#9be29b" strokeWidth={1.5} strokeDasharray="8 3 2 3" />
          </g>
        );
      })}
    </g>
  );
};
