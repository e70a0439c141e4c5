import type { TestBoardDrawing } from '@vitrum/core';
import { boundsOf, placesOf, stretches } from './bench-geometry';

/** Where the meter is held: a point of the circuit, a wire under the clamp (−1 is the lead), or a segment that is looked at. */
export type Held = { readonly point: string } | { readonly wire: number } | { readonly segment: number };

interface BenchDrawingProps {
  readonly drawing: TestBoardDrawing;
  /** Light of each group of each segment against what it should be; none before a fault is hidden. */
  readonly lights: readonly Float64Array[];
  /** By segment, the light of each of the drawing’s colours; none when there is but one. */
  readonly tints?: readonly (readonly Float64Array[])[];
  readonly held: Held | null;
  readonly onHold: (held: Held) => void;
  /** How many px wide it is shown, so that marks and numbers stay as large as text. */
  readonly shownPx?: number;
}

/** From the grey of strip without current to the yellow of strip with all of it. */
const litColour = (light: number): string => {
  const share = Math.min(1, Math.max(0, light)) ** 0.8;
  const mix = (dark: number, bright: number): number => Math.round(dark + (bright - dark) * share);
  return `rgb(${mix(74, 255)} ${mix(70, 214)} ${mix(62, 120)})`;
};

const parts = { red: 0, green: 1, blue: 2 } as const;

/** What a mix of colours looks like where some have all of their light and some have none. */
const mixedColour = (colours: readonly string[], light: readonly number[]): string => {
  const dark = 58;
  const mixed = [dark, dark, dark];
  colours.forEach((name, channel) => {
    const own = (255 - dark) * Math.min(1, Math.max(0, light[channel]!)) ** 0.8;
    for (const part of name in parts ? [parts[name as keyof typeof parts]] : [0, 1, 2])
      mixed[part] = Math.min(255, mixed[part]! + own);
  });
  return `rgb(${mixed.map(Math.round).join(' ')})`;
};

/** Points stand so far along their strip from its end (px at full width). */
const pointInsetPx = 12;

/** A circuit on a dark bench: strip as bright as its groups are, wires to clamp, points to hold the meter to. */
export const BenchDrawing = ({ drawing, lights, tints = [], held, onHold, shownPx = 900 }: BenchDrawingProps) => {
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
      {drawing.wires.map(({ from, to, path }, wire) => (
        <g key={`${from} ${to}`} className="cursor-pointer" onClick={() => onHold({ wire })} data-wire={wire}>
          <title>{`clamp on the wire from ${from} to ${to}`}</title>
          <polyline points={line(path)} fill="none" stroke="transparent" strokeWidth={16 * unit} />
          <polyline
            points={line(path)}
            fill="none"
            stroke={isHeld({ wire }) ? '#fff' : '#d2521a'}
            strokeWidth={(isHeld({ wire }) ? 5 : 2.5) * unit}
          />
        </g>
      ))}
      {drawing.segments.map(({ label, path }, segment) => {
        const light = lights[segment] ?? new Float64Array(1);
        const middle = path[path.length >> 1]!;
        const [mx, my] = path.length === 2 ? [(path[0]![0] + path[1]![0]) / 2, path[0]![1]] : middle;
        return (
          <g
            key={label}
            className={drawing.colours.length > 0 ? 'cursor-pointer' : undefined}
            onClick={drawing.colours.length > 0 ? () => onHold({ segment }) : undefined}
          >
            {stretches(path, light.length).map((places, group) => (
              <polyline
                key={group}
                points={line(places)}
                fill="none"
                stroke={
                  tints[segment] === undefined
                    ? litColour(light[group]!)
                    : mixedColour(
                        drawing.colours,
                        tints[segment].map((each) => each[group]!),
                      )
                }
                strokeWidth={7 * unit}
              />
            ))}
            <circle
              cx={mx}
              cy={flip(my)}
              r={11 * unit}
              fill={isHeld({ segment }) ? '#d2521a' : '#17181c'}
              stroke="#f2ead8"
              strokeWidth={unit}
            />
            <text
              x={mx}
              y={flip(my) + 4.5 * unit}
              textAnchor="middle"
              fontSize={13 * unit}
              fill="#f2ead8"
              className="figure"
            >
              {label}
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
