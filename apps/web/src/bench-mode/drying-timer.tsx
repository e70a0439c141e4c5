import type { Step } from '@vitrum/core';
import { Timer } from 'lucide-react';
import { Button } from '../ui/button';
import { duration } from './chosen-step';
import { startTimer, stopTimer, timeWords, useTimeLeft } from './timers';

interface DryingTimerProps {
  readonly jobId: string;
  readonly step: Step;
}

/** Counts down while glue dries or paint hardens; goes on while the page is shut. */
export const DryingTimer = ({ jobId, step }: DryingTimerProps) => {
  const left = useTimeLeft(jobId, step.id, step.waitMinutes);
  if (step.waitMinutes <= 0) return null;
  if (left === null)
    return (
      <Button className="min-h-11 px-4" onClick={() => startTimer(jobId, step.id)}>
        <Timer size={18} aria-hidden /> Start the wait, {duration(step.waitMinutes)}
      </Button>
    );
  return (
    <p className="flex min-h-11 items-center gap-3 border border-line px-3" role="timer" aria-label="Wait">
      <Timer size={18} aria-hidden />
      {left > 0 ? (
        <>
          <span className="figure text-lg font-semibold">{timeWords(left)}</span> left
        </>
      ) : (
        <b>The wait is over.</b>
      )}
      <Button look="quiet" onClick={() => stopTimer(jobId, step.id)}>
        Take it away
      </Button>
    </p>
  );
};
