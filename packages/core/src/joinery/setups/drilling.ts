import {
  glueRoomMm,
  insertDeepMm,
  insertThroughMm,
  mitreSlotShare,
  type Fastener,
  type Member,
} from '../members/index.js';
import { drillCautions } from './cautions.js';
import { setFence } from './fence.js';
import type { DrillSetUp, FenceScale } from './types.js';

/** Of the thickness of a board, how deep a dowel goes into its side; the rest of the dowel goes into the end of the other. */
const sideShare = 2 / 3;
/** A pocket leans so far from the side of its board, and takes the screw’s head (°, mm). */
const pocketDeg = 15;
const pocketMm = 9.5;
/** Wood left in front of the point of a pocket screw (mm). */
const beforePointMm = 2;

type Bores = DrillSetUp['bores'];

/** One kind of hole that a joint asks for, and in which members. */
interface HoleKind {
  readonly title: string;
  readonly runs: readonly Member['runs'][];
  readonly reference: string;
  readonly down: string;
  readonly into: DrillSetUp['into'];
  /** From what lies against the fence to the middle of the hole, as a share of the thickness of the stock. */
  readonly share: number;
  readonly leanDeg: number;
  readonly bores: (fastener: Fastener, thicknessMm: number) => Bores;
  /** What the test piece shows. */
  readonly tried: string;
}

/**
 * From the side of the board to the shoulder of a pocket, along the drill (mm). The screw leaves the end at half the
 * thickness t, t / 2 / sin 15° from where the drill enters; what of it lies before the shoulder is its length less what
 * goes into the other board.
 */
const pocketDepth = (lengthMm: number, thicknessMm: number): number =>
  thicknessMm / 2 / Math.sin((pocketDeg * Math.PI) / 180) - (lengthMm - (thicknessMm - beforePointMm));

const inSide = (thicknessMm: number): number => Math.round(10 * sideShare * thicknessMm) / 10;

const holes: Readonly<Record<Fastener['kind'], readonly HoleKind[]>> = {
  screw: [
    {
      title: 'Drill press: screw holes near the ends',
      runs: ['through'],
      reference: 'end',
      down: 'inner side',
      into: 'side',
      share: 0.5,
      leanDeg: 0,
      bores: ({ diameterMm, plug }) => [
        ...(plug === null ? [] : [{ diameterMm: plug.diameterMm, depthMm: plug.depthMm }]),
        { diameterMm, depthMm: null },
      ],
      tried: 'On an offcut, through which the screw drops by hand:',
    },
  ],
  'pocket-screw': [
    {
      title: 'Pocket jig: pockets at the ends',
      runs: ['between'],
      reference: 'end',
      down: 'outer side',
      into: 'side',
      share: 0.5 / Math.tan((pocketDeg * Math.PI) / 180),
      leanDeg: 90 - pocketDeg,
      bores: ({ diameterMm, lengthMm }, thicknessMm) => [
        { diameterMm: pocketMm, depthMm: pocketDepth(lengthMm, thicknessMm) },
        { diameterMm, depthMm: null },
      ],
      tried: 'Two offcuts screwed together close flush, and no point comes through:',
    },
  ],
  dowel: [
    {
      title: 'Drill press: dowel holes near the ends',
      runs: ['through'],
      reference: 'end',
      down: 'outer side',
      into: 'side',
      share: 0.5,
      leanDeg: 0,
      bores: ({ diameterMm }, thicknessMm) => [{ diameterMm, depthMm: inSide(thicknessMm) }],
      tried: 'On an offcut, which the drill must not come through:',
    },
    {
      title: 'Dowel jig: holes in the ends',
      runs: ['between'],
      reference: 'outer side',
      down: 'outer side',
      into: 'end',
      share: 0.5,
      leanDeg: 0,
      bores: ({ diameterMm, lengthMm }, thicknessMm) => [
        { diameterMm, depthMm: lengthMm - inSide(thicknessMm) + 2 * glueRoomMm },
      ],
      tried: 'Two offcuts on a dry dowel close flush:',
    },
  ],
  tenon: [
    {
      title: 'Mortiser: slots in the mitres',
      runs: ['through', 'between'],
      reference: 'inner edge of the mitre',
      down: 'inner side',
      into: 'mitre',
      share: mitreSlotShare * Math.SQRT2,
      leanDeg: 0,
      bores: ({ diameterMm, lengthMm }) => [{ diameterMm, depthMm: lengthMm / 2 + glueRoomMm }],
      tried: 'Two mitred offcuts on a dry tenon close flush:',
    },
  ],
  insert: [
    {
      title: 'Drill press: holes near the ends of the top, which comes off',
      runs: ['through'],
      reference: 'end',
      down: 'inner side',
      into: 'side',
      share: 0.5,
      leanDeg: 0,
      bores: () => [{ diameterMm: insertThroughMm, depthMm: null }],
      tried: 'On an offcut, through which the machine screw drops by hand:',
    },
    {
      title: 'Dowel jig: bores for inserts, in the upper ends alone',
      runs: ['between'],
      reference: 'outer side',
      down: 'outer side',
      into: 'end',
      share: 0.5,
      leanDeg: 0,
      bores: ({ diameterMm }) => [{ diameterMm, depthMm: insertDeepMm }],
      tried: 'An insert with a drop of glue goes in square, by hand:',
    },
  ],
};

/** Members that are drilled alike are drilled at one setting. */
const alike = ({ thicknessMm, widthMm, fasteners }: Member): string =>
  JSON.stringify([
    fasteners[0]?.kind,
    thicknessMm,
    widthMm,
    fasteners.map(({ fromFrontMm }) => fromFrontMm.toFixed(3)),
  ]);

/**
 * Settings for the holes of all corner joints: clearance and plug holes of screws, pockets, both halves of dowel holes, slots
 * of loose tenons, which are square to the slope, as jigs guide them.
 */
export const drillSetUps = (members: readonly Member[], scale: FenceScale): readonly DrillSetUp[] => {
  const groups = new Map<string, Member[]>();
  for (const member of members)
    if (member.fasteners.length > 0) groups.set(alike(member), [...(groups.get(alike(member)) ?? []), member]);
  return [...groups.values()].flatMap((own, group) => {
    const { fasteners, thicknessMm, widthMm } = own[0]!;
    const [first] = fasteners;
    return holes[first!.kind].flatMap((kind, at): readonly DrillSetUp[] => {
      const drilled = own.filter(({ runs }) => kind.runs.includes(runs));
      if (drilled.length === 0) return [];
      const wantedMm = kind.share * thicknessMm;
      const fenceMm = setFence(wantedMm, scale);
      const bores = kind.bores(first!, thicknessMm);
      return [
        {
          kind: 'drill',
          id: `drill-${group + 1}-${at + 1}`,
          title: kind.title,
          cutter: { name: bores.map((bore) => `drill Ø${bore.diameterMm}`).join(', then ') },
          reference: kind.reference,
          down: kind.down,
          members: drilled.map(({ name }) => name),
          widthMm,
          thicknessMm,
          bores,
          passes: [{ wantedMm, fenceMm }],
          alongMm: fasteners.map(({ fromFrontMm }) => setFence(fromFrontMm, scale)),
          into: kind.into,
          leanDeg: kind.leanDeg,
          test: {
            what: kind.tried,
            measures: [
              { label: `from the ${kind.reference}`, mm: fenceMm },
              ...bores.flatMap(({ depthMm, diameterMm: wide }) =>
                depthMm === null ? [] : [{ label: `depth of the Ø${wide}`, mm: depthMm }],
              ),
            ],
          },
          cautions: drillCautions,
        },
      ];
    });
  });
};
