interface FitPlotProps {
  /** Points as read, and the line or curve as fitted; in any unit, from 0. */
  readonly points: readonly (readonly [number, number])[];
  readonly curve: readonly (readonly [number, number])[];
  readonly across: string;
  readonly upward: string;
}

const size = { width: 420, height: 150, left: 8, right: 8, top: 8, bottom: 8 } as const;

/** Readings as dots, the fit as a line. */
export const FitPlot = ({ points, curve, across, upward }: FitPlotProps) => {
  const all = [...points, ...curve];
  const topX = Math.max(1e-9, ...all.map(([x]) => x));
  const topY = Math.max(1e-9, ...all.map(([, y]) => y));
  const place = ([x, y]: readonly [number, number]): readonly [number, number] => [
    size.left + (x / topX) * (size.width - size.left - size.right),
    size.height - size.bottom - (y / topY) * (size.height - size.top - size.bottom),
  ];
  return (
    <figure className="my-2">
      <svg
        viewBox={`0 0 ${size.width} ${size.height}`}
        className="w-full border border-line bg-paper"
        role="img"
        aria-label={`${upward} over ${across}: ${points.length} readings and the fit`}
      >
        <path
          d={`M${curve
            .map((point) =>
              place(point)
                .map((value) => value.toFixed(1))
                .join(' '),
            )
            .join('L')}`}
          fill="none"
          className="stroke-signal"
          strokeWidth={1.6}
        />
        {points.map((point, index) => {
          const [x, y] = place(point);
          return <circle key={index} cx={x} cy={y} r={3.2} className="fill-ink" />;
        })}
      </svg>
      <figcaption className="text-xs text-soft">
        Across: {across}, to {Math.round(topX)}. Upward: {upward}. Dots are readings, the line is the fit.
      </figcaption>
    </figure>
  );
};
