import type { Evaluation, WiredSegment } from '@vitrum/core';
import { beginChain, changePower, carryOn, inject, isInjected, putInZone, zoneOf } from './power-edits';
import { Choice } from '../../ui/choice';

const mostZones = 8;

const voltsAt = ({ circuit }: Evaluation, segment: number, last: boolean): number => {
  const { segment: of, volts } = circuit.groups;
  return volts[last ? of.lastIndexOf(segment) : of.indexOf(segment)] ?? 0;
};

interface FeedButtonProps {
  readonly evaluation: Evaluation;
  readonly segment: WiredSegment;
  readonly end: 'start' | 'end';
}

const FeedButton = ({ evaluation, segment: { ref, label }, end }: FeedButtonProps) => {
  const { power } = evaluation.design;
  const fed = isInjected(power, ref, end);
  return (
    <button
      type="button"
      className="ml-1.5 font-sans underline"
      aria-pressed={fed}
      aria-label={`${fed ? 'Stop feeding' : 'Feed'} the ${end} of segment ${label}`}
      onClick={() => changePower((now) => inject(now, ref, end, !fed))}
    >
      {fed ? 'fed' : 'feed'}
    </button>
  );
};

/** Segments with the volts at both their ends; each end can be fed, and each can begin a chain or carry one on. */
export const SegmentsTable = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { circuit, design } = evaluation;
  const zoneCount = design.power.zones?.length ?? 0;
  const lowest = new Set(circuit.chains.map(({ segments }) => Math.min(...segments)));
  return (
    <table className="figure w-full text-[13px]" aria-label="Segments">
      <thead>
        <tr className="border-b border-ink text-left font-sans text-xs text-soft">
          <th>segment</th>
          <th className="text-right">start, V</th>
          <th className="text-right">end, V</th>
          <th className="text-right">chain</th>
          <th className="text-right">zone</th>
        </tr>
      </thead>
      <tbody>
        {circuit.segments.map((segment, index) => {
          const begins = lowest.has(index);
          const { ref, label } = segment;
          return (
            <tr key={label} className="border-b border-line">
              <td>{label}</td>
              <td className="text-right whitespace-nowrap">
                {voltsAt(evaluation, index, false).toFixed(2)}
                <FeedButton evaluation={evaluation} segment={segment} end="start" />
              </td>
              <td className="text-right whitespace-nowrap">
                {voltsAt(evaluation, index, true).toFixed(2)}
                <FeedButton evaluation={evaluation} segment={segment} end="end" />
              </td>
              <td className="pl-2 text-right font-sans">
                {index === 0 ? (
                  'begins'
                ) : (
                  <button
                    type="button"
                    className="underline"
                    aria-label={
                      begins ? `Join segment ${label} to the chain before` : `Begin a chain at segment ${label}`
                    }
                    onClick={() => changePower((now) => (begins ? carryOn : beginChain)(now, ref))}
                  >
                    {begins ? 'join' : 'split'}
                  </button>
                )}
              </td>
              <td className="text-right">
                <Choice
                  label={`Zone of segment ${label}`}
                  className="ml-auto w-14"
                  value={zoneOf(design.power, ref)}
                  options={[
                    { value: 0, label: '–' },
                    ...Array.from({ length: Math.min(mostZones, zoneCount + 1) }, (_, zone) => ({
                      value: zone + 1,
                      label: String(zone + 1),
                    })),
                  ]}
                  onChoose={(zone) => changePower((now) => putInZone(now, ref, zone))}
                />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
};
