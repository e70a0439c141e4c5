import type { Brief } from '../../document/design/index.js';
import type { Point3 } from '../../light/runs/index.js';
import type { Router } from '../../power/circuit/index.js';
import type { GrooveGeometry } from './geometry.js';
import type { GrooveRuns, WireHole } from './runs.js';

/** From the edge of the carrier in to where the lead is held behind it (mm). */
const leadInMm = 15;

/** Where the lead comes in: behind the carrier, a little in from the side that is asked for. */
export const leadEntryOf = (exit: Brief['leadExit'], { bounds, wiresZMm }: GrooveGeometry): Point3 => {
  const [x, y] = [Math.max(0, bounds.width / 2 - leadInMm), Math.max(0, bounds.height / 2 - leadInMm)];
  const places: Readonly<Record<Brief['leadExit'], Point3>> = {
    left: [-x, 0, wiresZMm],
    right: [x, 0, wiresZMm],
    top: [0, y, wiresZMm],
    bottom: [0, -y, wiresZMm],
    back: [0, 0, wiresZMm],
  };
  return places[exit];
};

/** A wire begins this near to the end of the strip it is joined to (mm). */
const atEndMm = 0.01;

/**
 * Wires between runs lie behind the carrier: from an end of strip down its hole, straight across, and up the next. A clear sheet that is
 * routed from behind needs no holes.
 */
export const grooveRouter = (
  { wiresZMm }: GrooveGeometry,
  { segments, holes }: GrooveRuns,
  fromBehind: boolean,
): Router => {
  const ends = segments.flatMap(({ number, from, to }) => [
    { at: from, hole: holes.find((hole) => hole.segment === number && hole.end === 'start') },
    { at: to, hole: holes.find((hole) => hole.segment === number && hole.end === 'end') },
  ]);
  const holeAt = (place: Point3): WireHole | undefined =>
    ends.find(({ at }) => Math.hypot(at[0] - place[0], at[1] - place[1], at[2] - place[2]) < atEndMm)?.hole;
  const behind = (place: Point3, hole: WireHole | undefined): readonly Point3[] =>
    hole === undefined
      ? [[place[0], place[1], wiresZMm]]
      : [
          [hole.at[0], hole.at[1], place[2]],
          [hole.at[0], hole.at[1], wiresZMm],
        ];
  return (from, to) => {
    const [out, back] = [holeAt(from), holeAt(to)];
    return {
      path: [from, ...behind(from, out), ...[...behind(to, back)].reverse(), to],
      holes: fromBehind
        ? []
        : [out, back].flatMap((hole): readonly Point3[] => (hole === undefined ? [] : [[hole.at[0], hole.at[1], 0]])),
    };
  };
};
