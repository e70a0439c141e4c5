import type { FaultReply } from '@vitrum/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import type { Held } from './bench-drawing';
import { MeterFace } from './meter';
import { mannerWords, probesAt } from './probe-at';
import { usePractice, type PracticeLink } from './practice-store';
import { useParts } from '../view/use-parts';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

interface MeasureProps {
  readonly opened: Opened;
  readonly held: Held | null;
  readonly onHold: (held: Held) => void;
  readonly link: PracticeLink;
}

/** Where and how the meter is held, what it reads, and what would tell most. */
export const Measure = ({ opened, held, onHold, link }: MeasureProps) => {
  const { readings, hint, answer } = useParts(usePractice, 'readings', 'hint', 'answer');
  const [chosen, setChosen] = useState(-1);
  const there = probesAt(opened.probes, held);
  // The first way to hold it, until another is chosen.
  const probe = there.includes(chosen) ? chosen : (there[0] ?? -1);
  const { points, clamps, colours, segments } = opened.drawing;
  const places = [
    ...points.map(({ id, name }) => ({ value: JSON.stringify({ point: id }), label: name })),
    ...clamps.map(({ wire, name }) => ({ value: JSON.stringify({ wire }), label: `clamp on ${name}` })),
    ...(colours.length === 0
      ? []
      : segments.map(({ label }, segment) => ({
          value: JSON.stringify({ segment }),
          label: `look at segment ${label}`,
        }))),
  ];
  return (
    <section aria-label="Measure" className="space-y-2">
      <h2 className="font-bold">Measure</h2>
      <LabelledChoice
        label="Where"
        value={held === null ? '' : JSON.stringify(held)}
        onChoose={(place) => place !== '' && onHold(JSON.parse(place) as Held)}
        options={places}
        unchosen="click the drawing, or choose"
      />
      <LabelledChoice
        label="How"
        value={probe}
        disabled={there.length < 2}
        onChoose={setChosen}
        options={there.map((place) => ({ value: place, label: mannerWords(opened.probes[place]!.probe, opened) }))}
        unchosen="–"
      />
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={probe < 0 || answer !== null} onClick={() => link.measure(probe)}>
          Measure
        </Button>
        <Button disabled={answer !== null} onClick={() => link.hint()}>
          What would tell most?
        </Button>
      </div>
      <MeterFace opened={opened} reading={readings[readings.length - 1] ?? null} />
      {hint !== null && (
        <p className="border-l-4 border-ink pl-2 text-[13px]" data-testid="hint">
          {hint.probe === null
            ? 'Nothing more can be told apart: name it.'
            : `${opened.probes[hint.probe]!.probe.kind === 'colour' ? 'See' : 'Measure'} ${opened.probes[hint.probe]!.words}.`}{' '}
          {hint.left === 1 ? 'One fault explains' : `${hint.left} faults explain`} all that was seen.
        </p>
      )}
    </section>
  );
};
