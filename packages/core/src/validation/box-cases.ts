import {
  exchangeAreas,
  layPatches,
  parallelExchange,
  perpendicularExchange,
  solveExchange,
  type Box,
  type CellExchange,
} from '../light/radiosity/index.js';
import { createTracer, type Scene } from '../light/tracing/index.js';
import { cosineLaw, ledsAt, middleGrid, middleRectangle } from './bench.js';
import type { ValidationCase } from './types.js';

/** Howell’s C-11: equal rectangles facing each other. */
const facing = (a: number, b: number, c: number): number => {
  const [x, y] = [a / c, b / c];
  const [x2, y2] = [1 + x * x, 1 + y * y];
  return (
    (2 / (Math.PI * x * y)) *
    (0.5 * Math.log((x2 * y2) / (x2 + y2 - 1)) +
      x * Math.sqrt(y2) * Math.atan(x / Math.sqrt(y2)) +
      y * Math.sqrt(x2) * Math.atan(y / Math.sqrt(x2)) -
      x * Math.atan(x) -
      y * Math.atan(y))
  );
};

/** Howell’s C-14: rectangles that meet at a right angle along `edge`. */
const corner = (width: number, height: number, edge: number): number => {
  const [w, h] = [width / edge, height / edge];
  const [w2, h2] = [w * w, h * h];
  const all = 1 + w2 + h2;
  const root = Math.sqrt(w2 + h2);
  const logarithm =
    Math.log(((1 + w2) * (1 + h2)) / all) +
    w2 * Math.log((w2 * all) / ((1 + w2) * (w2 + h2))) +
    h2 * Math.log((h2 * all) / ((1 + h2) * (w2 + h2)));
  return (w * Math.atan(1 / w) + h * Math.atan(1 / h) - root * Math.atan(1 / root) + logarithm / 4) / (Math.PI * w);
};

const box: Box = { widthMm: 500, heightMm: 250, depthMm: 75 };

/** The same small box for both methods: one row of LEDs, white inside, opal in front. */
const scene = (mirrorShare: number, reflectance = 0.88): Scene => ({
  outline: [middleRectangle(box.widthMm, box.heightMm)],
  depthMm: box.depthMm,
  back: { reflectance, mirrorShare },
  walls: { reflectance, mirrorShare },
  face: { reflectance: 0.45, transmittance: 0.45 },
  block: null,
  lights: ledsAt(
    Array.from({ length: 9 }, (_, index) => [-200 + index * 50, 30, 3] as const),
    cosineLaw(1),
    20,
  ),
  grid: middleGrid(box.widthMm, box.heightMm, 20, 10),
  seed: 3,
});

const traced = (given: Scene, photons: number) => {
  const tracer = createTracer(given);
  tracer.step(photons);
  return tracer.found();
};

const sum = (values: Iterable<number>): number => [...values].reduce((total, value) => total + value, 0);

/** Light that leaves the same box, by patches; first light thrown by an unreflecting trace. */
const settledOut = (): number => {
  const black = { reflectance: 0, mirrorShare: 0 };
  const first = traced({ ...scene(0), back: black, walls: black, face: { reflectance: 0, transmittance: 1 } }, 400_000);
  const enclosure = layPatches(box, null, 600);
  const [, face] = enclosure.panels;
  const firstLm = new Float64Array(enclosure.count);
  for (let cell = 0; cell < face!.aCount * face!.bCount; cell += 1) {
    const middle = (along: Float64Array, at: number): number => (along[at]! + along[at + 1]!) / 2;
    const u = middle(face!.aEdges, cell % face!.aCount) / box.widthMm + 0.5;
    const v = middle(face!.bEdges, Math.floor(cell / face!.aCount)) / box.heightMm + 0.5;
    firstLm[face!.start + cell] =
      first.directLux[Math.floor(v * 10) * 20 + Math.floor(u * 20)]! * enclosure.areaMm2[face!.start + cell]!;
  }
  const scale = first.outLm / sum(firstLm);
  const walls = enclosure.panels.filter(({ side }) => side !== 'back' && side !== 'face');
  const wallArea = 2 * box.depthMm * (box.widthMm + box.heightMm);
  for (let patch = 0; patch < enclosure.count; patch += 1) firstLm[patch]! *= scale;
  for (const { start, aCount, bCount } of walls)
    for (let patch = start; patch < start + aCount * bCount; patch += 1)
      firstLm[patch] = ((first.emittedLm - first.outLm) * enclosure.areaMm2[patch]!) / wallArea;
  const reflectance = new Float64Array(enclosure.count).fill(0.88);
  reflectance.fill(0.45, face!.start, face!.start + face!.aCount * face!.bCount);
  const { incidentLm } = solveExchange(enclosure, exchangeAreas(enclosure), firstLm, reflectance);
  return 0.45 * sum(incidentLm.subarray(face!.start, face!.start + face!.aCount * face!.bCount));
};

const edges = (...mm: readonly number[]): Float64Array => Float64Array.from(mm);
/** `count` cells over `length`, no two of them alike. */
const unlike = (length: number, count: number): Float64Array =>
  Float64Array.from({ length: count + 1 }, (_, edge) => length * (edge / count) ** 1.3);

/** All exchange between two panels with so many cells along what both span. */
const summed = ({ block }: CellExchange, along: number): number => {
  let total = 0;
  for (let one = 0; one < along; one += 1)
    for (let other = 0; other < along; other += 1) total += sum(block(one, other));
  return total;
};

export const boxCases: readonly ValidationCase[] = [
  {
    group: 'form factors',
    name: 'unit squares a unit apart',
    against: '0.199825 (Howell C-11)',
    tolerance: 1e-5,
    run: () => ({ computed: summed(parallelExchange(edges(0, 1), edges(0, 1), 1), 1), expected: 0.199825 }),
  },
  {
    group: 'form factors',
    name: 'unit squares at a right angle',
    against: '0.200044 (Howell C-14)',
    tolerance: 1e-5,
    run: () => ({
      computed: summed(perpendicularExchange(edges(0, 1), edges(0, 1), edges(0, 1)), 1),
      expected: 0.200044,
    }),
  },
  {
    group: 'form factors',
    name: 'rectangles 3 × 1 facing at 0.7, summed over 12 × 4 unlike cells each',
    against: 'Howell C-11 for the whole',
    tolerance: 1e-8,
    run: () => ({
      computed: summed(parallelExchange(unlike(3, 12), unlike(1, 4), 0.7), 4) / 3,
      expected: facing(3, 1, 0.7),
    }),
  },
  {
    group: 'form factors',
    name: 'rectangles 2 and 0.5 wide at a right angle along 3, summed over unlike cells',
    against: 'Howell C-14 for the whole',
    tolerance: 1e-8,
    run: () => ({
      computed: summed(perpendicularExchange(unlike(2, 8), unlike(0.5, 2), unlike(3, 12)), 12) / 6,
      expected: corner(2, 0.5, 3),
    }),
  },
  {
    group: 'form factors',
    name: 'a closed box: worst row sum',
    against: 'one',
    tolerance: 1e-8,
    run: () => {
      const enclosure = layPatches(box, null, 300);
      const exchange = exchangeAreas(enclosure);
      const { count, areaMm2 } = enclosure;
      const rows = Array.from(
        { length: count },
        (_, row) => sum(exchange.subarray(row * count, (row + 1) * count)) / areaMm2[row]!,
      );
      return {
        computed: rows.reduce((worst, row) => (Math.abs(row - 1) > Math.abs(worst - 1) ? row : worst), 1),
        expected: 1,
      };
    },
  },
  {
    group: 'reflected light',
    name: 'closed grey box evenly lit, ρ = 0.9',
    against: 'Φ / (1 − ρ) = 10 on every patch',
    tolerance: 1e-6,
    run: () => {
      const enclosure = layPatches(box, null, 300);
      const all = sum(enclosure.areaMm2);
      const first = enclosure.areaMm2.map((area) => area / all);
      const { incidentLm } = solveExchange(
        enclosure,
        exchangeAreas(enclosure),
        first,
        new Float64Array(enclosure.count).fill(0.9),
      );
      const ratios = [...incidentLm].map((flux, patch) => flux / first[patch]!);
      return {
        computed: ratios.reduce((worst, each) => (Math.abs(each - 10) > Math.abs(worst - 10) ? each : worst), 10),
        expected: 10,
      };
    },
  },
  {
    group: 'reflected light',
    name: 'energy by patches: absorbed and passed over emitted',
    against: 'one',
    tolerance: 1e-8,
    run: () => {
      const enclosure = layPatches(box, null, 300);
      const first = new Float64Array(enclosure.count).fill(0);
      first.fill(1, enclosure.panels[2]!.start, enclosure.panels[3]!.start);
      const rho = new Float64Array(enclosure.count).fill(0.95);
      const { incidentLm } = solveExchange(enclosure, exchangeAreas(enclosure), first, rho);
      return { computed: (0.05 * sum(incidentLm)) / sum(first), expected: 1 };
    },
  },
  {
    group: 'reflected light',
    name: 'light out of a box with a row of LEDs: patches over tracing',
    against: 'one, within the tracing error',
    tolerance: 0.01,
    run: () => ({ computed: settledOut() / traced(scene(0), 250_000).outLm, expected: 1 }),
  },
  {
    group: 'reflected light',
    name: 'energy by tracing, chance and losses counted',
    against: 'one',
    tolerance: 1e-9,
    run: () => {
      const found = traced(scene(0.4), 30_000);
      const all = found.outLm + found.absorbedCaseLm + found.absorbedFaceLm + found.chanceLm + found.lostLm;
      return { computed: all / found.emittedLm, expected: 1 };
    },
  },
  {
    group: 'reflected light',
    name: 'energy by tracing, without counting chance',
    against: 'one, within the stated error',
    tolerance: 5e-3,
    run: () => {
      const found = traced(scene(0), 200_000);
      return {
        computed: (found.outLm + found.absorbedCaseLm + found.absorbedFaceLm) / found.emittedLm,
        expected: 1,
      };
    },
  },
  {
    group: 'reflected light',
    name: 'a tube of perfect mirrors in front of an open face',
    against: 'all the light comes out',
    tolerance: 1e-9,
    run: () => {
      const found = traced(
        { ...scene(1, 1), back: { reflectance: 0, mirrorShare: 0 }, face: { reflectance: 0, transmittance: 1 } },
        20_000,
      );
      return { computed: found.outLm / found.emittedLm, expected: 1 };
    },
  },
];
