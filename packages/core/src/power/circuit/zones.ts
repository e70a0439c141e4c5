import type { PowerDesign } from '../../document/design/index.js';
import type { Segment } from '../../light/runs/index.js';

/** Which pieces are switched together. */
export interface Zones {
  /** Of each segment, counted from 0; numbered in the order in which pieces first name them. */
  readonly ofSegment: readonly number[];
  /** How far each zone is turned up, besides the level of the whole. */
  readonly levels: readonly number[];
}

/** Zones of the pieces: the first that names a piece has it; all that none names are one zone more, fully up. */
export const zonesOf = (segments: readonly Segment[], { zones }: Pick<PowerDesign, 'zones'>): Zones => {
  const known = new Map<number, number>();
  const levels: number[] = [];
  const ofSegment = segments.map(({ number }) => {
    const named = (zones ?? []).findIndex(({ pieces }) => pieces.includes(number));
    const zone = known.get(named) ?? levels.push(named < 0 ? 1 : zones![named]!.level) - 1;
    known.set(named, zone);
    return zone;
  });
  return { ofSegment, levels: levels.length > 0 ? levels : [1] };
};
