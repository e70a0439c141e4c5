import { coreWords, placedOutline, wireKind, type Evaluation } from '@vitrum/core';
import { alongPath } from '../lamp-room/along-path';

type Place = readonly [number, number];

const inks = { power: '#b8491a', injected: '#1f6fb3', data: '#24713a' } as const;
/** Room round the sign, and how tall the drawing stands on the screen (px). */
const marginMm = 25;
const tallPx = 205;

const arrowAt = (path: readonly Place[], share: number, size: number): string => {
  const [x, y] = alongPath(path, share);
  const [px, py] = alongPath(path, Math.max(0, share - 0.02));
  const angle = Math.atan2(y - py, x - px);
  const corner = (turn: number): string => `${x - size * Math.cos(angle + turn)},${y - size * Math.sin(angle + turn)}`;
  return `${corner(0.5)} ${x},${y} ${corner(-0.5)}`;
};

interface BackViewProps {
  readonly evaluation: Evaluation;
  /** The chain whose wires stand out; all alike when null. */
  readonly chain?: number | null;
  /** How tall it stands on the screen (px). */
  readonly tall?: number;
}

/**
 * The sign from behind, as it lies on the bench: strip with numbers and arrows, the way data runs where it is told, wires
 * on their ways, and the holes they go through.
 */
export const BackView = ({ evaluation, chain = null, tall = tallPx }: BackViewProps) => {
  const { bounds, circuit, assemblies } = evaluation;
  const [width, height] = [bounds.width + 2 * marginMm, bounds.height + 2 * marginMm];
  // Left is right from behind, and up is less.
  const place = ([x, y]: readonly number[]): Place => [-x!, -y!];
  const line = (path: readonly (readonly number[])[]): string => path.map((at) => place(at).join()).join(' ');
  const unit = height / tall;
  return (
    <svg
      viewBox={`${marginMm - bounds.x - width} ${marginMm - bounds.y - height} ${width} ${height}`}
      style={{ height: tall, width: (tall * width) / height, maxWidth: 'none' }}
      role="img"
      aria-label={`The sign from behind: ${circuit.segments.length} segments of strip, ${circuit.wires.length} wires`}
    >
      {assemblies.map(({ id, front, placing }) => (
        <path
          key={id}
          d={placedOutline(placing, front.body)
            .map((ring) => `M${line(ring)}Z`)
            .join('')}
          fillRule="evenodd"
          className="fill-paper stroke-soft"
          strokeWidth={unit}
        />
      ))}
      {circuit.wires.map((run) => (
        <polyline
          key={`${run.from} ${run.to} ${run.carries}`}
          points={line(run.path)}
          fill="none"
          stroke={inks[wireKind(run)]}
          strokeWidth={(chain === run.chain ? 3 : 1.8) * unit}
          opacity={chain === null || chain === run.chain ? 1 : 0.25}
          strokeDasharray={wireKind(run) !== 'power' ? `${5 * unit} ${3 * unit}` : undefined}
        >
          <title>{`${run.from} to ${run.to}: ${coreWords(run.cores)}`}</title>
        </polyline>
      ))}
      {circuit.wires.flatMap(({ holes }) =>
        holes.map((hole) => {
          const [x, y] = place(hole);
          return (
            <circle
              key={hole.join()}
              cx={x}
              cy={y}
              r={Math.max(4, 3 * unit)}
              className="fill-sheet stroke-ink"
              strokeWidth={unit}
            />
          );
        }),
      )}
      {circuit.segments.map(({ label, path }) => {
        const way = path.map(place);
        const [x, y] = alongPath(way, 0.5);
        return (
          <g key={label}>
            <polyline points={line(path)} fill="none" className="stroke-ink" strokeWidth={3 * unit} />
            {[0.2, 0.8].map((share) => (
              <polyline
                key={share}
                points={arrowAt(way, share, 7 * unit)}
                fill="none"
                stroke={inks.power}
                strokeWidth={1.6 * unit}
              />
            ))}
            <circle cx={x} cy={y} r={7 * unit} className="fill-sheet stroke-ink" strokeWidth={unit} />
            <text x={x} y={y + 3.2 * unit} textAnchor="middle" fontSize={9 * unit} className="figure fill-ink">
              {label}
            </text>
          </g>
        );
      })}
    </svg>
  );
};
