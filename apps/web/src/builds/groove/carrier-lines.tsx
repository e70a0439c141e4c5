import type { GrooveResults } from '@vitrum/core';
import { toScreen } from '../../lamp-room/front-view';
import type { OverlayProps } from '../common/build-page';
import { LineOverlay } from './line-overlay';

/** How far a seam is drawn past the carrier (mm). */
const pastMm = 15;

/** Seams of the carrier, from edge to edge. */
const Seams = ({ own, view }: OverlayProps) => {
  const { assembly, geometry } = own as unknown as GrooveResults;
  const reach = Math.hypot(geometry.bounds.width, geometry.bounds.height) / 2 + pastMm;
  return (
    <g data-testid="seams">
      {(assembly.carrier.splits ?? []).map(({ xMm, yMm, angleDeg }, index) => {
        const angle = (angleDeg * Math.PI) / 180;
        const [dx, dy] = [Math.cos(angle) * reach, Math.sin(angle) * reach];
        const [x1, y1] = toScreen(view, xMm - dx, yMm - dy);
        const [x2, y2] = toScreen(view, xMm + dx, yMm + dy);
        return (
          <line
            key={index}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke="#9be29b"
            strokeWidth={1.5}
            strokeDasharray="8 3 2 3"
          >
            <title>{`seam ${index + 1}`}</title>
          </line>
        );
      })}
    </g>
  );
};

/** What is always drawn of a carrier: its seams, and lines that are drawn by hand. */
export const CarrierLines = (props: OverlayProps) => (
  <>
    <Seams {...props} />
    <LineOverlay {...props} />
  </>
);

/** What the strip overlay has besides: wire holes, and wires that run behind. */
export const BehindStrip = ({ own, view }: OverlayProps) => {
  const { runs, wires } = own as unknown as GrooveResults;
  return (
    <g>
      {wires.map(({ from, to, path, lengthMm }) => (
        <polyline
          key={`${from}-${to}`}
          points={path.map(([x, y]) => toScreen(view, x, y).join(',')).join(' ')}
          fill="none"
          stroke="#d2521a"
          strokeWidth={1.3}
          strokeDasharray="4 3"
        >
          <title>{`behind: ${from} to ${to}, ${Math.ceil(lengthMm)} mm`}</title>
        </polyline>
      ))}
      {runs.holes.map(({ segment, end, at, diameterMm }) => {
        const [x, y] = toScreen(view, ...at);
        return (
          <circle
            key={`${segment}-${end}`}
            cx={x}
            cy={y}
            r={Math.max(2, (diameterMm / 2) * view.scale)}
            fill="#10212c"
            stroke="#8fd3ff"
            strokeWidth={1}
          >
            <title>{`wire hole, segment ${segment} ${end}`}</title>
          </circle>
        );
      })}
    </g>
  );
};
