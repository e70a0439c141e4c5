import type { Evaluation, Segment } from '@vitrum/core';
import { StripHandle } from './strip-handle';
import { toScreen, type FrontView } from './front-view';

interface OverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
}

/** Numbers stand this far above strings of modules, so as not to lie on one (px). */
const aboveModulesPx = 16;
/** Pieces drawn with so few points are straight. */
const straightPoints = 2;

const pathOf = ({ path }: Segment, view: FrontView): string =>
  `M${path
    .map(([x, y]) =>
      toScreen(view, x, y)
        .map((px) => px.toFixed(1))
        .join(' '),
    )
    .join('L')}`;

const middleOf = ({ path, from, to }: Segment): readonly [number, number] => {
  const half = path[path.length >> 1]!;
  return path.length <= straightPoints ? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] : [half[0], half[1]];
};

/** Wires to and between the pieces of letters. */
const Jumpers = ({ evaluation, view }: OverlayProps) =>
  evaluation.build === 'lightbox'
    ? null
    : evaluation.jumpers.map(({ from, to, at, lengthMm }) => {
        const [x1, y1] = toScreen(view, ...at[0]);
        const [x2, y2] = toScreen(view, ...at[1]);
        return (
          <g key={`${from}-${to}`}>
            <title>{`jumper from ${from} to ${to}, ${Math.ceil(lengthMm)} mm`}</title>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#1a1c21" strokeWidth={3} />
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#d2521a" strokeWidth={1.5} />
          </g>
        );
      });

/** Modules of letters, each to be dragged along its wire. */
const Modules = ({ evaluation, view }: OverlayProps) => {
  if (evaluation.build === 'lightbox' || evaluation.materials.strip.form !== 'modules') return null;
  const { leds, segments } = evaluation.runs;
  return segments.map((segment, index) => {
    const first = leds.segment.indexOf(index);
    return Array.from({ length: segment.ledCount }, (_, led) => (
      <StripHandle
        key={`${segment.number}-${led}`}
        segment={segment}
        module={led + 1}
        at={[leds.x[first + led]!, leds.y[first + led]!]}
        alongMm={leds.along[first + led]!}
        view={view}
      />
    ));
  });
};

/** Pieces of strip with their numbers and the way current runs. */
export const StripOverlay = ({ evaluation, view }: OverlayProps) => {
  const width = Math.max(3, evaluation.materials.strip.widthMm * view.scale);
  return (
    <g data-testid="strip-overlay">
      <Jumpers evaluation={evaluation} view={view} />
      {evaluation.runs.segments.map((segment) => {
        const [x1, y1] = toScreen(view, segment.from[0], segment.from[1]);
        const [mx, middleY] = toScreen(view, ...middleOf(segment));
        const my = middleY - (evaluation.materials.strip.form === 'modules' ? aboveModulesPx : 0);
        const path = pathOf(segment, view);
        return (
          <g key={segment.number} fill="none">
            <path d={path} stroke="#1a1c21" strokeOpacity={0.75} strokeWidth={width} />
            <path
              d={path}
              stroke="#ffd27a"
              strokeWidth={1.5}
              strokeDasharray="1 5"
              strokeLinecap="round"
              markerEnd="url(#arrow)"
            />
            {evaluation.build !== 'lightbox' ? (
              <StripHandle segment={segment} at={[segment.from[0], segment.from[1]]} alongMm={0} view={view} />
            ) : (
              <circle cx={x1} cy={y1} r={4} fill="#ffd27a" />
            )}
            <circle cx={mx} cy={my} r={10} fill="#1a1c21" stroke="#ffd27a" />
            <text
              x={mx}
              y={my + 4}
              textAnchor="middle"
              fontSize={11}
              fontWeight={700}
              fill="#ffd27a"
              className="figure"
            >
              {segment.number}
            </text>
          </g>
        );
      })}
      <Modules evaluation={evaluation} view={view} />
    </g>
  );
};
