import type { FaultReply } from '@vitrum/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { scoreSoFar, usePractice, type PracticeLink } from './practice-store';
import { useParts } from '../view/use-parts';

type Opened = Extract<FaultReply, { kind: 'opened' }>;

/** The fault named, once or until it is right, and the points. */
export const NameFault = ({ opened, link }: { readonly opened: Opened; readonly link: PracticeLink }) => {
  const state = useParts(usePractice, 'wrong', 'answer', 'readings', 'hidden', 'hints');
  const { wrong, answer, readings, hidden, hints } = state;
  const [fault, setFault] = useState(-1);
  return (
    <section aria-label="Name the fault" className="mt-4 space-y-2">
      <h2 className="font-bold">Name the fault</h2>
      <LabelledChoice
        label="It is this"
        value={fault}
        onChoose={setFault}
        options={opened.faults.map((words, index) => ({
          value: index,
          label: words,
          disabled: wrong.includes(index),
        }))}
      />
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
