import type { Point } from '../base/outlines/index.js';
import { fixingLoads } from '../making/hanging/index.js';
import type { ValidationCase } from './types.js';

/** Springs of one stiffness: the body’s three movements by Gauss’s elimination, and the pull that each spring then has. */
const bySprings = (fixings: readonly Point[], [centreX, centreY]: Point, kg: number): readonly number[] => {
  // Unknown: u right, v up, and the turn about the centre of gravity, where nothing but the weight acts.
  const rows = [
    [0, 0, 0, 0],
    [0, 0, 0, -kg],
    [0, 0, 0, 0],
  ];
  for (const [px, py] of fixings) {
    const [x, y] = [px - centreX, py - centreY];
    const moves = [
      [1, 0, -y],
      [0, 1, x],
    ];
    for (const move of moves)
      for (let i = 0; i < 3; i += 1) for (let j = 0; j < 3; j += 1) rows[i]![j]! += move[i]! * move[j]!;
  }
  for (let i = 0; i < 3; i += 1)
    for (let k = 0; k < 3; k += 1) {
      if (k === i) continue;
      const share = rows[k]![i]! / rows[i]![i]!;
      for (let j = 0; j < 4; j += 1) rows[k]![j]! -= share * rows[i]![j]!;
    }
  const [u, v, turn] = rows.map((row, i) => row[3]! / row[i]!) as [number, number, number];
  return fixings.map(([px, py]) => Math.hypot(u - turn * (py - centreY), v + turn * (px - centreX)));
};

const shared = (name: string, fixings: readonly Point[], centre: Point, kg: number): ValidationCase => ({
  group: 'hanging',
  name: `most on one post of ${name}`,
  against: 'a stiff body on springs, its three movements solved by elimination',
  tolerance: 1e-9,
  run: () => ({
    computed: Math.max(...fixingLoads(fixings, centre, kg).map((load) => load.kg)),
    expected: Math.max(...bySprings(fixings, centre, kg)),
  }),
});

/** What hangs on the wall. */
export const hangingCases: readonly ValidationCase[] = [
  shared(
    'a letter on two, off its middle',
    [
      [-80, 60],
      [90, 60],
    ],
    [20, -10],
    1.4,
  ),
  shared(
    'an L on two at its foot and one on its stem',
    [
      [-70, -95],
      [65, -95],
      [-70, 110],
    ],
    [-18, -32],
    0.9,
  ),
  shared(
    'five strewn ones',
    [
      [-200, 40],
      [-60, 90],
      [10, -70],
      [120, 30],
      [220, 85],
    ],
    [35, 5],
    6,
  ),
];
