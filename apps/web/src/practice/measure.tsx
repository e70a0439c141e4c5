import type { FaultReply } from '@vitrum/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import type { Held } from './bench-drawing';
import { MeterFace } from './meter';
import { probeAt, type Manner } from './probe-at';
import { usePractice, type PracticeLink } from './practice-store';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

const manners: readonly { readonly value: Manner; readonly label: string }[] = [
  { value: 'volts', label: 'plus to minus there' },
  { value: 'plus', label: 'plus there to the supply’s minus' },
  { value: 'minus', label: 'the supply’s plus to minus there' },
];

interface MeasureProps {
  readonly opened: Opened;
  readonly held: Held | null;
  readonly onHold: (held: Held) => void;
  readonly link: PracticeLink;
}

/** Where and how the meter is held, what it reads, and what would tell most. */
export const Measure = ({ opened, held, onHold, link }: MeasureProps) => {
  const { readings, hint, answer } = usePractice();
  const [manner, setManner] = useState<Manner>('volts');
  const clamped = held !== null && 'wire' in held;
  const probe = probeAt(opened.probes, held, manner);
  const places = [
    ...opened.drawing.points.map(({ id, name }) => ({ value: JSON.stringify({ point: id }), label: name })),
    ...opened.drawing.clamps.map(({ wire, name }) => ({ value: JSON.stringify({ wire }), label: `clamp on ${name}` })),
  ];
  return (
    <section aria-label="Measure" className="space-y-2">
      <h2 className="font-bold">Measure</h2>
      <LabelledChoice
        label="Where"
        value={held === null ? '' : JSON.stringify(held)}
        onChoose={(place) => place !== '' && onHold(JSON.parse(place) as Held)}
        options={places}
        {...(held === null ? { unchosen: { value: '', label: 'click the drawing, or choose' } } : {})}
      />
      <LabelledChoice
        label="How"
        value={clamped ? 'amps' : manner}
        disabled={clamped}
        onChoose={(how) => how !== 'amps' && setManner(how)}
        options={clamped ? [{ value: 'amps' as const, label: 'amperes, by clamp' }] : manners}
      />
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={probe < 0 || answer !== null} onClick={() => link.measure(probe)}>
          Measure
        </Button>
        <Button disabled={answer !== null} onClick={() => link.hint()}>
          What would tell most?
        </Button>
      </div>
      <MeterFace probes={opened.probes} reading={readings[readings.length - 1] ?? null} />
      {hint !== null && (
        <p className="border-l-4 border-ink pl-2 text-[13px]" data-testid="hint">
          {hint.probe === null
            ? 'Nothing more can be told apart: name it.'
            : `Measure ${opened.probes[hint.probe]!.words}.`}{' '}
          {hint.left === 1 ? 'One fault explains' : `${hint.left} faults explain`} all that was seen.
        </p>
      )}
    </section>
  );
};
