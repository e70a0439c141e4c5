import { demoDesigns, type FaultReply, type Level } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { PageHeader } from '../pages/page-header';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { Skeleton } from '../ui/skeleton';
import { BenchDrawing, type Held } from './bench-drawing';
import { Measure } from './measure';
import { ReadingsTable } from './meter';
import { NameFault } from './name-fault';
import { practiceLink, usePractice, type CircuitName, type PracticeLink } from './practice-store';
import { useParts } from '../view/use-parts';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

const levels: readonly { readonly value: Level; readonly label: string }[] = [
  { value: 'easy', label: 'easy: open, swapped, dead' },
  { value: 'fair', label: 'fair: broken, crossed, shorted, weak' },
  { value: 'hard', label: 'hard: loose joints too' },
];
const circuits = (Object.keys(demoDesigns) as CircuitName[]).map((value) => ({
  value,
  label: demoDesigns[value].name,
}));

const Choices = ({ link }: { readonly link: PracticeLink }) => {
  const { circuit, level, seed } = useParts(usePractice, 'circuit', 'level', 'seed');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="w-44">
        <LabelledChoice
          label="Circuit"
          value={circuit}
          onChoose={(chosen) => link.start(chosen, level, seed + 1)}
          options={circuits}
        />
      </div>
      <div className="w-72">
        <LabelledChoice
          label="Level"
          value={level}
          onChoose={(chosen) => link.start(circuit, chosen, seed + 1)}
          options={levels}
        />
      </div>
      <Button onClick={() => link.start(circuit, level, seed + 1)}>Hide another fault</Button>
    </div>
  );
};

/** The circuit, the meter and the answer; laid out anew for each fault. */
const Bench = ({ opened, link }: { readonly opened: Opened; readonly link: PracticeLink }) => {
  const { hidden, readings } = useParts(usePractice, 'hidden', 'readings');
  const [held, setHeld] = useState<Held | null>(null);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_320px]">
      <div>
        <BenchDrawing
          drawing={opened.drawing}
          lights={hidden?.lights ?? []}
          tints={hidden?.tints ?? []}
          held={held}
          onHold={setHeld}
        />
        <p className="mt-1 mb-3 text-[13px] text-soft">
          Blue dots are ends of strip and lead; orange lines are wires. Bright strip has its current, grey has none;
          strip of several colours shows what is left of their mix.
        </p>
        <ReadingsTable opened={opened} readings={readings} />
      </div>
      <div>
        <Measure opened={opened} held={held} onHold={setHeld} link={link} />
        <NameFault opened={opened} link={link} />
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
  const link = practiceLink;
  const opened = usePractice((state) => state.opened);
  const problem = usePractice((state) => state.problem);
  const seed = usePractice((state) => state.seed);
  const circuit = usePractice((state) => state.circuit);
  useEffect(() => {
    const now = usePractice.getState();
    // What was begun on an earlier visit goes on.
    if (now.opened === null) practiceLink.start(now.circuit, now.level, now.seed);
    return practiceLink.hold();
  }, []);
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-[1240px] px-4 py-4">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-xl font-bold">Practice</h1>
            <p className="text-[13px] text-soft">
              One fault is hidden. See which strip is dark, dim or of a wrong colour, measure, and name it; the meter
              and the circuit are computed, nothing can be harmed.
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
          <Skeleton
            says="Laying the circuit out …"
            shapes={['h-[420px]', 'h-[220px]']}
            className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_320px]"
          />
        ) : (
          <Bench key={`${circuit} ${seed}`} opened={opened} link={link} />
        )}
      </main>
    </>
  );
};
