interface DimensionProps {
  /** From one place to the other along the axis (drawing units), and where across it. */
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly upright?: boolean;
  readonly text: string;
  /** Height of the lettering (drawing units). */
  readonly size: number;
  /** On which side of the line the figure stands, in its own direction: past its far end where there is no room within. */
  readonly beyond?: boolean;
}

/** A measure between two places with its figure, lying or upright. */
export const Dimension = ({ from, to, at, upright = false, text, size, beyond = false }: DimensionProps) => {
  const tick = size * 0.4;
  const middle = (from + to) / 2;
  const point = (along: number, across: number): string => (upright ? `${across},${along}` : `${along},${across}`);
  return (
    <g className="fill-ink stroke-ink" strokeWidth={size / 14}>
      <path
        fill="none"
        d={`M${point(from, at - tick)}L${point(from, at + tick)}M${point(to, at - tick)}L${point(to, at + tick)}M${point(from, at)}L${point(to, at)}`}
      />
      <text
        stroke="none"
        fontSize={size}
        textAnchor={upright || beyond ? 'start' : 'middle'}
        x={upright ? at + tick * 1.6 : beyond ? Math.max(from, to) + tick : middle}
        y={upright ? middle + size / 3 : beyond ? at + size / 3 : at - tick}
        className="figure"
      >
        {text}
      </text>
    </g>
  );
};
