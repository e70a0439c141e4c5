import type { AssemblyEvaluation, Segment } from '@vitrum/core';
import { pageOf } from '../builds';
import { toScreen, type FrontView } from './front-view';
import { stripLabels } from './strip-labels';
import { thinned } from './thinned';

interface OverlayProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
}

const pathOf = ({ path }: Segment, view: FrontView): string =>
  `M${path
    .map(([x, y]) =>
      toScreen(view, x, y)
        .map((px) => px.toFixed(1))
        .join(' '),
    )
    .join('L')}`;

/** Segments of strip with what they are called and the way current runs. */
export const StripOverlay = ({ own, view }: OverlayProps) => {
  const width = Math.max(3, own.materials.strip.widthMm * view.scale);
  const { drawn, SegmentStart } = pageOf(own);
  const Own = drawn.strip;
  const labels = stripLabels(own, view);
  const shown = thinned(labels);
  return (
    <g data-testid="strip-overlay">
      {Own !== undefined && <Own own={own} view={view} />}
      {own.runs.segments.map((segment, index) => {
        const [x1, y1] = toScreen(view, segment.from[0], segment.from[1]);
        const { x: mx, y: my } = labels[index]!;
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
            {SegmentStart === null ? (
              <circle cx={x1} cy={y1} r={4} fill="#ffd27a" />
            ) : (
              <SegmentStart segment={segment} view={view} />
            )}
            {shown[index]! && (
              <>
                <circle cx={mx} cy={my} r={own.label === '' ? 10 : 12} fill="#1a1c21" stroke="#ffd27a" />
                <text
                  x={mx}
                  y={my + 4}
                  textAnchor="middle"
                  fontSize={own.label === '' ? 11 : 10}
                  fontWeight={700}
                  fill="#ffd27a"
                  className="figure"
                >
                  {own.label}
                  {segment.number}
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
};
