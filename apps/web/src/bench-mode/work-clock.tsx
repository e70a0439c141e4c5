import { Pause, Play } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { writeDown } from '../bench-log';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { clockMinutes, timeWords, useClock, useNow, type Clock } from './timers';

/** Ends the work that is under way and writes its time down in the open job; gives the minutes, null where it was forgotten. */
export const stopClock = (clock: Clock): number | null => {
  const minutes = clockMinutes(clock, Date.now());
  useClock.setState({ clock: null });
  if (minutes !== null) writeDown({ what: 'time', stepId: clock.stepId, value: minutes });
  return minutes;
};

interface WorkClockProps {
  readonly jobId: string;
  readonly stepId: string;
}

/** How long a step takes: by the clock, or typed. */
export const WorkClock = ({ jobId, stepId }: WorkClockProps) => {
  const clock = useClock((state) => state.clock);
  const runs = clock?.jobId === jobId && clock.stepId === stepId;
  const elsewhere = clock !== null && !runs;
  const now = useNow(runs);
  const [typed, setTyped] = useState('');
  const [forgotten, setForgotten] = useState(false);
  const minutes = Number(typed.replace(',', '.'));
  const sound = typed.trim() !== '' && minutes > 0 && minutes <= 1440;
  const start = (): void => {
    // Of the same job, what was under way has ended now; of another, its time is told there.
    setForgotten(clock !== null && clock.jobId === jobId && stopClock(clock) === null);
    useClock.setState({ clock: { jobId, stepId, since: Date.now() } });
  };
  const add = (event: FormEvent): void => {
    event.preventDefault();
    if (!sound) return;
    writeDown({ what: 'time', stepId, value: minutes });
    setTyped('');
    setForgotten(false);
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      {runs ? (
        <Button className="min-h-11 px-4" onClick={() => setForgotten(stopClock(clock) === null)}>
          <Pause size={18} aria-hidden /> Stop, {timeWords(Math.max(0, now - clock.since))}
        </Button>
      ) : (
        <Button className="min-h-11 px-4" onClick={start} disabled={elsewhere && clock.jobId !== jobId}>
          <Play size={18} aria-hidden /> Start work
        </Button>
      )}
      <form className="flex items-center gap-2" onSubmit={add}>
        <label className="flex items-center gap-2 text-[13px]">
          or took
          <input
            className={`${fieldLook} figure min-h-11 w-20! text-right`}
            inputMode="decimal"
            aria-label="Minutes that it took"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          min
        </label>
        <Button type="submit" className="min-h-11" disabled={!sound}>
          Add
        </Button>
      </form>
      {elsewhere && clock.jobId !== jobId && (
        <p className="w-full text-[13px] text-soft">
          Your clock runs on another job.{' '}
          <Button look="quiet" onClick={() => useClock.setState({ clock: null })}>
            Forget that time
          </Button>
        </p>
      )}
      {forgotten && (
        <p role="alert" className="w-full text-[13px] text-signal">
          The clock ran for more than six hours; it was forgotten, it seems. Type how long that work took.
        </p>
      )}
    </div>
  );
};
