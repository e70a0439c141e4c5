import type { SetUp } from '@vitrum/core';
import { useId, type ReactNode } from 'react';
import { useLength } from '../../view/use-length';
import { Dimension } from './dimension';

type Of<Kind extends SetUp['kind']> = Extract<SetUp, { kind: Kind }>;

interface Drawn<Kind extends SetUp['kind']> {
  readonly setUp: Of<Kind>;
}

const wood = '#e5cf9d';
const edge = '#4a4438';
const steel = '#7d8794';

/** Height of the lettering in a drawing so wide (drawing units): alike in all, however large the member. */
const letteringOf = (widthMm: number): number => widthMm / 19;

/** What a drawing stands in: left, top, width and height of what is seen (drawing units). */
const Drawing = ({
  setUp,
  box,
  children,
}: {
  readonly setUp: SetUp;
  readonly box: readonly [number, number, number, number];
  readonly children: ReactNode;
}) => (
  <svg viewBox={box.join(' ')} className="h-full w-full" role="img" aria-label={setUp.title}>
    {children}
  </svg>
);

/** The table with the fence that stands on it to the left, its face at 0. */
const TableAndFence = ({
  left,
  right,
  tall,
}: {
  readonly left: number;
  readonly right: number;
  readonly tall: number;
}) => (
  <>
    <rect x={left} y={0} width={right - left} height={tall * 0.14} className="fill-line" />
    <rect x={left} y={-tall} width={-left} height={tall} className="fill-soft" opacity={0.55} />
  </>
);

/** A board lying on the table against the fence, from the end: a channel is cut from below, pass after pass. */
const ChannelDrawing = ({ setUp }: Drawn<'channel'>) => {
  const show = useLength();
  const { passes, cutter, thicknessMm, channel, widthMm, heightsMm, clearMm } = setUp;
  const sunk = passes[0]!.fenceMm < 0;
  const far = passes.at(-1)!.fenceMm + cutter.cutMm;
  const boardMm = channel.across ? Math.max(4 * thicknessMm, far + 20) : widthMm;
  const cropped = Math.min(boardMm, Math.max(far + 22, 46));
  const [left, right] = [-Math.max(16, 0.3 * cropped), cropped + 0.42 * cropped];
  const size = letteringOf(right - left);
  const top = -Math.max(thicknessMm + 4.6 * size, 24);
  const bottom = Math.max(3.4 * size, 4);
  const depth = heightsMm.at(-1)!;
  const from = sunk ? 0 : passes[0]!.fenceMm;
  return (
    <Drawing setUp={setUp} box={[left, top, right - left, bottom - top]}>
      <TableAndFence left={left} right={right} tall={-top - 2.4 * size} />
      <path
        fill={wood}
        stroke={edge}
        strokeWidth={size / 12}
        d={`M0,0V${-thicknessMm}H${cropped}V0H${from + clearMm}V${-depth}H${from}V0Z`}
      />
      {cropped < boardMm && (
        <path
          d={`M${cropped},${-thicknessMm - 2}l2,${thicknessMm / 3}l-4,${thicknessMm / 3}l2,${thicknessMm / 3 + 4}`}
          fill="none"
          stroke={edge}
          strokeWidth={size / 12}
        />
      )}
      {passes.map(({ fenceMm }, at) => (
        <rect
          key={fenceMm}
          x={fenceMm}
          y={-depth}
          width={cutter.cutMm}
          height={depth + 1.6 * size}
          fill={at === 0 ? steel : 'none'}
          fillOpacity={0.9}
          stroke={steel}
          strokeWidth={size / 12}
          strokeDasharray={at === 0 ? undefined : `${size / 4} ${size / 6}`}
        />
      ))}
      {sunk ? (
        <Dimension from={0} to={clearMm} at={-thicknessMm - 1.6 * size} text={show(clearMm)} size={size} beyond />
      ) : (
        <Dimension
          from={0}
          to={passes[0]!.fenceMm}
          at={-thicknessMm - 1.6 * size}
          text={show(passes[0]!.fenceMm)}
          size={size}
          beyond
        />
      )}
      <Dimension from={0} to={-depth} at={cropped + 2 + size / 2} upright text={show(depth)} size={size} />
      <text x={left + size / 3} y={top + size * 1.1} fontSize={size} className="fill-soft">
        {setUp.reference} at the fence
      </text>
    </Drawing>
  );
};

/** The same board with its groove cut, its mouths broken from below by a V bit or by hand. */
const ChamferDrawing = ({ setUp }: Drawn<'chamfer'>) => {
  const show = useLength();
  const { passes, thicknessMm, channel, widthMm, heightsMm, mouthMm } = setUp;
  const { fromMm, widthMm: wide, depthMm } = channel;
  const cropped = Math.min(widthMm, Math.max(fromMm + wide + 12, 26));
  const [left, right] = [-0.4 * cropped, 1.3 * cropped];
  const size = letteringOf(right - left);
  const top = -Math.max(thicknessMm + 4.2 * size, 16);
  const [near, far] = [fromMm, fromMm + wide];
  const height = heightsMm[0] ?? 0;
  return (
    <Drawing setUp={setUp} box={[left, top, right - left, 2 * size - top]}>
      <TableAndFence left={left} right={right} tall={-top - 2 * size} />
      <path
        fill={wood}
        stroke={edge}
        strokeWidth={size / 12}
        d={`M0,0V${-thicknessMm}H${cropped}V0H${far + mouthMm}l${-mouthMm},${-mouthMm}V${-depthMm}H${near}V${-mouthMm}l${-mouthMm},${mouthMm}Z`}
      />
      {passes.map(({ fenceMm }) => (
        <path
          key={fenceMm}
          fill={steel}
          fillOpacity={0.55}
          stroke={steel}
          strokeWidth={size / 12}
          d={`M${fenceMm},0l${height},${-height}l${height},${height}v${1.6 * size}h${-2 * height}Z`}
        />
      ))}
      <Dimension
        from={0}
        to={passes[0]?.fenceMm ?? near - mouthMm}
        at={-thicknessMm - 1.6 * size}
        text={show(passes[0]?.fenceMm ?? near - mouthMm)}
        size={size}
        beyond
      />
      <text x={left + size / 3} y={top + size * 1.1} fontSize={size} className="fill-soft">
        {setUp.reference} {passes.length === 0 ? 'to the left' : 'at the fence'}
      </text>
    </Drawing>
  );
};

/** A board ripped: the same view, the blade at its far side. */
const RipDrawing = ({ setUp }: Drawn<'rip'>) => {
  const show = useLength();
  const { widthMm, thicknessMm, cutter, passes } = setUp;
  const [left, right] = [-0.3 * widthMm, 1.6 * widthMm];
  const size = letteringOf(right - left);
  const top = -thicknessMm - 4.4 * size;
  return (
    <Drawing setUp={setUp} box={[left, top, right - left, -top + 3 * size]}>
      <TableAndFence left={left} right={right} tall={-top - 2.2 * size} />
      <rect
        x={0}
        y={-thicknessMm}
        width={widthMm}
        height={thicknessMm}
        fill={wood}
        stroke={edge}
        strokeWidth={size / 12}
      />
      <rect
        x={widthMm + cutter.cutMm}
        y={-thicknessMm}
        width={right - widthMm - cutter.cutMm}
        height={thicknessMm}
        fill={wood}
        opacity={0.4}
      />
      <rect x={widthMm} y={-thicknessMm - size / 2} width={cutter.cutMm} height={thicknessMm + 2 * size} fill={steel} />
      <Dimension from={0} to={widthMm} at={-thicknessMm - 1.5 * size} text={show(passes[0].fenceMm)} size={size} />
    </Drawing>
  );
};

/** From above: the stop block to the left, the blade to the right, square or at 45°. */
const LengthDrawing = ({ setUp }: Drawn<'length'>) => {
  const show = useLength();
  const { ends, stopMm } = setUp;
  const [long, across, size] = [220, 34, 11];
  const slope = ends === 'mitre' ? across : 0;
  return (
    <Drawing setUp={setUp} box={[-34, -34, 300, 92]}>
      <rect x={-26} y={-6} width={26} height={across + 12} className="fill-soft" opacity={0.55} />
      <path d={`M0,0H${long}L${long - slope},${across}H${slope}Z`} fill={wood} stroke={edge} />
      <path d={`M${long + 2},-8L${long + 2 - slope * 1.35},${across + 10}`} stroke={steel} strokeWidth={4} />
      <Dimension from={0} to={long} at={-10} text={show(stopMm)} size={size} />
      <text x={long / 2} y={across / 2 + size / 3} fontSize={size} textAnchor="middle" fill="#1a1c21">
        {ends === 'mitre' ? 'long side' : 'cut square'}
      </text>
      <text x={-34} y={54} fontSize={size * 0.9} className="fill-soft">
        stop block
      </text>
    </Drawing>
  );
};

/** The mitred end of a board with its slot, square to the slope. */
const SplineDrawing = ({ setUp }: Drawn<'spline'>) => {
  const show = useLength();
  const clip = useId();
  const { thicknessMm, passes, heightsMm, cutter } = setUp;
  const long = 4 * thicknessMm;
  const size = letteringOf(1.6 * long);
  const along = (passes[0].fenceMm + cutter.cutMm / 2) / Math.SQRT2;
  return (
    <Drawing setUp={setUp} box={[-size, -3.4 * size, 1.5 * long, thicknessMm + 6 * size]}>
      <clipPath id={clip}>
        <path d={`M0,0H${long}L${long - thicknessMm},${thicknessMm}H0Z`} />
      </clipPath>
      <path
        d={`M0,0H${long}L${long - thicknessMm},${thicknessMm}H0Z`}
        fill={wood}
        stroke={edge}
        strokeWidth={size / 12}
      />
      <g clipPath={`url(#${clip})`}>
        <g transform={`translate(${long - thicknessMm + along} ${thicknessMm - along}) rotate(45)`}>
          <rect
            x={-heightsMm[0]}
            y={-cutter.cutMm / 2}
            width={2 * heightsMm[0]}
            height={cutter.cutMm}
            className="fill-sheet"
            stroke={edge}
            strokeWidth={size / 12}
          />
        </g>
      </g>
      <text x={0} y={-size} fontSize={size} className="figure fill-ink">
        {show(passes[0].fenceMm)} from the inner edge, {show(heightsMm[0])} deep
      </text>
      <text x={size} y={thicknessMm / 2 + size / 3} fontSize={size} fill="#1a1c21">
        outside above
      </text>
    </Drawing>
  );
};

type Drill = Of<'drill'>;

/** What is drilled, its surface along y = 0 and the fence at x = 0: a board lying, standing on its end, or in a cradle. */
const workPath = ({ into, thicknessMm }: Drill, wide: number, deep: number): string => {
  const slope = thicknessMm * Math.SQRT2;
  if (into === 'mitre') return `M0,0H${slope}L${slope - deep},${deep}H${-deep}Z`;
  return `M0,0H${into === 'end' ? thicknessMm : wide}V${deep}H0Z`;
};

/** A board with the holes that are drilled at one setting: from above, or leaning as a pocket jig does. */
const DrillDrawing = ({ setUp }: Drawn<'drill'>) => {
  const show = useLength();
  const clip = useId();
  const { thicknessMm, into, leanDeg, bores, passes } = setUp;
  const atMm = passes[0].fenceMm;
  const wide = Math.max(3 * thicknessMm, atMm + thicknessMm);
  const deep = into === 'side' ? thicknessMm : 1.2 * Math.max(...bores.map(({ depthMm }) => depthMm ?? thicknessMm));
  const left = into === 'mitre' ? -deep - 4 : -Math.max(10, 0.3 * wide);
  const right = Math.max(wide, thicknessMm * Math.SQRT2) + 0.5 * wide;
  const size = letteringOf(right - left);
  const top = -3.8 * size;
  const path = workPath(setUp, wide, deep);
  return (
    <Drawing setUp={setUp} box={[left, top, right - left, deep + size - top]}>
      <clipPath id={clip}>
        <path d={path} />
      </clipPath>
      {into !== 'mitre' && (
        <rect x={left} y={-2 * size} width={-left} height={deep + 2 * size} className="fill-soft" opacity={0.55} />
      )}
      <path d={path} fill={wood} stroke={edge} strokeWidth={size / 12} />
      <g clipPath={`url(#${clip})`}>
        <g transform={`translate(${atMm} 0) rotate(${leanDeg})`}>
          {bores.map(({ diameterMm, depthMm }) => (
            <rect
              key={diameterMm}
              x={-diameterMm / 2}
              y={-4 * wide}
              width={diameterMm}
              height={4 * wide + (depthMm ?? 4 * wide)}
              className="fill-sheet"
              stroke={edge}
              strokeWidth={size / 12}
            />
          ))}
        </g>
      </g>
      <Dimension from={0} to={atMm} at={-1.4 * size} text={show(atMm)} size={size} beyond />
      <text x={left + size / 3} y={top + size * 1.1} fontSize={size} className="fill-soft">
        from the {setUp.reference}
      </text>
    </Drawing>
  );
};

/** The section at a setting of saw or router table, to scale, with its numbers. */
export const SetUpDrawing = ({ setUp }: { readonly setUp: SetUp }) => {
  switch (setUp.kind) {
    case 'channel':
      return <ChannelDrawing setUp={setUp} />;
    case 'chamfer':
      return <ChamferDrawing setUp={setUp} />;
    case 'rip':
      return <RipDrawing setUp={setUp} />;
    case 'length':
      return <LengthDrawing setUp={setUp} />;
    case 'spline':
      return <SplineDrawing setUp={setUp} />;
    case 'drill':
      return <DrillDrawing setUp={setUp} />;
  }
};
