import { joints, type Evaluation, type HaloEvaluation } from '@vitrum/core';
import { useState } from 'react';
import { ChoiceField } from '../../../fields/design-fields';
import { fieldLook } from '../../../fields/field-row';
import { Button } from '../../../ui/button';
import { useLength } from '../../../view/use-length';
import { choicesOf, useCatalogue } from '../../catalogue-context';
import { changePower, pairPieces } from '../../power-edits';

/** Puts two pieces in series by hand. */
const PairByHand = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const pieces = evaluation.runs.segments.map(({ number }) => number);
  const [first, setFirst] = useState(pieces[0] ?? 1);
  const [second, setSecond] = useState(pieces[1] ?? 2);
  const choose = (label: string, value: number, set: (piece: number) => void) => (
    <select
      aria-label={label}
      className={`${fieldLook} !w-16`}
      value={value}
      onChange={(event) => set(Number(event.target.value))}
    >
      {pieces.map((piece) => (
        <option key={piece}>{piece}</option>
      ))}
    </select>
  );
  return (
    <div className="flex items-center gap-2 py-1 text-[13px]">
      Piece {choose('First of the pair', first, setFirst)} with {choose('Second of the pair', second, setSecond)}
      <Button onClick={() => changePower((now) => pairPieces(now, first, second))}>Pair</Button>
    </div>
  );
};

/** Pieces in series and the volts that each of them gets. */
const Pairs = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { pairs, alone, voltageV } = evaluation.circuit;
  const show = useLength();
  return (
    <>
      <ul className="text-[13px]" aria-label="Pairs">
        {pairs.map(({ pieces, lengthsMm, volts }) => (
          <li key={pieces.join()} className="flex justify-between border-b border-line">
            <span>
              {pieces[0]} and {pieces[1]} in series, {show(lengthsMm[0])} and {show(lengthsMm[1])}
            </span>
            <span className="figure whitespace-nowrap">
              {volts[0].toFixed(1)} + {volts[1].toFixed(1)} V
            </span>
          </li>
        ))}
        {alone.map((piece) => (
          <li key={piece} className="border-b border-line font-semibold text-signal">
            {piece} alone on {voltageV} V
          </li>
        ))}
      </ul>
      <PairByHand evaluation={evaluation} />
    </>
  );
};

/** Holes to drill, or wire to tape over so that it does not shine. */
const crossingHint = (jumpers: HaloEvaluation['jumpers']): string => {
  const holes = new Set(jumpers.flatMap((jumper) => jumper.holes.map((hole) => hole.join()))).size;
  const shining = jumpers.filter(({ openMm }) => openMm > 3);
  if (shining.length === 0) return holes === 0 ? 'all wires stay inside' : `${holes} holes of 8 mm`;
  return `tape where they shine: ${shining.map(({ from, to }) => `${from} to ${to}`).join('; ')}`;
};

/** How pieces hang together: in parallel or in pairs, fed at one end or both, joints and lead. */
export const FeedFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { wires } = useCatalogue();
  const show = useLength();
  const { circuit, design } = evaluation;
  const series = design.power.arrangement === 'series-pairs';
  return (
    <>
      <ChoiceField
        label="Pieces"
        path="power.arrangement"
        otherwise="parallel"
        choices={[
          { value: 'parallel', label: 'all in parallel' },
          { value: 'series-pairs', label: 'two and two in series' },
        ]}
        hint={series ? `on ${circuit.voltageV} V: equal lengths share it evenly` : undefined}
      />
      {series ? (
        <Pairs evaluation={evaluation} />
      ) : (
        <ChoiceField
          label="Runs fed"
          path="power.feed"
          choices={[
            { value: 'one-end', label: 'at one end' },
            { value: 'both-ends', label: 'at both ends' },
          ]}
        />
      )}
      <ChoiceField
        label="Joined by"
        path="power.joint"
        otherwise="solder"
        choices={joints.map(({ kind, name }) => ({ value: kind, label: name }))}
        hint={`carries ${circuit.joint.ratedA} A; bare ${circuit.joint.stripMm} mm of wire (typical)`}
      />
      {evaluation.build !== 'lightbox' && (
        <ChoiceField
          label="From letter to letter"
          wide
          path="power.crossings"
          otherwise={evaluation.build === 'halo' ? 'over' : 'holes'}
          choices={[
            { value: 'holes', label: 'behind, by a hole near each end' },
            { value: 'over', label: 'across in front, sleeved or taped' },
          ]}
          hint={crossingHint(evaluation.jumpers)}
        />
      )}
      <ChoiceField
        label="Lead"
        path="power.wireId"
        choices={[{ value: 'auto', label: 'chosen by load' }, ...choicesOf(wires)]}
        hint={`${circuit.lead.name}, ${show(design.brief.leadLengthMm)}, loses ${circuit.leadDropV.toFixed(2)} V; fuse ${circuit.fuseA} A`}
      />
    </>
  );
};
