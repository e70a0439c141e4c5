import type { FaultReply, ReadingGrade } from '@vitrum/core';
import type { Taken } from './practice-store';
import { readingText } from './probe-at';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

/** What a reading is beside the sound circuit’s. */
export const judgedWords: Readonly<Record<ReadingGrade, string>> = {
  none: 'nothing',
  reversed: 'backward',
  low: 'too low',
  right: 'as it should be',
  high: 'too high',
  wrong: 'another colour',
};

/** The meter’s last figure, large, and what it should be. */
export const MeterFace = ({ opened, reading }: { readonly opened: Opened; readonly reading: Taken | null }) => (
  <div role="status" className="border border-ink bg-[#dfe5d2] px-3 py-2 text-[#14160f]" aria-label="Meter">
    <p className="figure text-right text-3xl">
      {reading === null ? '–' : readingText(opened, reading.probe, reading.value)}
    </p>
    <p className="text-right text-[13px]">
      {reading === null
        ? 'hold it somewhere'
        : `${judgedWords[reading.judged]}; a sound circuit gives ${readingText(opened, reading.probe, opened.probes[reading.probe]!.should)}`}
    </p>
  </div>
);

/** Everything measured so far. */
export const ReadingsTable = ({
  opened,
  readings,
}: {
  readonly opened: Opened;
  readonly readings: readonly Taken[];
}) => (
  <table className="w-full text-[13px]" aria-label="Readings">
    <thead>
      <tr className="border-b border-ink text-left text-xs text-soft">
        <th>measured</th>
        <th className="text-right">reads</th>
        <th className="text-right">should</th>
        <th className="pl-3">that is</th>
      </tr>
    </thead>
    <tbody>
      {readings.map(({ probe, value, judged }, index) => (
        <tr key={index} className="border-b border-line">
          <td>{opened.probes[probe]!.words}</td>
          <td className="figure text-right whitespace-nowrap">{readingText(opened, probe, value)}</td>
          <td className="figure text-right whitespace-nowrap">
            {readingText(opened, probe, opened.probes[probe]!.should)}
          </td>
          <td className={`pl-3 ${judged === 'right' ? '' : 'font-bold'}`}>{judgedWords[judged]}</td>
        </tr>
      ))}
    </tbody>
  </table>
);
