import type { Cleat, Hang } from '@vitrum/core';
import { useLength } from '../../view/use-length';

const width = 300;
const height = 170;

type Corner = readonly [number, number];

/** The cleat in section, wall at the left: both battens with their bevel, the back, and what they measure. */
export const CleatDrawing = ({ hang, cleat }: { readonly hang: Hang; readonly cleat: Cleat }) => {
  const show = useLength();
  const { thicknessMm: thick, highMm: high, footMm } = cleat;
  const rise = thick * Math.tan((cleat.bevelDeg * Math.PI) / 180);
  const back = hang.bodies[0]?.carrier?.thicknessMm ?? 6;
  // The mate hooks over the batten: its long side lies to the sign, the batten’s to the wall.
  const wallHalf: readonly Corner[] = [
    [0, 0],
    [thick, 0],
    [thick, high],
    [0, high - rise],
  ];
  const mate: readonly Corner[] = [
    [0, high - rise],
    [thick, high],
    [thick, 2 * high - rise],
    [0, 2 * high - rise],
  ];
  const tall = 2 * high - rise;
  const scale = Math.min(110 / (thick * 2 + back + 20), (height - 30) / tall);
  const left = 70;
  const px = ([z, y]: Corner): string => `${left + z * scale},${height - 18 - y * scale}`;
  const ring = (corners: readonly Corner[]): string => corners.map(px).join(' ');
  const right = left + (thick + back) * scale;
  return (
    <svg
      role="img"
      aria-label={`The cleat in section: battens ${show(thick)} thick and ${show(high)} high, bevel ${cleat.bevelDeg}°, lifted ${show(cleat.liftMm)}`}
      viewBox={`0 0 ${width} ${height}`}
      className="mt-2 w-full bg-sheet text-ink"
    >
      <rect x={left - 14} y={4} width={14} height={height - 16} fill="currentColor" opacity={0.12} />
      <polygon points={ring(wallHalf)} className="fill-[#c8a878]" stroke="currentColor" strokeWidth={1} />
      <polygon points={ring(mate)} className="fill-[#e0c79a]" stroke="currentColor" strokeWidth={1} />
      <rect
        x={left + thick * scale}
        y={height - 18 - (tall + 6) * scale}
        width={back * scale}
        height={(tall + 6) * scale}
        fill="currentColor"
        opacity={0.3}
      />
      <g fontSize={11} fill="currentColor" className="figure">
        <text x={left - 18} y={height / 2} textAnchor="end" className="font-sans">
          wall
        </text>
        <text x={right + 8} y={26} className="font-sans">
          mate, on the sign
        </text>
        <text x={right + 8} y={42}>
          {show(high)} × {show(thick)}
        </text>
        <text x={right + 8} y={height / 2 + 6}>
          {cleat.bevelDeg}°, lift {show(cleat.liftMm)}
        </text>
        <text x={right + 8} y={height - 44} className="font-sans">
          batten, on the wall
        </text>
        <text x={right + 8} y={height - 28}>
          {show(cleat.wallLengthMm)} long
        </text>
        {footMm > 0 && (
          <text x={right + 8} y={height - 8}>
            foot spacer {show(footMm)}
          </text>
        )}
      </g>
    </svg>
  );
};
