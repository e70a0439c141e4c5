import { workabilityOf, type Workability } from '../../artwork/workability/index.js';
import type { Tool } from '../../document/catalogue/index.js';
import { seenLosses } from '../common/seen-losses.js';
import type { Scene } from './scene.js';

const least = (values: readonly (number | null)[]): number | null =>
  values.reduce<number | null>((a, b) => (a === null ? b : b === null ? a : Math.min(a, b)), null);

/** How the sheets of a scene fare under the tool that cuts them, each by itself: what falls out of one is meant to. */
export const sheetsWorkable = ({ sheets }: Scene, tool: Tool): Workability => {
  const each = sheets.map(({ outline }) => seenLosses(workabilityOf(outline, tool)));
  return {
    lost: each.flatMap(({ lost }) => lost).sort((a, b) => a.widthMm - b.widthMm),
    narrowestStrokeMm: least(each.map(({ narrowestStrokeMm }) => narrowestStrokeMm)),
    narrowestGapMm: least(each.map(({ narrowestGapMm }) => narrowestGapMm)),
    counters: 0,
    parts: each.reduce((sum, { parts }) => sum + parts, 0),
    overBedMm: Math.max(0, ...each.map(({ overBedMm }) => overBedMm)),
  };
};
