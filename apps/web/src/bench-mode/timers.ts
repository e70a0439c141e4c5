import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** When the wait of a step began (ms since 1970), by job and step. Kept in this browser: glue dries beside it. */
export const useTimers = create<Readonly<Record<string, number>>>()(persist(() => ({}), { name: 'vitrum.timers' }));

const keyOf = (jobId: string, stepId: string): string => `${jobId} ${stepId}`;

export const startTimer = (jobId: string, stepId: string, now = Date.now()): void =>
  void useTimers.setState({ [keyOf(jobId, stepId)]: now });

export const stopTimer = (jobId: string, stepId: string): void =>
  void useTimers.setState(
    (all) => Object.fromEntries(Object.entries(all).filter(([key]) => key !== keyOf(jobId, stepId))),
    true,
  );

/** What is left of a wait (ms), counted down every second while it runs; null while none was begun. */
export const useTimeLeft = (jobId: string, stepId: string, waitMinutes: number): number | null => {
  const begun = useTimers((all) => all[keyOf(jobId, stepId)]);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (begun === undefined) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [begun]);
  return begun === undefined ? null : Math.max(0, begun + waitMinutes * 60_000 - Math.max(now, begun));
};

/** “1 h 05 min”, “4 min 20 s”, “12 s”. */
export const timeWords = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  const [h, min, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const two = (value: number): string => String(value).padStart(2, '0');
  if (h > 0) return `${h} h ${two(min)} min`;
  return min > 0 ? `${min} min ${two(s)} s` : `${s} s`;
};
