import type { Evaluation } from '@vitrum/core';
import { useLength } from '../../view/use-length';

const bare = (end: string): string => end.replace('segment ', '');

/** Wires inside the sign: from where to where, how thick, how long, and what they carry of what they may. */
export const WiresTable = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const show = useLength();
  const besides = evaluation.circuit.wires.some(({ injected }) => injected);
  return (
    <>
      <table className="figure w-full text-[13px]" aria-label="Wires">
        <thead>
          <tr className="border-b border-ink text-left font-sans text-xs text-soft">
            <th>from, to segment</th>
            <th className="text-right">mm²</th>
            <th className="text-right">length</th>
            <th className="text-right">A of rated A</th>
          </tr>
        </thead>
        <tbody>
          {evaluation.circuit.wires.map(({ from, to, wire, lengthMm, amps, injected, carries, cores }) => (
            <tr key={`${from} ${to} ${carries}`} className="border-b border-line align-top">
              <td className="font-sans whitespace-nowrap">
                {bare(from)} → {bare(to)}
                {injected ? ' +' : ''}
                <span className="block text-xs text-soft">{cores.map(({ name }) => name).join(', ')}</span>
              </td>
              <td className="text-right whitespace-nowrap">{wire.areaMm2}</td>
              <td className="text-right whitespace-nowrap">{show(Math.ceil(lengthMm))}</td>
              <td className="text-right whitespace-nowrap">
                {carries === 'data' ? 'data' : `${amps.toFixed(2)} of ${wire.ampacityA}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-soft">
        Lengths with room at both joints; current over what the wire may carry (typical).
        {besides ? ' + feeds a run besides where it begins.' : ''}
      </p>
    </>
  );
};
