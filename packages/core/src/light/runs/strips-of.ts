import type { Strip } from '../../document/catalogue/index.js';
import type { LightRuns, Segment } from './types.js';

/** A kind of strip in an assembly, with what of it lies there. */
export interface StripOf {
  readonly strip: Strip;
  readonly runs: Pick<LightRuns, 'stripMm' | 'segments'>;
}

/** Every kind of strip in an assembly: the one that it names first, then what segments have of their own. */
export const stripsOf = (strip: Strip, runs: Pick<LightRuns, 'stripMm' | 'segments'>): readonly StripOf[] => {
  if (runs.segments.every(({ own }) => own === undefined)) return [{ strip, runs }];
  const found = new Map<string, { readonly strip: Strip; readonly segments: Segment[] }>();
  for (const segment of runs.segments) {
    const kind = segment.own?.strip ?? strip;
    const known = found.get(kind.id) ?? { strip: kind, segments: [] };
    known.segments.push(segment);
    found.set(kind.id, known);
  }
  return [...found.values()]
    .sort((one, other) => Number(other.strip.id === strip.id) - Number(one.strip.id === strip.id))
    .map(({ strip: kind, segments }) => ({
      strip: kind,
      runs: { segments, stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0) },
    }));
};

/** What strip of an assembly draws, as its makers state it (W). */
export const wattsOfRuns = (strip: Strip, runs: Pick<LightRuns, 'stripMm' | 'segments'>): number =>
  stripsOf(strip, runs).reduce((sum, each) => sum + (each.runs.stripMm / 1000) * each.strip.wattsPerM, 0);
