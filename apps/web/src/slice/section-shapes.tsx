import { buildOf, formatLength, type AssemblyEvaluation } from '@vitrum/core';
import { useView } from '../view/view-store';
import { onSlice, ringPath, type SliceDrawing } from './slice-drawing';

const fills = {
  return: 'url(#grain)',
  back: '#dcc79a',
  face: '#cfe3ec',
  strip: '#1a1c21',
  block: '#b9b2a3',
  wall: '#c9c4b8',
  letter: 'url(#grain)',
  post: '#8d99a3',
  batten: '#d6b67c',
  fixing: '#6f7a84',
} as const;

/** What a section cuts through, each part in its own look. */
export const SectionShapes = ({ drawing }: { readonly drawing: SliceDrawing }) => (
  <>
    <defs>
      <pattern id="grain" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(8)">
        <rect width="7" height="7" fill="#e0c996" />
        <path d="M0 2h7M0 5.5h7" stroke="#c4a667" strokeWidth="0.7" />
      </pattern>
    </defs>
    <clipPath id="slice-window">
      <rect
        x={drawing.left - 1}
        y={drawing.faceY - 1}
        width={drawing.widthPx + 2}
        height={(drawing.frontZMm - drawing.rearZMm) * drawing.scale + 2}
      />
    </clipPath>
    {drawing.section.shapes.map((shape, index) => (
      <path
        key={`${shape.role}-${index}`}
        d={ringPath(drawing, shape.ring)}
        fill={fills[shape.role]}
        stroke="#4a4438"
        strokeWidth={0.8}
        clipPath={drawing.section.near === undefined ? undefined : 'url(#slice-window)'}
      />
    ))}
  </>
);

/** The depth that decides, measured beside the section, and which end is up. */
export const SectionDepth = ({
  drawing,
  own,
}: {
  readonly drawing: SliceDrawing;
  readonly own: AssemblyEvaluation;
}) => {
  const unit = useView((view) => view.unit);
  const { mm, at, label } = buildOf(own).depth(own);
  const fromZ = at?.fromZMm ?? 0;
  const [rightX] = onSlice(drawing, 0, drawing.lowMm);
  const [, faceInner] = onSlice(drawing, fromZ + mm, 0);
  const [, backInner] = onSlice(drawing, fromZ, 0);
  const [, underY] = onSlice(drawing, drawing.rearZMm, 0);
  return (
    <>
      <g className="figure fill-ink stroke-ink" fontSize={13}>
        <path
          fill="none"
          d={`M${rightX + 8} ${faceInner}h10M${rightX + 13} ${faceInner}V${backInner}M${rightX + 8} ${backInner}h10`}
        />
        <text
          stroke="none"
          transform={`translate(${rightX + 32} ${(faceInner + backInner) / 2}) rotate(-90)`}
          textAnchor="middle"
          data-testid="slice-depth"
        >
          {formatLength(mm, unit)}
          {at !== undefined && ` ${label.toLowerCase()}`}
        </text>
      </g>
      <g fontSize={12} className="fill-soft">
        <text x={drawing.left} y={underY + 15}>
          top
        </text>
      </g>
    </>
  );
};
