import {
  edgeEntry,
  fansTouchMm,
  sheetLight,
  thrownBackAt,
  traceSlab,
  type ClearSheet,
  type EdgeLed,
  type WorkedFaces,
} from '../light/sheet/index.js';
import { seededRandom } from '../base/maths/index.js';
import type { ValidationCase } from './types.js';

const index = 1.49;

const viewed = (thicknessMm: number, emitterMm: number, gapMm: number): ValidationCase => ({
  group: 'edge-lit sheets',
  name: `what of a ${emitterMm} mm emitter meets a ${thicknessMm} mm edge, ${gapMm} mm before it`,
  against: 'crossed strings: (√(((e + t) / 2)² + g²) − √(((e − t) / 2)² + g²)) / e',
  tolerance: 0.005,
  run: () => {
    const { entered, thrownBack } = edgeEntry({ index, thicknessMm }, { emitterMm, gapMm, offsetMm: 0 });
    const [wide, narrow] = [(emitterMm + thicknessMm) / 2, (emitterMm - thicknessMm) / 2];
    return {
      computed: entered + thrownBack,
      expected: (Math.hypot(wide, gapMm) - Math.hypot(narrow, gapMm)) / emitterMm,
    };
  },
});

const thrown = (n: number): ValidationCase => ({
  group: 'edge-lit sheets',
  name: `what a polished edge throws back of diffuse light, n = ${n}`,
  against: 'the closed form of Fresnel’s law over a Lambertian source (Walsh)',
  tolerance: 0.01,
  run: () => ({
    computed: edgeEntry({ index: n, thicknessMm: 4 }, { emitterMm: 2, gapMm: 0, offsetMm: 0 }).thrownBack,
    expected:
      0.5 +
      ((n - 1) * (3 * n + 1)) / (6 * (n + 1) ** 2) +
      ((n * n * (n * n - 1) ** 2) / (n * n + 1) ** 3) * Math.log((n - 1) / (n + 1)) -
      (2 * n ** 3 * (n * n + 2 * n - 1)) / ((n * n + 1) * (n ** 4 - 1)) +
      ((8 * n ** 4 * (n ** 4 + 1)) / ((n * n + 1) * (n ** 4 - 1) ** 2)) * Math.log(n),
  }),
});

const [wideMm, highMm, thickMm, cellMm] = [120, 300, 4, 4];
const sheet: ClearSheet = {
  widthMm: wideMm,
  heightMm: highMm,
  thicknessMm: thickMm,
  index,
  lossPerMm: 0,
  silver: null,
  sides: { top: 'black', right: 'polished', bottom: 'black', left: 'polished' },
};
const fit = { emitterMm: 2, gapMm: 0, offsetMm: 0 };
const row: readonly EdgeLed[] = Array.from({ length: 24 }, (_, at) => ({
  side: 'bottom',
  alongMm: (at + 0.5) * 5,
  widthMm: 5,
  lumens: 1,
}));
const workedAll = (chance: number): WorkedFaces => {
  const [columns, rows] = [wideMm / cellMm, highMm / cellMm];
  return { cellMm, columns, rows, front: null, back: new Float32Array(columns * rows).fill(chance) };
};

/** What passes the whole height, each meeting with one face leaving `perHit`: summed over the disc of direction cosines. */
const passes = (perHit: number): number => {
  const steps = 300;
  let [kept, all] = [0, 0];
  for (let ring = 0; ring < steps; ring += 1)
    for (let sector = 0; sector < 60; sector += 1) {
      const radius = Math.sqrt((ring + 0.5) / steps);
      const angle = ((sector + 0.5) / 60) * (Math.PI / 2);
      const [along, across] = [(radius * Math.cos(angle)) / index, (radius * Math.sin(angle)) / index];
      const hits = ((across / Math.sqrt(1 - along * along - across * across)) * highMm) / (2 * thickMm);
      const flux = 1 - thrownBackAt(Math.sqrt(1 - radius * radius), 1 / index);
      all += flux;
      kept += flux * perHit ** Math.floor(hits) * (1 - (hits % 1) * (1 - perHit));
    }
  return kept / all;
};

/** Directions that enter, each with its flux and how often it meets one face for a millimetre up the sheet; they add up to 1. */
const directions = (): readonly { readonly flux: number; readonly hitsPerMm: number }[] => {
  const steps = 200;
  const all = Array.from({ length: steps * 60 }, (_, at) => {
    const radius = Math.sqrt((Math.floor(at / 60) + 0.5) / steps);
    const angle = (((at % 60) + 0.5) / 60) * (Math.PI / 2);
    const [along, across] = [(radius * Math.cos(angle)) / index, (radius * Math.sin(angle)) / index];
    return {
      flux: 1 - thrownBackAt(Math.sqrt(1 - radius * radius), 1 / index),
      hitsPerMm: across / Math.sqrt(1 - along * along - across * across) / (2 * thickMm),
    };
  });
  const total = all.reduce((sum, { flux }) => sum + flux, 0);
  return all.map(({ flux, hitsPerMm }) => ({ flux: flux / total, hitsPerMm }));
};

/** What rows of cells gave from one height to another, as a share of what entered. */
const fromRows = (out: Float64Array, from: number, to: number, entered: number): number =>
  out
    .subarray((from / cellMm) * (wideMm / cellMm), (to / cellMm) * (wideMm / cellMm))
    .reduce((sum, lm) => sum + lm, 0) / entered;

const enteredBy = (leds: readonly EdgeLed[]): number =>
  edgeEntry(sheet, fit).entered * leds.reduce((sum, { lumens }) => sum + lumens, 0);

/** Of a small chance hardly anything is missed where the next meeting is: what is taken out is the meetings times the chance. */
const faint: ValidationCase = {
  group: 'edge-lit sheets',
  name: 'what a sheet worked all over gives, a thousandth taken at each meeting',
  against: 'the mean number of meetings times a thousandth',
  tolerance: 0.02,
  run: () => {
    const { out } = sheetLight(sheet, fit, row, workedAll(0.001));
    const meetings = directions().reduce((sum, { flux, hitsPerMm }) => sum + flux * hitsPerMm * highMm, 0);
    // Of what is taken first, a little is no longer there to be taken.
    const second = directions().reduce((sum, { flux, hitsPerMm }) => sum + (flux * (hitsPerMm * highMm) ** 2) / 2, 0);
    return { computed: out / enteredBy(row), expected: 0.001 * meetings - 1e-6 * second };
  },
};

/** Chances that rise as 1 / (height + rest − y): the light of one slope is then even, and that of all follows each by itself. */
const graded = (name: string, from: number, to: number): ValidationCase => ({
  group: 'edge-lit sheets',
  name: `what ${name} of a graded sheet gives, lit from one edge`,
  against:
    'the sum over directions of ((H + c − y) / (H + c))^b, with b what a direction loses to a chance of 1 / (H + c − y)',
  tolerance: 0.02,
  run: () => {
    const [rest, strength] = [120, 2];
    const [columns, rows] = [wideMm / cellMm, highMm / cellMm];
    const back = Float32Array.from(
      { length: columns * rows },
      (_, cell) => strength / (highMm + rest - (Math.floor(cell / columns) + 0.5) * cellMm),
    );
    const { backOut } = sheetLight(sheet, fit, row, { cellMm, columns, rows, front: null, back });
    const left = (y: number): number =>
      directions().reduce(
        (sum, { flux, hitsPerMm }) => sum + flux * ((highMm + rest - y) / (highMm + rest)) ** (hitsPerMm * strength),
        0,
      );
    return { computed: fromRows(backOut, from, to, enteredBy(row)), expected: left(from) - left(to) };
  },
});

/** Both edges lit, worked alike everywhere: each direction falls off from either side, and the sum sags in the middle. */
const fromTwo = (name: string, from: number, to: number): ValidationCase => ({
  group: 'edge-lit sheets',
  name: `what ${name} of a sheet gives that is lit from two edges`,
  against: 'the sum over directions of two exponentials, one from each edge (a cosh)',
  tolerance: 0.02,
  run: () => {
    const chance = 0.04;
    const both = [...row, ...row.map((led): EdgeLed => ({ ...led, side: 'top' }))];
    const { backOut } = sheetLight(sheet, fit, both, workedAll(chance));
    const left = (y: number): number =>
      directions().reduce((sum, { flux, hitsPerMm }) => sum + flux * (1 - chance) ** (hitsPerMm * y), 0);
    return {
      computed: fromRows(backOut, from, to, enteredBy(both)),
      expected: (left(from) - left(to) + left(highMm - to) - left(highMm - from)) / 2,
    };
  },
});

const crossing = (name: string, perHit: number, silver: number | null): ValidationCase => ({
  group: 'edge-lit sheets',
  name,
  against:
    'the sum over directions of what is left after each meeting with one face, every direction with its own slope',
  tolerance: 0.01,
  run: () => {
    const worked = workedAll(silver === null ? 1 - perHit : 0);
    const { edges, emitted } = sheetLight({ ...sheet, silver }, fit, row, worked);
    return { computed: edges.top / emitted / edgeEntry(sheet, fit).entered, expected: passes(perHit) };
  },
});

const touching: ValidationCase = {
  group: 'edge-lit sheets',
  name: 'where fans of LEDs 10 mm apart touch',
  against: 'pitch / (2 tan θ) with sin θ = 1 / n',
  tolerance: 0.01,
  run: () => ({ computed: fansTouchMm(edgeEntry(sheet, fit), 10), expected: 5 / Math.tan(Math.asin(1 / index)) }),
};

const accounted: ValidationCase = {
  group: 'edge-lit sheets',
  name: 'all light accounted for',
  against: 'what the LEDs give',
  tolerance: 0.001,
  run: () => {
    const { missed, thrownBack, out, edges, lost, left, emitted } = sheetLight(
      { ...sheet, lossPerMm: 0.0005 },
      { ...fit, gapMm: 1 },
      row,
      workedAll(0.05),
    );
    const { top, right, bottom, left: leftEdge } = edges;
    return { computed: missed + thrownBack + out + top + right + bottom + leftEdge + lost + left, expected: emitted };
  },
};

/** Straight sides and a half circle on top, 60 mm wide. */
const arch: ClearSheet = {
  ...sheet,
  widthMm: 60,
  heightMm: 60,
  lossPerMm: 0.002,
  sides: { top: 'polished', right: 'polished', bottom: 'polished', left: 'polished' },
  outline: [
    [0, 0],
    [60, 0],
    ...Array.from({ length: 41 }, (_, at): readonly [number, number] => {
      const angle = (Math.PI * at) / 40;
      return [30 + 30 * Math.cos(angle), 30 + 30 * Math.sin(angle)];
    }),
  ],
};

const drawn: ValidationCase = {
  group: 'edge-lit sheets',
  name: 'what an arch gives off, worked in its middle',
  against: 'photons one by one in three dimensions',
  tolerance: 0.03,
  run: () => {
    const [columns, rows] = [20, 20];
    const back = Float32Array.from({ length: columns * rows }, (_, cell) =>
      Math.hypot(((cell % columns) + 0.5) * 3 - 30, (Math.floor(cell / columns) + 0.5) * 3 - 30) < 20 ? 0.15 : 0,
    );
    const worked: WorkedFaces = { cellMm: 3, columns, rows, front: null, back };
    const leds = row.slice(0, 12);
    const even = { ...fit, emitterMm: thickMm };
    const { out, emitted } = sheetLight(arch, even, leds, worked);
    return {
      computed: out / emitted,
      expected: traceSlab(arch, even, leds, worked, 60_000, seededRandom(7)).out,
    };
  },
};

export const sheetCases: readonly ValidationCase[] = [
  viewed(4, 2.8, 0.5),
  viewed(3, 3, 2),
  thrown(1.49),
  crossing('what crosses 300 mm of a sheet worked all over, 5 % taken at each meeting', 0.95, null),
  crossing('what crosses 300 mm of silvered glass 4 mm thick, 93 % at each meeting', 0.93, 0.93),
  faint,
  graded('the first fifth', 0, 60),
  graded('the last fifth', 240, 300),
  fromTwo('the first fifth', 0, 60),
  fromTwo('the middle fifth', 120, 180),
  touching,
  drawn,
  accounted,
];
