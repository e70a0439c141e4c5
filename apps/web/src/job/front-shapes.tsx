import {
  exposureFor,
  filmColour,
  surfaceColour,
  linearOf,
  surroundColour,
  wallRgb,
  type Ambient,
  type BoxEvaluation,
  type Evaluation,
  type FaceLitEvaluation,
  type Outline,
  type Rect,
} from '@vitrum/core';
import { rectOnScreen, toScreen, type FrontView } from './front-view';

const centred = (size: { readonly widthMm: number; readonly heightMm: number }): Rect => ({
  x: -size.widthMm / 2,
  y: -size.heightMm / 2,
  width: size.widthMm,
  height: size.heightMm,
});

const rectPath = ({ x, y, width, height }: Rect): string => `M${x} ${y}h${width}v${height}h${-width}Z`;

const outlinePath = (outline: Outline, view: FrontView): string =>
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

interface FrontProps<Shown extends Evaluation> {
  readonly evaluation: Shown;
  readonly view: FrontView;
  readonly ambient: Ambient;
  readonly lit: boolean;
}

const wood = { 'ply-12': [0.45, 0.34, 0.22], 'ply-18': [0.45, 0.34, 0.22], 'oak-18': [0.34, 0.23, 0.13] } as const;
const woodOf = (id: string) =>
  (wood as Readonly<Record<string, readonly [number, number, number]>>)[id] ?? ([0.4, 0.32, 0.22] as const);

/** The returns’ edges, the seated rim of the face, and the letters, under the ambient light. */
const BoxFront = ({ evaluation, view, ambient, lit }: FrontProps<BoxEvaluation>) => {
  const { geometry, lettering, assembly, glow, materials } = evaluation;
  const exposure = exposureFor(evaluation, ambient, lit);
  const grey = glow.faceReflectance;
  const opening = rectOnScreen(view, centred(geometry.inside));
  const covered = assembly.case.retention !== 'groove';
  const seated = rectOnScreen(view, centred(covered ? geometry.face : geometry.inside));
  const outside = rectOnScreen(view, centred(geometry.outside));
  const film = filmColour(evaluation, ambient, lit);
  const masked = assembly.artwork.mode === 'lit-letters';
  const letters = outlinePath(lettering.outline, view);
  return (
    <g>
      <path
        d={rectPath(outside) + rectPath(seated)}
        fillRule="evenodd"
        fill={surroundColour(woodOf(materials.returnBoard.id), exposure)}
      />
      {covered && (
        <path
          d={rectPath(seated) + rectPath(opening)}
          fillRule="evenodd"
          fill={surfaceColour([grey, grey, grey], exposure)}
        />
      )}
      <path
        d={masked ? rectPath(opening) + letters : letters}
        fillRule={masked ? 'evenodd' : 'nonzero'}
        fill={film}
        data-testid="letters"
      />
    </g>
  );
};

/** The wall round lit letters, and the edges of their returns. */
const CansFront = ({ evaluation, view, ambient, lit }: FrontProps<FaceLitEvaluation>) => {
  const { glow, lettering, assembly } = evaluation;
  const exposure = exposureFor(evaluation, ambient, lit);
  const letters = outlinePath(lettering.outline, view);
  const { x, y, width, height } = rectOnScreen(view, glow.grid.area);
  return (
    <g>
      <path
        d={rectPath({ x: x - 2, y: y - 2, width: width + 4, height: height + 4 }) + letters}
        fillRule="evenodd"
        fill={surroundColour(wallRgb, exposure)}
      />
      <path
        d={letters}
        fill="none"
        stroke={surfaceColour(linearOf(assembly.cans.colour), exposure)}
        strokeWidth={Math.max(1.5, 2 * assembly.cans.wallMm * view.scale)}
        data-testid="letters"
      />
    </g>
  );
};

/** The piece itself over its lit ground, under the ambient light. */
export const FrontShapes = ({ evaluation, ...rest }: FrontProps<Evaluation>) =>
  evaluation.build === 'lightbox' ? (
    <BoxFront evaluation={evaluation} {...rest} />
  ) : evaluation.build === 'face-lit' ? (
    <CansFront evaluation={evaluation} {...rest} />
  ) : (
    <path
      d={outlinePath(evaluation.lettering.outline, rest.view)}
      fill={filmColour(evaluation, rest.ambient, rest.lit)}
      data-testid="letters"
    />
  );

interface OverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
}

interface SizesProps extends OverlayProps {
  readonly ink: string;
  readonly show: (mm: number) => string;
}

/** Outside width and height, as on a drawing. */
export const SizesOverlay = ({ evaluation, view, ink, show }: SizesProps) => {
  const { outside } = evaluation.geometry;
  const rect = rectOnScreen(view, centred(outside));
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
        {show(outside.widthMm)}
      </text>
      <text
        stroke="none"
        transform={`translate(${beside - 8} ${rect.y + rect.height / 2}) rotate(-90)`}
        textAnchor="middle"
      >
        {show(outside.heightMm)}
      </text>
    </g>
  );
};

/** The block on the back, where it stands. */
export const BlockMark = ({ evaluation, view }: OverlayProps) => {
  const block = evaluation.build === 'lightbox' ? evaluation.geometry.block : null;
  if (block === null) return null;
  const { x, y, width, height } = rectOnScreen(view, {
    x: block.x0,
    y: block.y0,
    width: block.x1 - block.x0,
    height: block.y1 - block.y0,
  });
  return <rect x={x} y={y} width={width} height={height} fill="none" stroke="#1a1c21" strokeDasharray="6 4" />;
};

/** Places that stand out: a triangle up where it is hot, down where it is dark. */
export const SpotMarks = ({ evaluation, view }: OverlayProps) => (
  <g data-testid="spot-marks">
    {evaluation.glow.spots.map(({ kind, at, cdM2, why }) => {
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
export const LostMarks = ({ evaluation, view }: OverlayProps) => (
  <g data-testid="lost-marks">
    {evaluation.workability.lost.map(({ kind, rect, widthMm }) => {
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
