import type { Evaluation } from '@vitrum/core';
import { toScreen, type FrontView } from './front-view';

interface WiresOverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
}

/** Wires shorter than this on the screen carry no figure (px). */
const leastLabelledPx = 60;

/** Wires inside the piece, straight from joint to joint: what each carries, and where a run is fed besides its beginning. */
export const WiresOverlay = ({ evaluation, view }: WiresOverlayProps) => (
  <g data-testid="wires-overlay">
    {evaluation.circuit.wires.map(({ from, to, at, amps, wire, injected }) => {
      const [x1, y1] = toScreen(view, at[0][0], at[0][1]);
      const [x2, y2] = toScreen(view, at[1][0], at[1][1]);
      // Feeds that run along others carry their figure toward their end.
      const share = injected ? 0.8 : 0.5;
      const [mx, my] = [x1 + share * (x2 - x1), y1 + share * (y2 - y1)];
      return (
        <g key={`${from} ${to}`}>
          <title>{`${from} to ${to}, ${wire.areaMm2} mm², ${amps.toFixed(2)} A`}</title>
          <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#1a1c21" strokeWidth={5} strokeLinecap="round" />
          <line
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke={injected ? '#58c1ff' : '#ff8a4a'}
            strokeWidth={2.5}
            strokeLinecap="round"
            strokeDasharray={injected ? '7 5' : undefined}
          />
          <circle cx={x2} cy={y2} r={4} fill={injected ? '#58c1ff' : '#ff8a4a'} stroke="#1a1c21" />
          {Math.hypot(x2 - x1, y2 - y1) > leastLabelledPx && (
            <text
              x={mx}
              y={my - 6}
              textAnchor="middle"
              fontSize={12}
              className="figure"
              fill="#fff"
              stroke="#1a1c21"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {amps.toFixed(2)} A
            </text>
          )}
        </g>
      );
    })}
  </g>
);
