import type { Evaluation } from '@vitrum/core';
import { alongPath, lengthOf } from './along-path';
import { toScreen, type FrontView } from './front-view';

interface WiresOverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
}

/** Wires shorter than this on the screen carry no figure (px). */
const leastLabelledPx = 60;

/** Wires inside the sign on their ways: what each carries, the holes it goes through, and where a run is fed besides its beginning. */
export const WiresOverlay = ({ evaluation, view }: WiresOverlayProps) => (
  <g data-testid="wires-overlay">
    {evaluation.circuit.wires.map(({ from, to, path, holes, amps, wire, injected, carries, cores }) => {
      const places = path.map(([x, y]) => toScreen(view, x, y));
      const line = places.map(([x, y]) => `${x},${y}`).join(' ');
      // Feeds that run along others carry their figure toward their end.
      const [mx, my] = alongPath(places, injected ? 0.8 : 0.5);
      const [x2, y2] = places[places.length - 1]!;
      const colour = carries === 'data' ? '#6fd08c' : injected ? '#58c1ff' : '#ff8a4a';
      const figure = carries === 'data' ? 'data' : `${amps.toFixed(2)} A`;
      return (
        <g key={`${from} ${to} ${carries}`}>
          <title>{`${from} to ${to}, ${wire.areaMm2} mm², ${cores.map(({ name }) => name).join(', ')}, ${figure}`}</title>
          <polyline points={line} fill="none" stroke="#1a1c21" strokeWidth={5} strokeLinejoin="round" />
          <polyline
            points={line}
            fill="none"
            stroke={colour}
            strokeWidth={2.5}
            strokeLinejoin="round"
            strokeDasharray={injected || carries === 'data' ? '7 5' : undefined}
          />
          <circle cx={x2} cy={y2} r={4} fill={colour} stroke="#1a1c21" />
          {holes.map(([x, y], hole) => {
            const [hx, hy] = toScreen(view, x, y);
            return <circle key={hole} cx={hx} cy={hy} r={5} fill="#1a1c21" stroke="#fff" strokeWidth={1.5} />;
          })}
          {lengthOf(places) > leastLabelledPx && (
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
              {figure}
            </text>
          )}
        </g>
      );
    })}
  </g>
);
