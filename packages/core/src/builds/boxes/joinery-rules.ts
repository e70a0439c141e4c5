import { cornerJoints, type Member, type Seat } from '../../joinery/members/index.js';
import { metricFence, setUpsOf } from '../../joinery/setups/index.js';
import { oneChange, type Rule, type Remedy } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import { membersOf } from '../../making/parts/index.js';
import { backHoldOf, backPlayOf, boreDeepMm, holdEdgeMm } from './back-hold.js';
import { leastWallMm } from './geometry.js';
import type { BoxResults } from './results.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** The member that has every seat, whichever way the face comes out. */
const bottomOf = ({ members }: BoxResults['geometry']): Member => members.find(({ name }) => name === 'bottom')!;

/** How far screws or inserts of the back stand too near to its edge or the ledge’s (mm). */
const tooNear = ({ assembly: { case: box } }: BoxResults): number =>
  Math.max(0, backHoldOf(box).leastEdgeMm - holdEdgeMm(box));

const rearRect = ({ geometry: { back, inside } }: BoxResults) => ({
  x: -back.thicknessMm,
  y: inside.heightMm / 2 - 4,
  width: back.thicknessMm,
  height: (back.heightMm - inside.heightMm) / 2 + 8,
});

/** Screws or inserts of the back that stand too near its edge, or too near that of the ledge that they go into. */
export const backScrewsNearEdge: Rule<BoxResults> = ({ results, catalogue }) => {
  if (tooNear(results) <= 0) return null;
  const { case: box } = results.assembly;
  const edge = holdEdgeMm(box);
  const { leastEdgeMm, boreMm } = backHoldOf(box);
  const inserts = box.backHold === 'inserts';
  const fields = fieldsIn(results);
  const seat = Math.ceil(2 * leastEdgeMm + backPlayOf(box));
  const own = results.materials.returnBoard;
  const thicker = catalogue.boards
    .filter(
      ({ uses, thicknessMm, stuff }) =>
        uses.includes('return') && stuff === own.stuff && thicknessMm >= seat + leastWallMm,
    )
    .sort((a, b) => a.thicknessMm - b.thicknessMm);
  const remedies: readonly Remedy[] = [
    ...(inserts ? [oneChange('back-screws', 'Wood screws in place of inserts', fields.case.backHold, 'screws')] : []),
    ...(seat <= own.thicknessMm - leastWallMm
      ? [oneChange('deeper-seat', `Seats ${mm(seat)} deep`, fields.case.seatMm, seat)]
      : []),
    {
      id: 'thicker-returns',
      candidates: thicker
        .filter(({ id }) => id !== own.id)
        .map(({ id, name }) => ({
          label: `Returns of ${name}, seats ${mm(seat)} deep`,
          change: [set(fields.case.returnBoardId, id), set(fields.case.seatMm, seat)],
        })),
    },
  ];
  return {
    id: 'back-screws-near-edge',
    severity: 'fix',
    step: 'case',
    what: `The ${inserts ? 'inserts' : 'screws'} of the back are too near its edge`,
    why: `A seat of ${mm(box.seatMm)} with ${mm(backPlayOf(box))} play leaves ${mm(edge)} from their middle to the edge; ${inserts ? `an insert in a hole of ${mm(boreMm)}` : 'a 3 mm screw'} wants ${mm(leastEdgeMm)}.`,
    numbers: [{ label: 'to the edge', value: edge, unit: 'mm' }],
    where: { view: 'slice', rect: rearRect(results) },
    target: {
      label: 'too near by',
      better: 'lower',
      unit: 'mm',
      read: tooNear,
      settled: (tried) => tooNear(tried) <= 0,
    },
    remedies,
  };
};

/** Wood left between the end of a bore and the next seat (mm). */
const beforeSeatMm = 2;

/** How far screws or inserts of the back reach too deep into the returns: into the seat of the face, or out at the front (mm). */
const tooDeep = ({ assembly, geometry }: BoxResults): number => {
  const hold = backHoldOf(assembly.case);
  const seats = bottomOf(geometry).seats;
  const ledge = seats.find(({ holds }) => holds === 'back')?.fromFrontMm ?? 0;
  const before = seats.filter(({ holds }) => holds !== 'back');
  const woodMm = ledge - Math.max(0, ...before.map(({ fromFrontMm, widthMm }) => fromFrontMm + widthMm));
  const deepMm = boreDeepMm(hold, geometry.back.thicknessMm);
  return hold.holeMm === null ? 0 : Math.max(0, Math.round(10 * (deepMm + beforeSeatMm - woodMm)) / 10);
};

/** A case so shallow that what holds the back reaches the face. */
export const backScrewsTooDeep: Rule<BoxResults> = ({ results }) => {
  const excess = tooDeep(results);
  if (excess <= 0) return null;
  const { case: box } = results.assembly;
  const fields = fieldsIn(results);
  const deeper = Math.ceil(box.depthInsideMm + excess);
  return {
    id: 'back-screws-too-deep',
    severity: 'fix',
    step: 'case',
    what: `The ${box.backHold === 'inserts' ? 'inserts' : 'screws'} of the back reach the seat of the face`,
    why: `They go ${mm(boreDeepMm(backHoldOf(box), results.geometry.back.thicknessMm))} into returns that are ${mm(box.depthInsideMm)} deep between back and face; ${mm(beforeSeatMm)} of wood must be left before them.`,
    numbers: [{ label: 'too deep by', value: excess, unit: 'mm' }],
    where: { view: 'slice', rect: rearRect(results) },
    target: {
      label: 'too deep by',
      better: 'lower',
      unit: 'mm',
      read: tooDeep,
      settled: (tried) => tooDeep(tried) <= 0,
    },
    remedies: [
      oneChange('deeper-case', `${mm(deeper)} deep inside`, fields.case.depthInsideMm, deeper),
      oneChange('turn-buttons', 'Turn buttons hold the back', fields.case.backHold, 'turn-buttons'),
    ],
  };
};

/** Corners whose joint asks for screws, dowels or tenons that have no room. */
const cornersWithoutHold = ({ assembly, geometry }: BoxResults): number => {
  const { fastener } = cornerJoints[assembly.case.cornerJoint];
  const asks = fastener !== null && fastener !== 'spline';
  return asks && geometry.members.every(({ fasteners }) => fasteners.length === 0) ? 4 : 0;
};

/** Corners whose screws, dowels or tenons would run into a seat or out of an edge. */
export const cornersWithoutRoom: Rule<BoxResults> = ({ results }) => {
  if (cornersWithoutHold(results) === 0) return null;
  const member = bottomOf(results.geometry);
  const fields = fieldsIn(results);
  const { outside } = results.geometry;
  const seats = member.seats.reduce((sum, { widthMm }) => sum + widthMm, 0);
  return {
    id: 'corners-without-room',
    severity: 'fix',
    step: 'case',
    what: 'There is no room for a screw or dowel at the corners',
    why: `Of the ${mm(member.widthMm)} of the returns, ${mm(seats)} are cut away for face and back; what is left between edges and seats holds nothing without splitting.`,
    numbers: [{ label: 'width of the returns', value: member.widthMm, unit: 'mm' }],
    where: {
      view: 'front',
      rect: {
        x: -outside.widthMm / 2,
        y: outside.heightMm / 2 - member.thicknessMm,
        width: member.thicknessMm,
        height: member.thicknessMm,
      },
    },
    target: {
      label: 'corners without hold',
      better: 'lower',
      unit: '',
      read: cornersWithoutHold,
      settled: (tried) => cornersWithoutHold(tried) === 0,
    },
    remedies: [
      oneChange('splined-mitre', 'Mitred corners with splines', fields.case.cornerJoint, 'mitre-spline'),
      oneChange('glued-mitre', 'Mitred corners, glued', fields.case.cornerJoint, 'mitre'),
    ],
  };
};

const grooveOf = ({ geometry }: BoxResults): Seat | null =>
  bottomOf(geometry).seats.find(({ kind, holds }) => kind === 'groove' && holds === 'face') ?? null;

/** How far a groove is past what its board stands: deeper than half of it, or nearer an edge than it is wide (mm). */
const grooveExcess = (results: BoxResults): { readonly deepMm: number; readonly thinMm: number } => {
  const groove = grooveOf(results);
  if (groove === null) return { deepMm: 0, thinMm: 0 };
  return {
    deepMm: Math.max(0, groove.depthMm - results.materials.returnBoard.thicknessMm / 2),
    thinMm: Math.max(0, groove.widthMm - groove.fromFrontMm),
  };
};

/** A groove that leaves too little wood beside or behind it. */
export const weakGroove: Rule<BoxResults> = ({ results }) => {
  const { deepMm, thinMm } = grooveExcess(results);
  const groove = grooveOf(results);
  if (groove === null || deepMm + thinMm <= 0) return null;
  const { thicknessMm } = results.materials.returnBoard;
  const { case: box } = results.assembly;
  const fields = fieldsIn(results);
  const [seat, lip] = [Math.floor(thicknessMm / 2), Math.ceil(groove.widthMm)];
  const lean = deepMm > 0 ? [set(fields.case.seatMm, seat)] : [];
  const wide = thinMm > 0 ? [set(fields.case.lipMm, lip)] : [];
  const what = [
    ...(deepMm > 0 ? [`is ${mm(groove.depthMm)} deep in ${mm(thicknessMm)}, more than half`] : []),
    ...(thinMm > 0
      ? [`has ${mm(groove.fromFrontMm)} of wood in front of it, less than its width of ${mm(groove.widthMm)}`]
      : []),
  ];
  return {
    id: 'weak-groove',
    severity: 'fix',
    step: 'case',
    what: 'The groove for the face leaves too little wood',
    why: `It ${what.join(', and ')}; the lip breaks off while it is cut, or when the face is pushed in.`,
    numbers: [
      { label: 'deep', value: groove.depthMm, unit: 'mm' },
      { label: 'in front of it', value: groove.fromFrontMm, unit: 'mm' },
    ],
    where: {
      view: 'slice',
      rect: {
        x: results.geometry.inside.depthMm - 2,
        y: results.geometry.inside.heightMm / 2 - 2,
        width: groove.widthMm + groove.fromFrontMm + 4,
        height: thicknessMm + 4,
      },
    },
    target: {
      label: 'too deep or too near',
      better: 'lower',
      unit: 'mm',
      read: (tried) => grooveExcess(tried).deepMm + grooveExcess(tried).thinMm,
      settled: (tried) => grooveExcess(tried).deepMm + grooveExcess(tried).thinMm <= 0,
    },
    remedies: [
      ...(deepMm <= 0 || seat > box.playMm
        ? [
            {
              id: 'sturdy-groove',
              candidates: [
                {
                  label: [
                    ...(deepMm > 0 ? [`Seats ${mm(seat)} deep`] : []),
                    ...(thinMm > 0 ? [`lip ${mm(lip)}`] : []),
                  ].join(', '),
                  change: [...lean, ...wide],
                },
              ],
            },
          ]
        : []),
      oneChange('rabbet-for-groove', 'Hold the face in a rabbet', fields.case.retention, 'rabbet'),
    ],
  };
};

/** Seats that no saw blade or bit on the shelf can cut. */
export const noCutter: Rule<BoxResults> = ({ results, catalogue }) => {
  const blocked = (tried: BoxResults): string | null => {
    const found = setUpsOf(membersOf(tried.cut), catalogue.cutters, metricFence);
    return found.ok ? null : (found.problems[0]?.message ?? '');
  };
  const why = blocked(results);
  if (why === null) return null;
  const narrowest = Math.min(...results.geometry.members.flatMap(({ seats }) => seats.map(({ widthMm }) => widthMm)));
  const fields = fieldsIn(results);
  return {
    id: 'no-cutter',
    severity: 'fix',
    step: 'case',
    what: 'No blade or bit of the shop cuts the seats',
    why: `${why[0]!.toUpperCase()}${why.slice(1)}.`,
    numbers: [{ label: 'narrowest seat', value: narrowest, unit: 'mm' }],
    where: { view: 'slice', rect: rearRect(results) },
    target: {
      label: 'seats that cannot be cut',
      better: 'lower',
      unit: '',
      read: (tried) => (blocked(tried) === null ? 0 : 1),
      settled: (tried) => blocked(tried) === null,
    },
    remedies: [
      oneChange('rabbet-for-groove', 'Hold the face in a rabbet', fields.case.retention, 'rabbet'),
      oneChange('mitred-through', 'Mitred corners, so that the blade runs through', fields.case.cornerJoint, 'mitre'),
    ],
  };
};
