import type { Evaluation } from '../../sign/evaluate/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import { commissionSteps, expectedIn, type Expected } from '../../sign/commissioning/index.js';

/** Something that was measured of a job, beside what was computed for it. */
export interface RecordLine {
  readonly key: string;
  readonly title: string;
  readonly unit: Expected['unit'];
  /** The middle of what was expected, and its bounds. */
  readonly predicted: number;
  readonly low: number;
  readonly high: number;
  readonly measured: number;
  /** The day of the reading, and how warm it was round the sign, where that was told (°C). */
  readonly on: string;
  readonly roomC: number | null;
  /** The strip whose current or light it is, where it is that of one kind alone. */
  readonly stripId: string | null;
}

/** Every reading that is kept with a job, beside its prediction by the design as it is now. */
export const recordLinesOf = (evaluation: Evaluation): readonly RecordLine[] => {
  const { design, circuit } = evaluation;
  const readings = design.proof?.readings ?? [];
  if (readings.length === 0) return [];
  /** The strip of an assembly, or of the whole sign; null where there are several. */
  const onlyOf = (assembly: string | null): Strip | null => {
    const all = circuit.segments.filter(({ ref }) => assembly === null || ref.assembly === assembly);
    return new Set(all.map(({ strip }) => strip.id)).size === 1 ? all[0]!.strip : null;
  };
  return commissionSteps(evaluation).flatMap((step): readonly RecordLine[] => {
    const { key, id, at, title } = step;
    const reading = readings.find(
      (each) =>
        each.id === id && each.at?.assembly === at?.assembly && (each.at?.segment ?? null) === (at?.segment ?? null),
    );
    if (reading === undefined) return [];
    const own = circuit.segments.find(
      ({ ref }) => id === 'segment' && ref.assembly === at?.assembly && ref.segment === at.segment,
    );
    const stripOf = (step: string, assembly: string | null): string | null => {
      if (step === 'segment') return own?.strip.id ?? null;
      if (step === 'full-amps') return onlyOf(null)?.id ?? null;
      // What is mixed of several colours says nothing of each.
      const lit = step === 'luminance' ? onlyOf(assembly) : null;
      return lit?.colour === 'white' ? lit.id : null;
    };
    const { low, high, unit } = expectedIn(step, reading.roomC);
    return [
      {
        key,
        title,
        unit,
        predicted: (low + high) / 2,
        low,
        high,
        measured: reading.value,
        on: reading.on,
        roomC: reading.roomC ?? null,
        stripId: stripOf(id, at?.assembly ?? null),
      },
    ];
  });
};
