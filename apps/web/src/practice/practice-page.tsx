import { demoDesigns, type FaultReply, type Level, type Probe } from '@vitrum/core';
import { useId, useState } from 'react';
import { fieldLook } from '../fields/field-row';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { BenchDrawing, type Held } from './bench-drawing';
import { MeterFace, ReadingsTable } from './meter';
import { practiceLink } from './link';
import { scoreSoFar, usePractice, type CircuitName, type PracticeLink } from './practice-store';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

const levels: readonly { readonly level: Level; readonly name: string }[] = [
  { level: 'easy', name: 'easy: open, swapped or dead' },
  { level: 'fair', name: 'fair: broken tracks, shorts, weak supplies' },
  { level: 'hard', name: 'hard: loose joints and the like' },
];

const manners = [
  { kind: 'volts', name: 'plus to minus there' },
  { kind: 'plus', name: 'plus there to the supply’s minus' },
  { kind: 'minus', name: 'the supply’s plus to minus there' },
] as const;

/** The place among the probes for where the meter is held, and how. */
const probeAt = ({ probes }: Opened, held: Held, manner: Exclude<Probe['kind'], 'amps'>): number =>
  probes.findIndex(({ probe }) =>
    'wire' in held
      ? probe.kind === 'amps' && probe.wire === held.wire
      : probe.kind === manner && probe.point === held.point,
  );

const Choices = ({ link }: { readonly link: PracticeLink }) => {
  const { circuit, level, seed } = usePractice();
  const ids = [useId(), useId()] as const;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label htmlFor={ids[0]} className="flex flex-col text-[13px]">
        Circuit
        <select
          id={ids[0]}
          className={fieldLook}
          value={circuit}
          onChange={(event) => link.start(event.target.value as CircuitName, level, seed + 1)}
        >
          {(Object.keys(demoDesigns) as CircuitName[]).map((name) => (
            <option key={name} value={name}>
              {demoDesigns[name].name}
            </option>
          ))}
        </select>
      </label>
      <label htmlFor={ids[1]} className="flex flex-col text-[13px]">
        Level
        <select
          id={ids[1]}
          className={fieldLook}
          value={level}
          onChange={(event) => link.start(circuit, event.target.value as Level, seed + 1)}
        >
          {levels.map(({ level: each, name }) => (
            <option key={each} value={each}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <Button onClick={() => link.start(circuit, level, seed + 1)}>Hide another fault</Button>
    </div>
  );
};

interface MeasureProps {
  readonly opened: Opened;
  readonly held: Held | null;
  readonly onHold: (held: Held) => void;
  readonly link: PracticeLink;
}

const Measure = ({ opened, held, onHold, link }: MeasureProps) => {
  const { readings, hint, answer } = usePractice();
  const [manner, setManner] = useState<(typeof manners)[number]['kind']>('volts');
  const ids = [useId(), useId()] as const;
  const clamped = held !== null && 'wire' in held;
  const probe = held === null ? -1 : probeAt(opened, held, manner);
  return (
    <section aria-label="Measure" className="space-y-2">
      <h2 className="font-bold">Measure</h2>
      <label htmlFor={ids[0]} className="block text-[13px]">
        Where
        <select
          id={ids[0]}
          className={`${fieldLook} w-full`}
          value={held === null ? '' : JSON.stringify(held)}
          onChange={(event) => onHold(JSON.parse(event.target.value) as Held)}
        >
          {held === null && <option value="">click the drawing, or choose</option>}
          {opened.drawing.points.map(({ id, name }) => (
            <option key={id} value={JSON.stringify({ point: id })}>
              {name}
            </option>
          ))}
          <option value={JSON.stringify({ wire: -1 })}>clamp on the lead</option>
          {opened.drawing.wires.map(({ from, to }, wire) => (
            <option key={`${from} ${to}`} value={JSON.stringify({ wire })}>
              clamp on the wire from {from} to {to}
            </option>
          ))}
        </select>
      </label>
      <label htmlFor={ids[1]} className="block text-[13px]">
        How
        <select
          id={ids[1]}
          className={`${fieldLook} w-full`}
          value={clamped ? 'amps' : manner}
          disabled={clamped}
          onChange={(event) => setManner(event.target.value as typeof manner)}
        >
          {clamped && <option value="amps">amperes, by clamp</option>}
          {manners.map(({ kind, name }) => (
            <option key={kind} value={kind}>
              {name}
            </option>
          ))}
        </select>
      </label>
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

const Name = ({ opened, link }: { readonly opened: Opened; readonly link: PracticeLink }) => {
  const state = usePractice();
  const { wrong, answer, readings, hidden, hints } = state;
  const [fault, setFault] = useState(-1);
  const id = useId();
  return (
    <section aria-label="Name the fault" className="mt-4 space-y-2">
      <h2 className="font-bold">Name the fault</h2>
      <label htmlFor={id} className="block text-[13px]">
        It is this
        <select
          id={id}
          className={`${fieldLook} w-full`}
          value={fault}
          onChange={(event) => setFault(Number(event.target.value))}
        >
          <option value={-1}>choose</option>
          {opened.faults.map((words, index) => (
            <option key={words} value={index} disabled={wrong.includes(index)}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <Button disabled={fault < 0 || answer !== null} onClick={() => link.name(fault)}>
        Name it
      </Button>
      {wrong.length > 0 && answer === null && (
        <p role="status" className="text-[13px]">
          Not {opened.faults[wrong[wrong.length - 1]!]}: something that was seen or can be measured speaks against it.
        </p>
      )}
      {answer !== null && (
        <p role="status" className="border-l-4 border-ink pl-2">
          <b>Found: {answer}.</b> {scoreSoFar(state)} of 100 points: {readings.length} measured
          {hints > 0 ? `, ${hints} asked` : ''}, {wrong.length} named wrongly; by looking and then always measuring what
          tells most it takes {hidden?.par ?? 0}.
        </p>
      )}
    </section>
  );
};

/** The circuit, the meter and the answer; laid out anew for each fault. */
const Bench = ({ opened, link }: { readonly opened: Opened; readonly link: PracticeLink }) => {
  const { hidden, readings } = usePractice();
  const [held, setHeld] = useState<Held | null>(null);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_320px]">
      <div>
        <BenchDrawing drawing={opened.drawing} lights={hidden?.lights ?? []} held={held} onHold={setHeld} />
        <p className="mt-1 mb-3 text-[13px] text-soft">
          Blue dots are ends of strip and lead; orange lines are wires. Bright strip has its current, grey has none.
        </p>
        <ReadingsTable probes={opened.probes} readings={readings} />
      </div>
      <div>
        <Measure opened={opened} held={held} onHold={setHeld} link={link} />
        <Name opened={opened} link={link} />
        <p className="mt-4 border-l-4 border-caution pl-2 text-[13px]">
          At the real bench: measure the low-voltage side only, switch off before you change a joint, and leave mains to
          a licensed electrician.
        </p>
      </div>
    </div>
  );
};

/** Find the fault: a fault is hidden in a circuit of the demo shop; look, measure, name it. */
export const PracticePage = () => {
  const [link] = useState(practiceLink);
  const { opened, problem, seed, circuit } = usePractice();
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-[1240px] px-4 py-4">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-xl font-bold">Practice</h1>
            <p className="text-[13px] text-soft">
              One fault is hidden. See which strip is dark or dim, measure, and name it; the meter and the circuit are
              computed, nothing can be harmed.
            </p>
          </div>
          <Choices link={link} />
        </div>
        {problem !== null && (
          <p role="alert" className="mb-3 border-l-4 border-caution pl-2">
            {problem}
          </p>
        )}
        {opened === null ? (
          <p role="status">Laying the circuit out …</p>
        ) : (
          <Bench key={`${circuit} ${seed}`} opened={opened} link={link} />
        )}
      </main>
    </>
  );
};
