import { boundedCache, memoizeLast } from '../../base/maths/index.js';
import { outlineArea, ringLength, solidParts, type Outline } from '../../base/outlines/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import { faceStack } from '../../light/optics/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import { cutRoom, edgeViews, type CutRoom, type EdgeViews, type StackRoom } from '../../light/stack/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import { commonStages } from '../common/common-stages.js';
import { seenLosses } from '../common/seen-losses.js';
import { letterRouters } from '../common/wire-routes.js';
import { stackedGeometry, type StackedGeometry } from './geometry.js';
import { shownRect, stackedGlowOf, type StackedGlow, type StackedGlowInputs } from './glow.js';
import { leadEntryOf } from './lead-entry.js';
import { letteredLid } from './lettered-lid.js';
import { findStackedMaterials, type StackedMaterials } from './materials.js';
import { stackedBought, stackedParts, type PlateFacts } from './parts.js';
import { edgeOf, patchLimits, roomOf, shapeOfEdge, shapeOfRoom } from './room.js';
import { stackedRuns } from './runs.js';
import type { StackedLight } from './schema.js';
import { stackedSectionAt } from './section.js';
import { stackedSteps } from './steps.js';

/** Rooms that are kept cut: a solver goes over a few again and again. */
const mostRooms = 12;

type GlowArguments = [
  brief: Brief,
  room: StackRoom,
  geometry: StackedGeometry,
  materials: StackedMaterials,
  face: StackedGlowInputs['face'],
  letters: Outline,
  distribution: StackedGlowInputs['distribution'],
  runs: LightRuns,
  share: LightShare,
];

/** What plates are cut from, as a list that a memo can hold against the last. */
export type FactList = readonly [
  brief: Brief,
  geometry: StackedGeometry,
  materials: StackedMaterials,
  lid: PlateFacts['lid'],
];

const fromList = (...[brief, geometry, materials, lid]: FactList): PlateFacts => ({ brief, geometry, materials, lid });

/** The slice where it tells most: through the middle. */
const middleMm = 0;

/** The stages of stacked plates, each memoized by its last calls; rooms by their shape. */
export const stackedMemos = (catalogue: Catalogue, limits: GridLimits) => {
  const rooms = boundedCache<CutRoom>(mostRooms);
  const views = boundedCache<EdgeViews>(mostRooms);
  return {
    ...commonStages(),
    materials: memoizeLast(findStackedMaterials),
    geometry: memoizeLast(stackedGeometry),
    lid: memoizeLast(letteredLid),
    seenLosses: memoizeLast(seenLosses),
    runs: memoizeLast(stackedRuns),
    entry: memoizeLast(leadEntryOf),
    roomParts: memoizeLast(solidParts),
    router: memoizeLast(letterRouters()),
    section: memoizeLast(
      (geometry: StackedGeometry, materials: StackedMaterials, lid: PlateFacts['lid'], runs: LightRuns) =>
        stackedSectionAt(middleMm, geometry, materials, lid, runs),
    ),
    optics: memoizeLast((materials: StackedMaterials) => faceStack({ ...materials, second: null })),
    room: memoizeLast(roomOf),
    glow: memoizeLast(
      (...[brief, room, geometry, materials, face, letters, distribution, runs, share]: GlowArguments): StackedGlow =>
        stackedGlowOf({
          brief,
          room,
          cut: rooms(shapeOfRoom(room), () => cutRoom(room, patchLimits(limits))),
          views: views(shapeOfEdge(geometry), () => edgeViews(geometry.outline, edgeOf(geometry), shownRect(geometry))),
          geometry,
          materials,
          face,
          letters,
          distribution,
          runs,
          share,
          limits,
        }),
    ),
    shedding: memoizeLast(
      (geometry: StackedGeometry, materials: StackedMaterials, runs: LightRuns, glow: StackedGlow) => {
        const area = Math.abs(outlineArea(geometry.outline));
        const round = geometry.outline.reduce((sum, ring) => sum + ringLength(ring), 0);
        const board = materials.rings.find((ring) => ring.passes <= 0.05) ?? materials.base;
        return {
          // The base is shut against the wall.
          areaM2: (area + round * geometry.outside.depthMm) / 1e6,
          closed: true,
          outLm: glow.balance.outLm,
          vents: null,
          bed: {
            conductsWmK: board.conductsWmK,
            thicknessMm: geometry.wallMm,
            openSides: 2 as const,
            pitchMm: runs.stripMm > 0 ? (round * geometry.roomMm) / runs.stripMm : 0,
          },
        };
      },
    ),
    parts: memoizeLast((...list: FactList) => {
      const facts = fromList(...list);
      return { cut: stackedParts(facts), bought: stackedBought(catalogue, facts) };
    }),
    steps: memoizeLast(
      (
        circuit: Circuit,
        parts: readonly CutPart[],
        hang: Hang | null,
        finishing: Finishing,
        light: StackedLight,
        runs: LightRuns,
        ...list: FactList
      ) => stackedSteps({ ...fromList(...list), light, runs, parts, circuit, hang, finishing }),
    ),
  };
};

export type StackedMemos = ReturnType<typeof stackedMemos>;
