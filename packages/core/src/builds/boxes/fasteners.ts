import { rod, type At, type Body } from '../../joinery/collisions/index.js';
import type { Fastener, Member } from '../../joinery/members/index.js';
import type { Rect } from '../../base/outlines/index.js';
import {
  footAsideMm,
  footHighMm,
  footScrewOf,
  footScrewsAt,
  mateScrewPlaces,
  plateReachMm,
} from '../../making/hanging/index.js';
import { backHoldOf, holdPlaces } from './back-hold.js';
import { cornerReachMm, reachOf } from './corner-reach.js';
import type { BoxResults } from './results.js';
import { secondSize } from './second-sheet.js';

const named: Readonly<Record<Fastener['kind'], string>> = {
  screw: 'a screw of the corners',
  'pocket-screw': 'a pocket screw',
  dowel: 'a dowel',
  tenon: 'a loose tenon',
  insert: 'an insert of the top',
};

/** Where a member lies: along x (top and bottom) or y, and at which side. */
const sideOf = ({ name }: Member): readonly [along: 0 | 1, side: -1 | 1] =>
  name === 'top' ? [0, 1] : name === 'bottom' ? [0, -1] : name === 'left' ? [1, -1] : [1, 1];

/** What goes across the corners, through the members that run through into the ends of those between. */
const inCorners = ({ geometry: { members, outside } }: BoxResults): readonly Body[] =>
  members
    .filter(({ runs, ends }) => runs === 'through' && ends === 'square')
    .flatMap((member) => {
      const [along, side] = sideOf(member);
      const [halfAlong, halfOut] =
        along === 0 ? [outside.widthMm / 2, outside.heightMm / 2] : [outside.heightMm / 2, outside.widthMm / 2];
      return member.fasteners.flatMap((each) => {
        const reach = reachOf(each, member.thicknessMm);
        if (reach === null) return [];
        const [from, to] = reach;
        const z = member.widthMm - each.fromFrontMm;
        return [-1, 1].map((end): Body => {
          const at = end * (halfAlong - member.thicknessMm / 2);
          const place = (deep: number): At => {
            const out = side * (halfOut - deep);
            return along === 0 ? [at, out, z] : [out, at, z];
          };
          return rod(named[each.kind], 'corner', place(from), place(to), each.diameterMm / 2);
        });
      });
    });

/** What holds the back, from its rear side into the returns. */
const inBack = ({ geometry, assembly }: BoxResults): readonly Body[] => {
  const hold = backHoldOf(assembly.case);
  if (hold.holeMm === null) return [];
  const { back, recessMm } = geometry;
  const name = hold.bought.includes('insert') ? 'an insert of the back' : 'a screw of the back';
  const deep = recessMm + Math.max(hold.screwMm, hold.leastDeepMm > 0 ? back.thicknessMm + hold.leastDeepMm : 0);
  return holdPlaces(back, assembly.case, cornerReachMm(geometry, assembly.case)).map(([x, y]) => {
    const at = [x - back.widthMm / 2, y - back.heightMm / 2] as const;
    return rod(name, 'back', [...at, recessMm], [...at, deep], hold.boreMm / 2);
  });
};

/** Head of a screw on the back, its radius and how far it stands out (mm). */
const headMm = 3;

const middleOf = ({ bounds }: { readonly bounds: Rect }): readonly [number, number] => [
  bounds.x + bounds.width / 2,
  bounds.y + bounds.height / 2,
];

/** Screws of feet from below, eyes of chains from above, bolts of plates through the back. */
const ofHanging = ({ hang, geometry: { outside, recessMm } }: BoxResults): readonly Body[] => {
  const [body] = hang?.bodies ?? [];
  if (hang === null || body === undefined || body.rails === null) return [];
  const { top, bottom } = body.rails;
  const [high, low] = [outside.heightMm / 2, -outside.heightMm / 2];
  switch (hang.way) {
    case 'feet':
      return [-1, 1].flatMap((side) =>
        footScrewsAt(body).map((z): Body => {
          const x = side * footAsideMm(body);
          return rod(
            'a screw of a foot',
            'hanging',
            [x, low - footHighMm, z],
            [x, low + footScrewOf(bottom.thicknessMm).intoMm, z],
            2,
          );
        }),
      );
    case 'chain': {
      const z = (top.free[0] + top.free[1]) / 2;
      return hang.fixings.map(({ at: [x] }) => {
        const own = x - body.bounds.x - body.bounds.width / 2;
        return rod('an eye of the chains', 'hanging', [own, high - top.thicknessMm, z], [own, high, z], 2);
      });
    }
    case 'keyholes': {
      const { held } = hang;
      if (held === null || body.carrier === null) return [];
      const inside = recessMm + body.carrier.thicknessMm + held.insideMm;
      const [midX, midY] = middleOf(body);
      return hang.fixings.flatMap(({ at: [x, y] }) =>
        [-plateReachMm, plateReachMm].map((off) =>
          rod(
            `a ${held.by} of a plate`,
            'hanging',
            [x - midX + off, y - midY, recessMm],
            [x - midX + off, y - midY, inside],
            1.5,
          ),
        ),
      );
    }
    case 'cleat': {
      const { held, cleat, onReturns } = hang;
      if (held === null || cleat === null || onReturns || held.from !== 'inside') return [];
      const floor = recessMm + (body.carrier?.thicknessMm ?? 0);
      const [midX, midY] = middleOf(body);
      return mateScrewPlaces(cleat).map(([x, y]) => {
        const at = [x - midX, y - midY] as const;
        return rod(`a ${held.by} of the cleat`, 'hanging', [...at, recessMm], [...at, floor + headMm], headMm);
      });
    }
    default:
      return [];
  }
};

/** Every screw, insert, dowel, eye and bolt of a case: x and y from its middle, z off its rear side (mm). */
export const boxFasteners = (results: BoxResults): readonly Body[] => [
  ...inCorners(results),
  ...inBack(results),
  ...ofHanging(results),
];

/** What is in the way of them: strip on the returns, sheets and what stands on the back; strip on the back is a check of its holes. */
export const boxThings = ({ assembly, geometry, runs, materials }: BoxResults): readonly Body[] => {
  const { recessMm, back, face, faceFrontZMm, lightDepthMm, block } = geometry;
  const floor = recessMm + back.thicknessMm;
  const { strip, second } = materials;
  const strips = runs.segments
    .filter(({ on }) => on !== 'back')
    .flatMap(({ path }) =>
      path.slice(1).map((to, at): Body => {
        const from = path[at]!;
        // Beside its way it is as thick as strip; along z as wide.
        const thick = (axis: 0 | 1): number => (Math.abs(to[axis] - from[axis]) < 1e-6 ? strip.heightMm : 0);
        const low = (axis: 0 | 1 | 2, wide: number): number => Math.min(from[axis], to[axis]) - wide;
        const high = (axis: 0 | 1 | 2, wide: number): number => Math.max(from[axis], to[axis]) + wide;
        return {
          name: 'the strip',
          group: 'strip',
          from: [low(0, thick(0)), low(1, thick(1)), floor + low(2, strip.widthMm / 2)],
          to: [high(0, thick(0)), high(1, thick(1)), floor + high(2, strip.widthMm / 2)],
        };
      }),
    );
  const sheet = (
    name: string,
    size: { readonly widthMm: number; readonly heightMm: number },
    z: number,
    thickMm: number,
  ): Body => ({
    name,
    group: 'sheet',
    from: [-size.widthMm / 2, -size.heightMm / 2, floor + z],
    to: [size.widthMm / 2, size.heightMm / 2, floor + z + thickMm],
  });
  return [
    ...strips,
    sheet('the face', face, faceFrontZMm - face.thicknessMm, face.thicknessMm),
    ...(second === null
      ? []
      : [
          sheet(
            'the second sheet',
            secondSize(geometry, assembly.case, second),
            lightDepthMm,
            second.sheet.thicknessMm,
          ),
        ]),
    ...(block === null
      ? []
      : [
          {
            name: 'the block',
            group: 'block',
            from: [block.x0, block.y0, floor] as const,
            to: [block.x1, block.y1, floor + block.heightMm] as const,
          },
        ]),
  ];
};
