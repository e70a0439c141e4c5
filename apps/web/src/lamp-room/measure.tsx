import { crossSection, unplaced, type AssemblyEvaluation } from '@vitrum/core';
import { toScreen, type FrontView } from './front-view';

export type Measuring = readonly (readonly [number, number])[];

const plot = { width: 260, height: 44 } as const;

interface MeasureProps {
  readonly points: Measuring;
  readonly view: FrontView;
  readonly show: (mm: number) => string;
}

/** The measured line with its length. */
export const MeasureLine = ({ points, view, show }: MeasureProps) => {
  const [a, b] = points;
  if (a === undefined || b === undefined) return null;
  const [x1, y1] = toScreen(view, ...a);
  const [x2, y2] = toScreen(view, ...b);
  return (
    <g>
      <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#7cd4ff" strokeWidth={2} />
      <text
        x={(x1 + x2) / 2 + 8}
        y={(y1 + y2) / 2 - 8}
        fill="#7cd4ff"
        stroke="#000"
        strokeWidth={3}
        paintOrder="stroke"
        className="figure"
        fontSize={14}
      >
        {show(Math.hypot(b[0] - a[0], b[1] - a[1]))}
      </text>
    </g>
  );
};

interface PlotProps {
  readonly own: AssemblyEvaluation;
  readonly points: Measuring;
}

/** Luminance along the measured line. */
export const MeasurePlot = ({ own, points }: PlotProps) => {
  const [a, b] = points;
  if (a === undefined || b === undefined || Math.hypot(b[0] - a[0], b[1] - a[1]) < 1) return null;
  const { grid, luminance } = own.glow;
  const { cdM2, lowCdM2, highCdM2 } = crossSection(luminance, grid, unplaced(own.placing, a), unplaced(own.placing, b));
  const top = Math.max(1e-9, highCdM2);
  const path = cdM2
    .map((value, index) => {
      const x = (index / (cdM2.length - 1)) * plot.width;
      return `${x.toFixed(1)} ${(plot.height - (value / top) * (plot.height - 4)).toFixed(1)}`;
    })
    .join('L');
  return (
    <figure
      className="figure absolute bottom-1.5 left-3 rounded-[2px] bg-black/75 px-2 py-1.5 text-[11px] text-[#f2ead8]"
      data-testid="cross-section"
    >
      <svg width={plot.width} height={plot.height} role="img" aria-label="Luminance along the measured line">
        <path d={`M0 ${plot.height - 0.5}h${plot.width}`} stroke="#f2ead8" strokeOpacity={0.4} fill="none" />
        <path d={`M${path}`} stroke="#7cd4ff" strokeWidth={1.8} fill="none" />
      </svg>
      <figcaption>
        {Math.round(lowCdM2)} to {Math.round(highCdM2)} cd/m² along the line
      </figcaption>
    </figure>
  );
};
