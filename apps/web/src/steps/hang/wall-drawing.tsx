import { studMm, studsBetween, type Hang, type Rect } from '@vitrum/core';
import { useLength } from '../../view/use-length';

const width = 300;
const height = 190;
/** Floor at the bottom, its dimension at the left (px). */
const floorPx = 14;
const leftPx = 46;

/** The wall with its floor, studs, the sign and its fixings, to scale; a counter for what stands on one. */
export const WallDrawing = ({ hang, bounds }: { readonly hang: Hang; readonly bounds: Rect }) => {
  const show = useLength();
  const standing = hang.way === 'feet';
  const bottomMm = standing ? bounds.y - 30 : -hang.heightMm;
  const topMm = bounds.y + bounds.height + Math.max(100, 0.25 * bounds.height);
  const scale = Math.min((height - floorPx - 8) / (topMm - bottomMm), (width - leftPx - 24) / (bounds.width * 1.15));
  const middle = leftPx + (width - leftPx) / 2;
  const x = (mm: number): number => middle + (mm - bounds.x - bounds.width / 2) * scale;
  const y = (mm: number): number => height - floorPx - (mm - bottomMm) * scale;
  const reach = (width - leftPx) / 2 / scale;
  const centreX = bounds.x + bounds.width / 2;
  const studs = studsBetween(hang.wall, centreX - reach + studMm, centreX + reach - studMm);
  const words = [
    standing ? 'The sign on its counter' : `The wall, middle of the sign ${show(hang.heightMm)} above the floor`,
    ...(studs.length > 0 ? [`${studs.length} studs`] : []),
    `${hang.fixings.length} fixings`,
  ].join(', ');
  return (
    <svg role="img" aria-label={words} viewBox={`0 0 ${width} ${height}`} className="mt-2 w-full bg-sheet text-ink">
      {studs.map((at) => (
        <rect
          key={at}
          x={x(at - studMm / 2)}
          y={0}
          width={studMm * scale}
          height={height - floorPx}
          fill="currentColor"
          opacity={0.08}
        />
      ))}
      <line
        x1={leftPx - 10}
        y1={height - floorPx}
        x2={width}
        y2={height - floorPx}
        stroke="currentColor"
        strokeWidth={1.5}
      />
      {hang.bodies.map(({ id, bounds: rect }) => (
        <rect
          key={id}
          x={x(rect.x)}
          y={y(rect.y + rect.height)}
          width={Math.max(1, rect.width * scale)}
          height={Math.max(1, rect.height * scale)}
          fill="none"
          stroke="currentColor"
          strokeWidth={1}
        />
      ))}
      {standing &&
        [-1, 1].map((side) => (
          <rect
            key={side}
            x={x(centreX + side * 0.35 * bounds.width) - 9 * scale}
            y={y(bounds.y)}
            width={18 * scale}
            height={30 * scale}
            fill="currentColor"
            opacity={0.35}
          />
        ))}
      {hang.cleat !== null && (
        <rect
          x={x(hang.cleat.middleMm - hang.cleat.wallLengthMm / 2)}
          y={y(hang.cleat.topMm)}
          width={hang.cleat.wallLengthMm * scale}
          height={Math.max(2, hang.cleat.highMm * scale)}
          fill="currentColor"
          opacity={0.35}
        />
      )}
      {!standing && (
        <>
          <line
            x1={leftPx - 4}
            y1={y(0)}
            x2={width}
            y2={y(0)}
            stroke="currentColor"
            strokeWidth={0.75}
            strokeDasharray="4 3"
            opacity={0.6}
          />
          <line
            x1={leftPx - 4}
            y1={y(0)}
            x2={leftPx - 4}
            y2={height - floorPx}
            stroke="currentColor"
            strokeWidth={0.75}
          />
          <text
            x={leftPx - 10}
            y={(y(0) + height - floorPx) / 2}
            fontSize={11}
            fill="currentColor"
            textAnchor="middle"
            transform={`rotate(-90 ${leftPx - 10} ${(y(0) + height - floorPx) / 2})`}
            className="figure"
          >
            {show(hang.heightMm)}
          </text>
        </>
      )}
      {hang.fixings.map(({ at, use }, index) => (
        <circle
          key={index}
          cx={x(at[0])}
          cy={y(at[1])}
          r={3}
          className={use > 1 ? 'fill-signal' : 'fill-ink'}
          stroke="white"
          strokeWidth={0.75}
        />
      ))}
      <text x={width - 4} y={height - 3} fontSize={10} fill="currentColor" textAnchor="end">
        {standing ? 'counter' : 'floor'}
      </text>
    </svg>
  );
};
