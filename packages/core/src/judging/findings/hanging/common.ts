import { set, type DesignChange, type HangingDesign } from '../../../document/design/index.js';
import { wayNames, type Hang, type WallFixing } from '../../../making/hanging/index.js';
import { unplaced, type Placing } from '../../../base/placing/index.js';
import { fieldsIn, type AssemblyResults } from '../../results/index.js';
import type { Candidate, Place, Remedy } from '../types.js';

type Way = HangingDesign['way'];

export const one = (value: number): number => Math.round(value * 10) / 10;
export const kg = (value: number): string => `${value.toFixed(1)} kg`;
export const mm = (value: number): string => `${one(value)} mm`;

/** Ways that suit where a sign hangs or stands, the usual first. */
export const suited: Readonly<Record<AssemblyResults['design']['brief']['place'], readonly Way[]>> = {
  wall: ['keyholes', 'cleat', 'spacers', 'holes', 'brackets'],
  window: ['chain', 'feet', 'brackets'],
  counter: ['feet'],
  ceiling: ['chain', 'brackets'],
};

export const change = (results: AssemblyResults, own: Partial<HangingDesign>): DesignChange => [
  set(fieldsIn(results).hanging, { way: 'keyholes', ...results.assembly.hanging, ...own }),
];

/** Ways behind whose fixings blocks may be glued. */
const blockable: readonly Way[] = ['keyholes', 'holes', 'spacers'];

/** Another way to hang, plain and with glue blocks behind it. */
export const hungBy = (results: AssemblyResults, way: Way): Remedy => {
  const anew: DesignChange = [set(fieldsIn(results).hanging, { ...kept(results), way })];
  const blocked: Candidate = {
    label: `Hang it ${wayNames[way]}, glue blocks behind them`,
    change: [set(fieldsIn(results).hanging, { ...kept(results), way, blocks: true })],
  };
  const name = way === 'feet' ? 'Stand it on feet' : `Hang it ${wayNames[way]}`;
  return {
    id: `hang-${way}`,
    // Blocks want a frame to be glued to; where there is none the second changes nothing and is not offered.
    candidates: [{ label: name, change: anew }, ...(blockable.includes(way) ? [blocked] : [])],
  };
};

/** What another way keeps of the design: what is said of the place, not of fixings that it does not have. */
const kept = ({ assembly: { hanging } }: AssemblyResults): Partial<HangingDesign> => ({
  ...(hanging?.heightMm === undefined ? {} : { heightMm: hanging.heightMm }),
  ...(hanging?.roomAboveMm === undefined ? {} : { roomAboveMm: hanging.roomAboveMm }),
});

export const otherWays = (results: AssemblyResults, not: Hang['way']): readonly Remedy[] =>
  suited[results.design.brief.place]
    .filter((way) => way !== not && results.hang?.ways.includes(way) === true)
    .map((way) => hungBy(results, way));

/** Round a fixing, in the axes of its assembly. */
export const around = ({ at }: Pick<WallFixing, 'at'>, placing: Placing): Place => {
  const [x, y] = unplaced(placing, at);
  return { view: 'front', rect: { x: x - 20, y: y - 20, width: 40, height: 40 } };
};

/** More fixings than now. */
export const more = (results: AssemblyResults): Remedy => {
  const now = Math.max(1, results.hang!.fixings.length);
  return {
    id: 'more-fixings',
    candidates: [2, 4, 6].map((add) => ({
      label: `${now + add} fixings`,
      change: change(results, { count: now + add, pinned: [] }),
    })),
  };
};
