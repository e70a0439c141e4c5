import { meetingsOf, type Body, type Meeting } from '../../joinery/collisions/index.js';
import { otherWays, type Remedy, type Rule } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import { boxFasteners, boxThings } from './fasteners.js';
import { fixingsElsewhere } from './hole-rules.js';
import type { BoxResults } from './results.js';

/** Wood left between two of them, or air to a strip or sheet (mm). */
const apartMm = 1;

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

const worstOf = (results: BoxResults): Meeting | null =>
  meetingsOf(boxFasteners(results), boxThings(results), apartMm).reduce<Meeting | null>(
    (worst, each) => (worst === null || each.byMm > worst.byMm ? each : worst),
    null,
  );

const byMm = (results: BoxResults): number => Math.round(10 * (worstOf(results)?.byMm ?? 0)) / 10;

/** Where they meet, seen from the front. */
const placeOf = ({ one, other }: Meeting) => {
  const of = (axis: 0 | 1): readonly [number, number] => [
    Math.max(one.from[axis], other.from[axis]),
    Math.min(one.to[axis], other.to[axis]),
  ];
  const [[x0, x1], [y0, y1]] = [of(0), of(1)];
  return {
    x: Math.min(x0, x1) - 6,
    y: Math.min(y0, y1) - 6,
    width: Math.abs(x1 - x0) + 12,
    height: Math.abs(y1 - y0) + 12,
  };
};

const has = (meeting: Meeting, group: Body['group']): boolean =>
  meeting.one.group === group || meeting.other.group === group;

/** Clear of a head or nut in a block that is moved aside (mm). */
const besideMm = 4;

/** The block moved down or toward the middle, as far as it takes, and a little air. */
const blockAside = (results: BoxResults, { one, other }: Meeting): readonly Remedy[] => {
  const { block } = results.assembly.case;
  const stands = [one, other].find(({ group }) => group === 'block');
  const screw = [one, other].find(({ group }) => group !== 'block');
  if (block === null || block === undefined || stands === undefined || screw === undefined) return [];
  const field = fieldsIn(results).case.block;
  const down = Math.ceil(stands.to[1] - screw.from[1] + besideMm);
  const side = Math.sign(block.offsetXMm) || 1;
  const inward = Math.ceil(side > 0 ? stands.to[0] - screw.from[0] : screw.to[0] - stands.from[0]) + besideMm;
  return [
    {
      id: 'block-aside',
      candidates: [
        { label: `The block ${mm(down)} lower`, change: [set(field, { ...block, offsetYMm: block.offsetYMm - down })] },
        {
          label: `The block ${mm(inward)} nearer to the middle`,
          change: [set(field, { ...block, offsetXMm: block.offsetXMm - side * inward })],
        },
        { label: 'The block in the middle', change: [set(field, { ...block, offsetXMm: 0, offsetYMm: 0 })] },
      ],
    },
  ];
};

/** What moves one of both out of the way: the back’s hold, the corners’, the fixings. */
const remediesOf = (results: BoxResults, worst: Meeting): readonly Remedy[] => {
  const { case: box } = fieldsIn(results);
  const own = results.assembly.case;
  return [
    ...(has(worst, 'hanging') ? fixingsElsewhere(results) : []),
    ...blockAside(results, worst),
    ...(has(worst, 'hanging') ? otherWays(results, results.hang?.way ?? null) : []),
    ...(has(worst, 'back')
      ? [
          {
            id: 'other-back-hold',
            candidates: [
              ...(own.backHold === 'inserts'
                ? [{ label: 'Screw the back', change: [set(box.backHold, 'screws')] }]
                : []),
              { label: 'Turn buttons hold the back', change: [set(box.backHold, 'turn-buttons')] },
            ],
          },
        ]
      : []),
    ...(has(worst, 'corner')
      ? [
          {
            id: 'other-corners',
            candidates: [
              { label: 'Mitred corners with splines', change: [set(box.cornerJoint, 'mitre-spline')] },
              { label: 'Mitred corners, glued', change: [set(box.cornerJoint, 'mitre')] },
            ],
          },
        ]
      : []),
    ...(has(worst, 'back') || has(worst, 'sheet')
      ? [
          {
            id: 'deeper-case',
            candidates: [5, 10, 15, 20].map((add) => ({
              label: `${mm(own.depthInsideMm + add)} deep inside`,
              change: [set(box.depthInsideMm, own.depthInsideMm + add)],
            })),
          },
        ]
      : []),
  ];
};

/** A screw, insert, dowel, eye or bolt that meets another, strip or a sheet: each is right in its own part, and found when the second is driven. */
export const fastenersMeet: Rule<BoxResults> = ({ results }) => {
  const worst = worstOf(results);
  if (worst === null) return null;
  const { one, other } = worst;
  return {
    id: 'fasteners-meet',
    severity: 'fix',
    step: 'case',
    what: `${one.name[0]!.toUpperCase()}${one.name.slice(1)} meets ${other.name}`,
    why: `They want the same room in the case: one must move ${mm(worst.byMm)}, with ${mm(apartMm)} left between. Each looks right in its own part; it is found when the second is driven.`,
    numbers: [{ label: 'too near', value: worst.byMm, unit: 'mm' }],
    where: { view: 'front', rect: placeOf(worst) },
    target: {
      label: 'too near',
      better: 'lower',
      unit: 'mm',
      read: byMm,
      settled: (tried) => byMm(tried) <= 0,
    },
    remedies: remediesOf(results, worst),
  };
};
