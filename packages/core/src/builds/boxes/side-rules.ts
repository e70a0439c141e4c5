import type { Rule } from '../../judging/findings/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BoxResults } from './results.js';
import { boxSides, type BoxSide } from './schema.js';
import { passesOf, timesAlong } from './sides.js';

/** How far in from a side the light is its own, as a share of the face. */
const bandShare = 0.2;
/** One side brighter than the dimmest lit one by this is seen at a glance, and spoils the sign from there on; typical. */
const noticed = 1.25;
const spoils = 1.5;

/** Mean luminance of the face along each side that carries strip (cd/m²). */
const alongSides = ({ glow, assembly }: BoxResults): readonly (readonly [BoxSide, number])[] => {
  const { grid, luminance } = glow;
  const { columns, rows } = grid;
  const [wide, high] = [Math.max(1, Math.round(bandShare * columns)), Math.max(1, Math.round(bandShare * rows))];
  const times = timesAlong(passesOf(assembly.light));
  const mean = (x0: number, x1: number, y0: number, y1: number): number => {
    let sum = 0;
    for (let row = y0; row < y1; row += 1)
      for (let column = x0; column < x1; column += 1) sum += luminance[row * columns + column]!;
    return sum / Math.max(1, (x1 - x0) * (y1 - y0));
  };
  // Without its corners, which two sides light.
  const bands: Readonly<Record<BoxSide, number>> = {
    bottom: mean(wide, columns - wide, 0, high),
    top: mean(wide, columns - wide, rows - high, rows),
    left: mean(0, wide, high, rows - high),
    right: mean(columns - wide, columns, high, rows - high),
  };
  return boxSides.filter((side) => times[side] > 0).map((side) => [side, bands[side]] as const);
};

/** How many times as bright the brightest lit side is as the one opposite or the dimmest; 1 where all carry alike. */
const unlike = (results: BoxResults): { readonly ratio: number; readonly bright: BoxSide } => {
  const { light } = results.assembly;
  const times = Object.values(timesAlong(passesOf(light))).filter((count) => count > 0);
  const sides = alongSides(results);
  const bright = sides.reduce((best, each) => (each[1] > best[1] ? each : best), sides[0]!);
  const dim = sides.reduce((least, each) => (each[1] < least[1] ? each : least), sides[0]!);
  const doubled = light.layout === 'rim' && Math.max(...times) > Math.min(...times);
  return { ratio: doubled && dim[1] > 0 ? bright[1] / dim[1] : 1, bright: bright[0] };
};

/** Strip that doubles back along a side shines brighter there. */
export const doubledSide: Rule<BoxResults> = ({ results }) => {
  const { ratio, bright } = unlike(results);
  if (ratio < noticed) return null;
  const times = timesAlong(passesOf(results.assembly.light));
  const once = boxSides.filter((side) => times[side] > 0);
  const { area } = results.glow.grid;
  const upright = bright === 'left' || bright === 'right';
  const [width, height] = upright ? [bandShare * area.width, area.height] : [area.width, bandShare * area.height];
  const fields = fieldsIn(results);
  return {
    id: 'side-doubled',
    severity: ratio >= spoils ? 'fix' : 'note',
    step: 'light',
    what: `The ${bright} is brighter: strip runs along it ${times[bright] === 2 ? 'twice' : `${times[bright]} times`}`,
    why: `The face is ${ratio.toFixed(2)} times as bright there as along its dimmest side; from ${noticed} times on it is seen at a glance (typical).`,
    numbers: [
      { label: 'brightest to dimmest side', value: Math.round(100 * ratio) / 100, unit: ': 1' },
      { label: `times along the ${bright}`, value: times[bright], unit: '' },
    ],
    where: {
      view: 'front',
      rect: {
        x: bright === 'right' ? area.x + area.width - width : area.x,
        y: bright === 'top' ? area.y + area.height - height : area.y,
        width,
        height,
      },
    },
    target: {
      label: 'brightest to dimmest side',
      better: 'lower',
      unit: ': 1',
      read: (tried) => unlike(tried).ratio,
      settled: (tried) => unlike(tried).ratio < noticed,
    },
    remedies: [
      {
        id: 'once-each',
        candidates: [{ label: 'Once along each side that has strip', change: [set(fields.light.sides, once)] }],
      },
      {
        id: 'all-round',
        candidates: [{ label: 'Once along all four sides', change: [set(fields.light.sides, [...boxSides])] }],
      },
    ],
  };
};
