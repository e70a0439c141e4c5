import {
  addGlare,
  placed,
  shapeColour,
  type AssemblyEvaluation,
  type Exposure,
  type Glare,
  type LinearRgb,
  type Outline,
  type Rect,
} from '@vitrum/core';
import { rectOnScreen, toScreen, type FrontView } from './front-view';

/** An outline as a path on the screen. */
export const outlinePath = (outline: Outline, view: FrontView): string =>
  outline
    .map(
      (ring) =>
        `M${ring
          .map(([x, y]) =>
            toScreen(view, x, y)
              .map((value) => value.toFixed(2))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');

/** Shares of width and height. */
const edgePlaces = [
  [0, 0],
  [0.5, 0],
  [1, 0],
  [0, 0.5],
  [1, 0.5],
  [0, 1],
  [0.5, 1],
  [1, 1],
] as const;

interface FrontProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
  readonly exposure: Exposure;
  readonly lit: boolean;
  /** The veil of the light over what stands round it; null when there is none. */
  readonly glare: Glare | null;
}

/** The veil over the edge of an assembly: the mean of its corners and of the middles between them. */
const veilOver = ({ front, placing }: AssemblyEvaluation, glare: Glare | null): LinearRgb => {
  const veil = new Float64Array(3);
  if (glare === null) return [0, 0, 0];
  const { x, y, width, height } = front.fitted;
  for (const [u, v] of edgePlaces) addGlare(glare, ...placed(placing, [x + u * width, y + v * height]), veil);
  return [veil[0]! / edgePlaces.length, veil[1]! / edgePlaces.length, veil[2]! / edgePlaces.length];
};

/** What is seen of an assembly over its lit ground, under the ambient light. */
export const FrontShapes = ({ own, view, exposure, lit, glare }: FrontProps) => {
  const veil = veilOver(own, glare);
  return (
    <g>
      {own.front.shapes.map((shape) => {
        const colour = shapeColour(own, shape, exposure, lit, veil);
        const line = shape.lineMm === undefined ? null : Math.max(1.5, 2 * shape.lineMm * view.scale);
        return (
          <path
            key={shape.id}
            d={outlinePath(shape.outline, view)}
            fillRule={shape.rule}
            fill={line === null ? colour : 'none'}
            stroke={line === null ? 'none' : colour}
            strokeWidth={line ?? 0}
            data-testid={shape.id}
          />
        );
      })}
    </g>
  );
};

interface OverlayProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
}

interface SizesProps {
  /** What is measured over all. */
  readonly bounds: Rect;
  readonly view: FrontView;
  readonly ink: string;
  readonly show: (mm: number) => string;
}

/** Outside width and height, as on a drawing. */
export const SizesOverlay = ({ bounds, view, ink, show }: SizesProps) => {
  const rect = rectOnScreen(view, bounds);
  const below = rect.y + rect.height + 22;
  const beside = rect.x - 22;
  return (
    <g stroke={ink} fill={ink} fontSize={13} className="figure">
      <path
        fill="none"
        d={`M${rect.x} ${below - 6}v12M${rect.x} ${below}h${rect.width}M${rect.x + rect.width} ${below - 6}v12`}
      />
      <path
        fill="none"
        d={`M${beside - 6} ${rect.y}h12M${beside} ${rect.y}v${rect.height}M${beside - 6} ${rect.y + rect.height}h12`}
      />
      <text stroke="none" x={rect.x + rect.width / 2} y={below + 17} textAnchor="middle">
        {show(bounds.width)}
      </text>
      <text
        stroke="none"
        transform={`translate(${beside - 8} ${rect.y + rect.height / 2}) rotate(-90)`}
        textAnchor="middle"
      >
        {show(bounds.height)}
      </text>
    </g>
  );
};

/** Places that stand out: a triangle up where it is hot, down where it is dark. */
export const SpotMarks = ({ own, view }: OverlayProps) => (
  <g data-testid="spot-marks">
    {own.glow.spots.map(({ kind, at, cdM2, why }) => {
      const [x, y] = toScreen(view, ...at);
      const tip = kind === 'hot' ? -7 : 7;
      return (
        <g key={`${kind}${at.join()}`}>
          <title>{`${kind}: ${Math.round(cdM2)} cd/m², ${why}`}</title>
          <path d={`M${x - 7} ${y - tip}h14L${x} ${y + tip}z`} fill="#fff" stroke="#000" strokeWidth={1.5} />
        </g>
      );
    })}
  </g>
);

const lostNames = { thin: 'stroke too thin', gap: 'gap too narrow', corner: 'corner comes out round' } as const;

/** Detail that the tool loses, each where it is: a diamond round strokes and gaps, a dot on corners. */
export const LostMarks = ({ own, view }: OverlayProps) => (
  <g data-testid="lost-marks">
    {own.workability.lost.map(({ kind, rect, widthMm }) => {
      const [x, y] = toScreen(view, rect.x + rect.width / 2, rect.y + rect.height / 2);
      const title = `${lostNames[kind]}: ${Math.round(widthMm * 100) / 100} mm`;
      return (
        <g key={`${kind}${rect.x},${rect.y}`}>
          <title>{title}</title>
          {kind === 'corner' ? (
            <circle cx={x} cy={y} r={3} fill="#fff" stroke="#c2410c" strokeWidth={1.5} />
          ) : (
            <path d={`M${x - 8} ${y}l8 -8l8 8l-8 8z`} fill="none" stroke="#c2410c" strokeWidth={2} />
          )}
        </g>
      );
    })}
  </g>
);

interface FindingMarkProps {
  readonly view: FrontView;
  readonly rect: Rect;
  readonly strong: boolean;
}

/** Where a finding lies. */
export const FindingMark = ({ view, rect, strong }: FindingMarkProps) => {
  const { x, y, width, height } = rectOnScreen(view, rect);
  return (
    <rect
      x={x}
      y={y}
      width={width}
      height={height}
      fill={strong ? '#ff7a3d22' : 'none'}
      stroke="#ff7a3d"
      strokeWidth={strong ? 2.5 : 1.2}
      strokeDasharray={strong ? undefined : '4 4'}
      data-testid={strong ? 'finding-place' : undefined}
    />
  );
};
