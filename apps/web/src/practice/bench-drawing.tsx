import type { BoardDrawing } from '@vitrum/core';

/** Where the meter is held: a point of the circuit, or a wire under the clamp (−1 is the lead). */
export type Held = { readonly point: string } | { readonly wire: number };

type Place = readonly [number, number];

interface BenchDrawingProps {
  readonly drawing: BoardDrawing;
  /** Light of each group of each piece against what it should be; none before a fault is hidden. */
  readonly lights: readonly Float64Array[];
  readonly held: Held | null;
  readonly onHold: (held: Held) => void;
  /** How many px wide it is shown, so that marks and numbers stay as large as text. */
  readonly shownPx?: number;
}

const marginMm = 90;
/** Points stand so far along their strip from its end (px at full width). */
const pointInsetPx = 12;

const boundsOf = ({ pieces, wires }: BoardDrawing) => {
  const places = [...pieces.flatMap(({ path }) => path), ...wires.flatMap(({ at }) => at)];
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs) - marginMm, Math.min(...ys) - marginMm];
  return { left, low, width: Math.max(...xs) + marginMm - left, height: Math.max(...ys) + marginMm - low };
};

/** A path measured by its length. */
const measured = (path: readonly (readonly number[])[]) => {
  const upTo = [0];
  for (let at = 1; at < path.length; at += 1)
    upTo.push(upTo[at - 1]! + Math.hypot(path[at]![0]! - path[at - 1]![0]!, path[at]![1]! - path[at - 1]![1]!));
  const total = upTo[upTo.length - 1]!;
  const placeAt = (mm: number): Place => {
    const after = Math.max(
      1,
      upTo.findIndex((sum) => sum >= mm),
    );
    const [a, b] = [path[after - 1]!, path[after]!];
    const span = upTo[after]! - upTo[after - 1]!;
    const share = span > 0 ? (mm - upTo[after - 1]!) / span : 0;
    return [a[0]! + (b[0]! - a[0]!) * share, a[1]! + (b[1]! - a[1]!) * share];
  };
  return { upTo, total, placeAt };
};

/** A path in `count` stretches of the same length. */
const stretches = (path: readonly (readonly number[])[], count: number): readonly (readonly Place[])[] => {
  const { upTo, total, placeAt } = measured(path);
  return Array.from({ length: count }, (_, index) => {
    const [from, to] = [(index * total) / count, ((index + 1) * total) / count];
    const between = path.filter((_point, at) => upTo[at]! > from && upTo[at]! < to).map(([x, y]): Place => [x!, y!]);
    return [placeAt(from), ...between, placeAt(to)];
  });
};

/** Where each point is drawn: ends of pieces a little way in, since strip that goes all round ends where it starts. */
const placesOf = ({ pieces, points }: BoardDrawing, insetMm: number): ReadonlyMap<string, Place> => {
  const places = new Map<string, Place>();
  for (const { id, at } of points) if (at !== null) places.set(id, [at[0], at[1]]);
  for (const { number, path } of pieces) {
    const { total, placeAt } = measured(path);
    const inset = Math.min(insetMm, total / 4);
    places.set(`start-${number}`, placeAt(inset));
    places.set(`end-${number}`, placeAt(total - inset));
  }
  return places;
};

/** From the grey of strip without current to the yellow of strip with all of it. */
const litColour = (light: number): string => {
  const share = Math.min(1, Math.max(0, light)) ** 0.8;
  const mix = (dark: number, bright: number): number => Math.round(dark + (bright - dark) * share);
  return `rgb(${mix(74, 255)} ${mix(70, 214)} ${mix(62, 120)})`;
};

/** A circuit on a dark bench: strip as bright as its groups are, wires to clamp, points to hold the meter to. */
export const BenchDrawing = ({ drawing, lights, held, onHold, shownPx = 900 }: BenchDrawingProps) => {
  const { left, low, width, height } = boundsOf(drawing);
  const unit = width / shownPx;
  const places = placesOf(drawing, pointInsetPx * unit);
  const flip = (y: number): number => low + height - (y - low);
  const line = (places: readonly (readonly number[])[]): string =>
    places.map(([x, y]) => `${x!.toFixed(1)},${flip(y!).toFixed(1)}`).join(' ');
  const isHeld = (other: Held): boolean => JSON.stringify(held) === JSON.stringify(other);
  return (
    <svg
      viewBox={`${left} ${low} ${width} ${height}`}
      className="block w-full bg-[#17181c]"
      role="group"
      aria-label="The circuit on the bench"
    >
      {drawing.wires.map(({ from, to, at }, wire) => (
        <g key={`${from} ${to}`} className="cursor-pointer" onClick={() => onHold({ wire })} data-wire={wire}>
          <title>{`clamp on the wire from ${from} to ${to}`}</title>
          <polyline points={line(at)} fill="none" stroke="transparent" strokeWidth={16 * unit} />
          <polyline
            points={line(at)}
            fill="none"
            stroke={isHeld({ wire }) ? '#fff' : '#d2521a'}
            strokeWidth={(isHeld({ wire }) ? 5 : 2.5) * unit}
          />
        </g>
      ))}
      {drawing.pieces.map(({ number, path }, piece) => {
        const light = lights[piece] ?? new Float64Array(1);
        const middle = path[path.length >> 1]!;
        const [mx, my] = path.length === 2 ? [(path[0]![0] + path[1]![0]) / 2, path[0]![1]] : middle;
        return (
          <g key={number}>
            {stretches(path, light.length).map((places, group) => (
              <polyline
                key={group}
                points={line(places)}
                fill="none"
                stroke={litColour(light[group]!)}
                strokeWidth={7 * unit}
              />
            ))}
            <circle cx={mx} cy={flip(my)} r={11 * unit} fill="#17181c" stroke="#f2ead8" strokeWidth={unit} />
            <text
              x={mx}
              y={flip(my) + 4.5 * unit}
              textAnchor="middle"
              fontSize={13 * unit}
              fill="#f2ead8"
              className="figure"
            >
              {number}
            </text>
          </g>
        );
      })}
      {drawing.points.map(({ id, name }) => {
        const at = places.get(id);
        if (at === undefined) return null;
        return (
          <g key={id} className="cursor-pointer" onClick={() => onHold({ point: id })} data-point={id}>
            <title>{name}</title>
            <circle cx={at[0]} cy={flip(at[1])} r={9 * unit} fill="transparent" />
            <circle
              cx={at[0]}
              cy={flip(at[1])}
              r={(isHeld({ point: id }) ? 7 : 5) * unit}
              fill={isHeld({ point: id }) ? '#fff' : '#58c1ff'}
              stroke="#17181c"
              strokeWidth={unit}
            />
          </g>
        );
      })}
    </svg>
  );
};
