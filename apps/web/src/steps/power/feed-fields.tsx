import { inDesign, isInSeries, pairsOf, type Evaluation, type WiredSegment } from '@vitrum/core';
import { useState } from 'react';
import { pageOf } from '../../builds';
import { ChoiceField, NumberField, useDesignValue } from '../../fields/design-fields';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { useLength } from '../../view/use-length';
import { aboutWire } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { changePower, pairSegments } from './power-edits';

/** Puts two segments in series by hand. */
const PairByHand = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { segments } = evaluation.circuit;
  const [first, setFirst] = useState(0);
  const [second, setSecond] = useState(Math.min(1, segments.length - 1));
  const refOf = (index: number): WiredSegment['ref'] | undefined => segments[index]?.ref;
  const pair = (): void => {
    const [one, other] = [refOf(first), refOf(second)];
    if (one !== undefined && other !== undefined) changePower((now) => pairSegments(now, one, other));
  };
  const choose = (label: string, value: number, set: (index: number) => void) => (
    <Choice
      label={label}
      className="w-16"
      value={value}
      options={segments.map((segment, index) => ({ value: index, label: segment.label }))}
      onChoose={set}
    />
  );
  return (
    <div className="flex items-center gap-2 py-1 text-[13px]">
      Segment {choose('First of the pair', first, setFirst)} with {choose('Second of the pair', second, setSecond)}
      <Button onClick={pair}>Pair</Button>
    </div>
  );
};

/** Segments of one side of a pair, by their labels. */
const namesOf = (group: readonly number[], all: readonly WiredSegment[]): string =>
  group.map((each) => all[each]!.label).join(', ');

/** How far the higher of two voltages is over half of what they share. */
const offBy = (volts: readonly [number, number], voltageV: number): string =>
  `${Math.max(0, Math.max(...volts) - voltageV / 2).toFixed(2)} V`;

/** Segments in series and the volts that each of them gets. */
const Pairs = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { pairs, alone, voltageV, segments: all } = evaluation.circuit;
  const show = useLength();
  return (
    <>
      <ul className="text-[13px]" aria-label="Pairs">
        {pairs.map(({ groups, segments, lengthsMm, volts }) => (
          <li key={segments.join()} className="flex flex-wrap justify-between gap-x-2 border-b border-line">
            <span>
              {namesOf(groups[0], all)} and {namesOf(groups[1], all)} in series, {show(lengthsMm[0])} and{' '}
              {show(lengthsMm[1])}
            </span>
            <span className="figure whitespace-nowrap">
              {volts[0].toFixed(1)} + {volts[1].toFixed(1)} V, {offBy(volts, voltageV)} off
            </span>
          </li>
        ))}
        {alone.map((segment) => (
          <li key={segment} className="border-b border-line font-semibold text-signal">
            {all[segment]!.label} alone on {voltageV} V
          </li>
        ))}
      </ul>
      {evaluation.design.power.arrangement === 'series-pairs' && <PairByHand evaluation={evaluation} />}
    </>
  );
};

/** What the builds of the sign ask about wires inside, once each. */
const OwnFeedFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const pages = new Set(evaluation.assemblies.map(pageOf));
  return [...pages].map(({ name, FeedFields: Own }) => (Own === null ? null : <Own key={name} />));
};

/** How segments hang together: in parallel or in pairs, fed at one end or both, joints and lead. */
export const FeedFields = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { wires, joints } = useCatalogue();
  const kind = useDesignValue(inDesign.power.joint) ?? 'solder';
  const ofKind = joints.filter((joint) => joint.kind === kind);
  const show = useLength();
  const { circuit, design } = evaluation;
  const series = isInSeries(design.power);
  return (
    <>
      <ChoiceField
        label="Segments"
        field={inDesign.power.arrangement}
        otherwise="parallel"
        choices={[
          { value: 'parallel', label: 'all in parallel' },
          { value: 'series-pairs', label: 'two and two in series' },
          { value: 'series-groups', label: 'two groups in series' },
        ]}
        hint={series ? `on ${circuit.voltageV} V: equal lengths share it evenly` : undefined}
      />
      {design.power.arrangement === 'series-groups' && (
        <NumberField
          label="Pairs of groups"
          field={inDesign.power.groupPairs}
          otherwise={1}
          hint="each pair is fed by itself: so its wires and joints carry less"
        />
      )}
      {series ? (
        <Pairs evaluation={evaluation} />
      ) : (
        <ChoiceField
          label="Runs fed"
          field={inDesign.power.feed}
          choices={[
            { value: 'one-end', label: 'at one end' },
            { value: 'both-ends', label: 'at both ends' },
          ]}
        />
      )}
      <ChoiceField
        label="Joined by"
        field={inDesign.power.joint}
        otherwise="solder"
        choices={joints
          .filter((joint, at) => joints.findIndex((other) => other.kind === joint.kind) === at)
          .map((joint) => ({ value: joint.kind, label: joint.name }))}
        hint={`carries ${circuit.joint.ratedA} A; bare ${circuit.joint.stripMm} mm of wire (typical)`}
      />
      {ofKind.length > 1 && (
        <ChoiceField
          label="Which connector"
          field={inDesign.power.jointId}
          otherwise={ofKind[0]!.id}
          choices={ofKind.map(({ id, name, ratedA }) => ({ value: id, label: name, detail: `${ratedA} A` }))}
        />
      )}
      <OwnFeedFields evaluation={evaluation} />
      <ChoiceField
        label="Lead"
        field={inDesign.power.wireId}
        choices={[{ value: 'auto', label: 'chosen by load' }, ...choicesOf(pairsOf(wires), aboutWire)]}
        hint={`${circuit.lead.name}, ${show(design.brief.leadLengthMm)}, loses ${circuit.leadDropV.toFixed(2)} V; fuse ${circuit.fuseA} A`}
      />
    </>
  );
};
