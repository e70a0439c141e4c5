import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** The time, told anew every second while somebody looks (ms since 1970). */
export const useNow = (looks: boolean): number => {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!looks) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [looks]);
  return now;
};

/** “1 h 05 min”, “4 min 20 s”, “12 s”. */
export const timeWords = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  const [h, min, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const two = (value: number): string => String(value).padStart(2, '0');
  if (h > 0) return `${h} h ${two(min)} min`;
  return min > 0 ? `${min} min ${two(s)} s` : `${s} s`;
};

/** Work that is under way on this device: one person does one thing at a time. */
export interface Clock {
  readonly jobId: string;
  readonly stepId: string;
  /** ms since 1970. */
  readonly since: number;
}

/** Kept in this browser: work goes on while the page is shut. */
export const useClock = create<{ readonly clock: Clock | null }>()(
  persist((): { readonly clock: Clock | null } => ({ clock: null }), { name: 'vitrum.clock' }),
);

/** Of a clock that ran for longer nobody believes that it was all work; it was forgotten. */
const longestSpellMs = 6 * 3_600_000;

/** Minutes that a clock has run, whole ones and one at the least; null where it must have been forgotten. */
export const clockMinutes = ({ since }: Clock, now: number): number | null =>
  now - since > longestSpellMs ? null : Math.max(1, Math.round((now - since) / 60_000));
