import type { FaultReply, Judged } from '@vitrum/core';
import type { Taken } from './practice-store';

type Probes = Extract<FaultReply, { kind: 'opened' }>['probes'];

const words: Readonly<Record<Judged, string>> = {
  none: 'nothing',
  reversed: 'backward',
  low: 'too low',
  right: 'as it should be',
  high: 'too high',
};

const unitOf = (probes: Probes, probe: number): string => (probes[probe]!.probe.kind === 'amps' ? 'A' : 'V');

/** The meter’s last figure, large, and what it should be. */
export const MeterFace = ({ probes, reading }: { readonly probes: Probes; readonly reading: Taken | null }) => (
  <div role="status" className="border border-ink bg-[#dfe5d2] px-3 py-2 text-[#14160f]" aria-label="Meter">
    <p className="figure text-right text-3xl">
      {reading === null ? '–' : `${reading.value.toFixed(2)} ${unitOf(probes, reading.probe)}`}
    </p>
    <p className="text-right text-[13px]">
      {reading === null
        ? 'hold it somewhere'
        : `${words[reading.judged]}; a sound circuit gives ${probes[reading.probe]!.should.toFixed(2)} ${unitOf(probes, reading.probe)}`}
    </p>
  </div>
);

/** Everything measured so far. */
export const ReadingsTable = ({
  probes,
  readings,
}: {
  readonly probes: Probes;
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
          <td>{probes[probe]!.words}</td>
          <td className="figure text-right whitespace-nowrap">
            {value.toFixed(2)} {unitOf(probes, probe)}
          </td>
          <td className="figure text-right whitespace-nowrap">
            {probes[probe]!.should.toFixed(2)} {unitOf(probes, probe)}
          </td>
          <td className={`pl-3 ${judged === 'right' ? '' : 'font-bold'}`}>{words[judged]}</td>
        </tr>
      ))}
    </tbody>
  </table>
);
