import { set, type GrooveAssembly, type GrooveResults } from '@vitrum/core';
import type { KeyboardEvent } from 'react';
import { changeDesign, useDocument } from '../../document/document-store';
import { chosenIndex, useFields, useSelection } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { arrowWay } from '../../lamp-room/arrow-way';
import { toScreen, type FrontView, type Place } from '../../lamp-room/front-view';
import { useDrag } from '../../lamp-room/use-drag';
import { useView } from '../../view/view-store';
import type { OverlayProps } from '../common/build-page';
import { chooseLine, useChosenLine } from './chosen-line';
import { placesOf, pointAfter, pointTo, withoutPoint, type Drawn, type Measure } from './line-edits';

/** How a drawing lies on the carrier: what a millimetre of it is there, and where its origin is. */
interface Lying extends Measure {
  readonly at: Place;
}

const onCarrier = ([x, y]: Place, { scale, at }: Lying): Place => [x * scale + at[0], y * scale + at[1]];
const inDrawing = ([x, y]: Place, { scale, at }: Lying): Place => [(x - at[0]) / scale, (y - at[1]) / scale];

interface PointProps {
  readonly line: number;
  readonly point: number;
  readonly at: Place;
  readonly view: FrontView;
  readonly lying: Lying;
}

const noLines: Drawn = { name: '', scale: 1, lines: [] };

/** The drawn lines of the chosen assembly, in the open design as it is now. */
const drawnNow = (): Drawn => {
  const { design } = useDocument.getState();
  const assembly = design?.assemblies[chosenIndex(design, useSelection.getState().assemblyId)];
  return (assembly as GrooveAssembly | undefined)?.lines.drawn ?? noLines;
};

const useDrawn = () => {
  const field = useFields<GrooveAssembly>().lines.drawn;
  return { field, now: drawnNow };
};

/** A point of a line: dragged or moved by arrow keys; Delete takes it away. */
const LinePoint = ({ line, point, at, view, lying, reachPx }: PointProps & { readonly reachPx: number }) => {
  const { field, now } = useDrawn();
  const drag = useDrag(view, () => {
    const before = now();
    return (to) => [set(field, pointTo(before, line, point, inDrawing(to, lying), lying))];
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return drag.cancel();
    if (event.key === 'Delete' || event.key === 'Backspace')
      return void changeDesign([set(field, withoutPoint(now(), line, point))]);
    const way = arrowWay(event);
    if (way === null) return;
    event.preventDefault();
    event.stopPropagation();
    const [x, y] = placesOf(now().lines[line]!)[point]!;
    const by = 1 / lying.scale;
    changeDesign([
      set(field, pointTo(now(), line, point, [x + way[0] * by, y + way[1] * by], { ...lying, cutPitchMm: 1e9 })),
    ]);
  };
  const [x, y] = toScreen(view, ...onCarrier(at, lying));
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Point ${point + 1} of line ${line + 1}`}
      data-testid="line-point"
      className="cursor-move touch-none"
      onKeyDown={onKeyDown}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={reachPx} fill="transparent" />
      <rect x={x - 4.5} y={y - 4.5} width={9} height={9} fill="#ffd27a" stroke="#10212c" strokeWidth={1.5} />
    </g>
  );
};

/** Between two points: dragged, it becomes one more. */
const NewPoint = ({ line, point, at, view, lying }: PointProps) => {
  const { field, now } = useDrawn();
  const drag = useDrag(view, () => {
    const before = now();
    return (to) => [set(field, pointAfter(before, line, point, inDrawing(to, lying)))];
  });
  const [x, y] = toScreen(view, ...onCarrier(at, lying));
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`New point after point ${point + 1} of line ${line + 1}`}
      data-testid="new-line-point"
      className="cursor-copy touch-none"
      onKeyDown={(event) => {
        if (event.key === 'Enter') changeDesign([set(field, pointAfter(now(), line, point, at))]);
      }}
      {...drag.handlers}
    >
      <circle cx={x} cy={y} r={9} fill="transparent" />
      <circle cx={x} cy={y} r={3} fill="none" stroke="#ffd27a" strokeWidth={1.5} />
    </g>
  );
};

/** A point is taken from so near on the screen, and never from nearer to another point (px). */
const [nearestPx, farthestPx] = [5, 12] as const;

/** From how near each point is taken. */
const reachesOf = (places: readonly Place[], view: PointProps['view'], lying: Lying): readonly number[] => {
  const shown = places.map((at) => toScreen(view, ...onCarrier(at, lying)));
  return shown.map(([x, y], own) => {
    const apart = shown.map(([ox, oy], other) =>
      other === own ? Number.POSITIVE_INFINITY : Math.hypot(ox - x, oy - y),
    );
    return Math.max(nearestPx, Math.min(farthestPx, ...apart.map((px) => px / 2)));
  });
};

/** Lines with fewer points than this show where more may be put. */
const mostWithNew = 40;
/** Points of lines finer than this are not dragged one by one. */
const mostPoints = 120;

/** Lines as designed, the chosen one with its points to be dragged; only where lines are drawn, and worked on. */
export const LineOverlay = ({ own, view }: OverlayProps) => {
  const { geometry, assembly, materials } = own as unknown as GrooveResults;
  const step = useView((state) => state.step);
  const chosen = useChosenLine(({ line }) => line);
  const drawn = useDesignValue(useFields<GrooveAssembly>().lines.drawn);
  if (assembly.lines.from !== 'drawn' || !drawn || step !== 'artwork') return null;
  const line = drawn.lines[chosen];
  const strip = materials.layers.find(({ layer }) => layer === (line?.layer ?? ''))?.strip ?? materials.strip;
  const lying: Lying = {
    scale: drawn.scale * (assembly.lines.scale ?? 1),
    at: geometry.linesAt,
    cutPitchMm: strip.cutPitchMm,
  };
  const places = line === undefined ? [] : placesOf(line);
  const shown = places.length <= mostPoints ? places : [];
  const reaches = reachesOf(shown, view, lying);
  const ring = line?.closed === true ? [...shown, ...shown.slice(0, 1)] : shown;
  return (
    <g data-testid="line-overlay">
      {drawn.lines.map((each, index) => (
        <path
          key={index}
          d={`M${placesOf(each)
            .map((place) => toScreen(view, ...onCarrier(place, lying)).join(' '))
            .join('L')}${each.closed ? 'Z' : ''}`}
          fill="none"
          stroke={index === chosen ? '#ffd27a' : '#8fd3ff'}
          strokeOpacity={index === chosen ? 0.9 : 0.45}
          strokeWidth={1.2}
          className="cursor-pointer"
          pointerEvents="stroke"
          onPointerDown={() => chooseLine(index)}
        >
          <title>{`line ${index + 1}`}</title>
        </path>
      ))}
      {places.length <= mostWithNew &&
        ring
          .slice(1)
          .map((to, at) => (
            <NewPoint
              key={`new-${at}`}
              line={chosen}
              point={at}
              at={[(ring[at]![0] + to[0]) / 2, (ring[at]![1] + to[1]) / 2]}
              view={view}
              lying={lying}
            />
          ))}
      {shown.map((at, point) => (
        <LinePoint
          key={point}
          line={chosen}
          point={point}
          at={at}
          view={view}
          lying={lying}
          reachPx={reaches[point]!}
        />
      ))}
    </g>
  );
};
