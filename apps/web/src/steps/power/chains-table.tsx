import { isInSeries, type Chain, type Evaluation } from '@vitrum/core';
import { useLength } from '../../view/use-length';
import { changePower, feedFrom, inject, isInjected } from './power-edits';

interface ChainRowProps {
  readonly evaluation: Evaluation;
  readonly chain: Chain;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A chain, what it draws and loses, and its feeds. */
const ChainRow = ({ evaluation, chain }: ChainRowProps) => {
  const show = useLength();
  const { power } = evaluation.design;
  const segments = chain.segments.map((segment) => evaluation.circuit.segments[segment]!);
  const first = evaluation.circuit.segments[Math.min(...chain.segments)]!.ref;
  const labels = segments.map(({ label }) => label);
  const { backward } = chain;
  const [far, farEnd] = [segments.at(-1)!.ref, backward ? ('start' as const) : ('end' as const)];
  const farFed = isInjected(power, far, farEnd);
  // Where every run is fed at both ends there is nothing to add.
  const series = isInSeries(power);
  const allFed = power.feed === 'both-ends' || series;
  return (
    <>
      <tr>
        <td>{chain.number}</td>
        <td className="text-right">{show(chain.stripMm)}</td>
        <td className="text-right">{chain.amps.toFixed(2)} A</td>
        <td className="text-right">{chain.dropV.toFixed(2)} V</td>
        <td className="text-right">{percent(chain.dimmestShare)}</td>
      </tr>
      <tr className="border-b border-line">
        <td />
        <td colSpan={4} className="pb-1 text-right font-sans text-[13px]">
          <span className="text-soft">
            segment{labels.length === 1 ? '' : 's'} {labels.join(', ')}
            {chain.fuseA !== null && `, own fuse ${chain.fuseA} A`}
            {chain.colourShift > 0.0005 && `, colour off by ${chain.colourShift.toFixed(3)} u′v′`}
          </span>{' '}
          {!series && (
            <button
              type="button"
              className="ml-2 underline"
              aria-label={`Turn chain ${chain.number} round`}
              onClick={() => changePower((now) => feedFrom(now, first, !backward))}
            >
              turn round
            </button>
          )}
          {!allFed && (
            <button
              type="button"
              className="ml-2 underline"
              aria-label={`${farFed ? 'Stop feeding' : 'Feed'} the far end of chain ${chain.number}`}
              onClick={() => changePower((now) => inject(now, far, farEnd, !farFed))}
            >
              {farFed ? 'stop feeding far end' : 'feed far end'}
            </button>
          )}
        </td>
      </tr>
    </>
  );
};

/** Chains of segments: current, drop and the least light, with feeds to change by hand. */
export const ChainsTable = ({ evaluation }: { readonly evaluation: Evaluation }) => (
  <table className="figure w-full text-[13px]" aria-label="Chains">
    <thead>
      <tr className="border-b border-ink text-left font-sans text-xs text-soft">
        <th>no.</th>
        <th className="text-right">strip</th>
        <th className="text-right">current</th>
        <th className="text-right">drop</th>
        <th className="text-right">least light</th>
      </tr>
    </thead>
    <tbody>
      {evaluation.circuit.chains.map((chain) => (
        <ChainRow key={chain.number} evaluation={evaluation} chain={chain} />
      ))}
    </tbody>
  </table>
);
