import { rectRing } from '../../base/outlines/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { uprightStretches } from '../letters/upright.js';
import type { StackedGeometry } from './geometry.js';
import type { StackedMaterials } from './materials.js';
import type { LetteredLid } from './results.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** Where loops cross an upright line, with the way that they look there. */
const stripAt = ({ segments }: LightRuns, x: number): readonly { readonly y: number; readonly z: number }[] =>
  segments.flatMap(({ path }) =>
    path.slice(1).flatMap(([qx, qy, z], at) => {
      const [px, py] = path[at]!;
      return px > x === qx > x ? [] : [{ y: py + ((qy - py) * (x - px)) / (qx - px), z }];
    }),
  );

/** The slice through stacked plates at x, top to bottom: base, rings, ledge, strip, lid with its letters. */
export const stackedSectionAt = (
  x: number,
  geometry: StackedGeometry,
  materials: StackedMaterials,
  lid: LetteredLid,
  runs: LightRuns,
): Section => {
  const { outline, inside, rings, baseMm, roomMm, lidMm, frontZMm, ledge, outside } = geometry;
  const { strip, base, lid: board, inlay } = materials;
  const outer = uprightStretches(outline, x);
  const room = uprightStretches(inside, x);
  const plate = (role: SectionShape['role'], material: string, z: number, thick: number, spans = outer) =>
    spans.map(([low, high]): SectionShape => ({
      role,
      material,
      ring: rectRing({ x: z, y: low, width: thick, height: Math.max(0.1, high - low) }),
    }));
  /** What of the wall a slice meets: outside the room, within the outline. */
  const walls = outer.flatMap(([low, high]) => {
    const within = room.filter(([from, to]) => from >= low - 0.01 && to <= high + 0.01);
    const ends = [low, ...within.flat(), high];
    return Array.from({ length: ends.length >> 1 }, (_, at) => [ends[2 * at]!, ends[2 * at + 1]!] as const);
  });
  const across = ledge === null ? [] : uprightStretches([ledge.line], x);
  const ledges = across.flatMap(([low, high]) =>
    high - low < 2 * ledge!.widthMm
      ? [[low, high] as const]
      : [[low, low + ledge!.widthMm] as const, [high - ledge!.widthMm, high] as const],
  );
  const lettered = uprightStretches(lid.pockets, x);
  const middle = outer[0] === undefined ? 0 : (outer[0][0] + outer[0][1]) / 2;
  const top = outer.at(-1)?.[1] ?? outside.heightMm / 2;
  const glowing = rings.filter((ring) => ring.glows);
  return {
    shapes: [
      ...plate('back', base.name, -baseMm, baseMm),
      ...rings.flatMap((ring) =>
        plate(ring.glows ? 'face' : 'return', ring.stock.name, ring.fromZMm, ring.toZMm - ring.fromZMm, walls),
      ),
      ...(ledge === null ? [] : plate('block', 'ledge', 0, ledge.heightMm, ledges)),
      ...plate('letter', board.name, roomMm, lidMm, uprightStretches(lid.solid, x)),
      ...plate(
        'face',
        inlay.name,
        frontZMm - Math.min(lidMm, inlay.thicknessMm),
        Math.min(lidMm, inlay.thicknessMm),
        lettered,
      ),
      ...stripAt(runs, x).map(({ y, z }): SectionShape => ({
        role: 'strip',
        material: strip.name,
        ring: rectRing({
          x: z - strip.widthMm / 2,
          y: y - strip.heightMm / 2,
          width: strip.widthMm,
          height: strip.heightMm,
        }),
      })),
    ],
    layers: [
      { name: 'lid', detail: `${board.name}, letters of ${inlay.name.toLowerCase()}`, at: [frontZMm, middle] },
      ...glowing.slice(0, 2).map((ring) => ({
        name: 'band',
        detail: `${ring.stock.name}, ${mm(ring.toZMm - ring.fromZMm)} high, ${mm(geometry.wallMm)} wide`,
        at: [(ring.fromZMm + ring.toZMm) / 2, top - geometry.wallMm / 2] as const,
      })),
      { name: 'room', detail: `${mm(roomMm)} from base to lid`, at: [roomMm / 2, middle / 2] },
      {
        name: 'strip',
        detail: `${strip.name}, ${mm(geometry.stripMm)} of the height`,
        at: [geometry.stripMm / 2, stripAt(runs, x)[0]?.y ?? middle],
      },
      { name: 'base', detail: base.name, at: [-baseMm, middle] },
    ],
    rearZMm: -baseMm,
    frontZMm,
    heightMm: outside.heightMm,
    atXMm: x,
  };
};
