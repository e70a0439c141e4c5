import type { Evaluation } from '@vitrum/core';
import { alongPath, lengthOf } from './along-path';
import { toScreen, type FrontView } from './front-view';
import { figureWidth, thinned, type Label } from './thinned';

interface WiresOverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  /** Where other numbers stand, which these keep clear of. */
  readonly taken: readonly Label[];
}

/** Wires shorter than this on the screen carry no figure (px). */
const leastLabelledPx = 60;

const labelPx = 12;

type Wire = Evaluation['circuit']['wires'][number];

/** A wire on the screen, and the figure that it carries. */
const drawnWire = (wire: Wire, view: FrontView) => {
  const places = wire.path.map(([x, y]) => toScreen(view, x, y));
  // Feeds that run along others carry their figure toward their end.
  const [x, y] = alongPath(places, wire.injected ? 0.8 : 0.5);
  const figure = wire.carries === 'data' ? 'data' : `${wire.amps.toFixed(2)} A`;
  const label: Label = { x, y: y - 10, width: figureWidth(figure, labelPx) + 4, height: labelPx + 2 };
  return { wire, places, figure, label, long: lengthOf(places) > leastLabelledPx };
};

/** Wires inside the sign on their ways: what each carries, the holes it goes through, and where a run is fed besides its beginning. */
export const WiresOverlay = ({ evaluation, view, taken }: WiresOverlayProps) => {
  const drawn = evaluation.circuit.wires.map((wire) => drawnWire(wire, view));
  const labelled = drawn.filter(({ long }) => long);
  const clear = thinned([...taken, ...labelled.map(({ label }) => label)]).slice(taken.length);
  const shown = new Set(labelled.filter((_, index) => clear[index]));
  return (
    <g data-testid="wires-overlay">
      {drawn.map((each) => {
        const { wire: run, places, figure, label } = each;
        const { from, to, holes, wire, injected, carries, cores } = run;
        const line = places.map(([x, y]) => `${x},${y}`).join(' ');
        const [x2, y2] = places[places.length - 1]!;
        const colour = carries === 'data' ? '#6fd08c' : injected ? '#58c1ff' : '#ff8a4a';
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
            {shown.has(each) && (
              <text
                x={label.x}
                y={label.y + 4}
                textAnchor="middle"
                fontSize={labelPx}
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
};
