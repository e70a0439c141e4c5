import type { Step } from '@vitrum/core';
import { Timer } from 'lucide-react';
import { writeDown } from '../bench-log';
import { Button } from '../ui/button';
import { duration } from '../bench-log/work-words';
import { timeWords, useNow } from './timers';

interface DryingTimerProps {
  readonly step: Step;
  /** When its wait began (ISO 8601); undefined while none runs. */
  readonly begun: string | undefined;
}

/** Counts down while glue dries or paint hardens; goes on while the page is shut, for everybody who looks. */
export const DryingTimer = ({ step, begun }: DryingTimerProps) => {
  const now = useNow(begun !== undefined);
  if (step.waitMinutes <= 0) return null;
  if (begun === undefined)
    return (
      <Button className="min-h-11 px-4" onClick={() => writeDown({ what: 'wait-begun', stepId: step.id })}>
        <Timer size={18} aria-hidden /> Start the wait, {duration(step.waitMinutes)}
      </Button>
    );
  const since = Date.parse(begun);
  const left = Math.max(0, since + step.waitMinutes * 60_000 - Math.max(now, since));
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
      <Button look="quiet" onClick={() => writeDown({ what: 'wait-over', stepId: step.id })}>
        Take it away
      </Button>
    </p>
  );
};
