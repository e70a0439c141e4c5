import type { LogEntry } from '@vitrum/core';
import { useState } from 'react';
import { useStore } from 'zustand';
import { photoAddress } from '../api/bench';
import { benchLog, writeDown } from '../bench-log';
import { useAddress } from '../photo/use-address';
import { Button } from '../ui/button';
import { LessonForm, type Subject } from './lesson-form';

interface PhotoProps {
  readonly jobId: string;
  readonly entry: LogEntry;
}

/** A photograph, from this device while the server does not have it. */
const Photo = ({ jobId, entry }: PhotoProps) => {
  const own = useStore(benchLog.store, ({ waiting }) => waiting.find((each) => each.entry.id === entry.id)?.photo);
  const local = useAddress(own ?? null);
  const address = local ?? photoAddress(jobId, entry.id);
  return (
    <a href={address} target="_blank" rel="noreferrer">
      <img
        src={address}
        alt={entry.words === '' ? 'Photograph from the bench' : entry.words}
        className="mt-1 max-h-40 border border-line"
      />
    </a>
  );
};

const wordsOf = ({ what, value, words }: LogEntry): string => {
  if (what === 'time') return `${Math.round((value ?? 0) * 10) / 10} min of work`;
  if (what === 'wrong') return `Went wrong: ${words}`;
  return words;
};

const clock = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

interface NoteListProps {
  readonly jobId: string;
  readonly entries: readonly LogEntry[];
  /** What a lesson from one of them may be about. */
  readonly subjects: readonly Subject[];
}

/** What was written down, who by and when; each can be taken back. */
export const NoteList = ({ jobId, entries, subjects }: NoteListProps) => {
  const [teaches, setTeaches] = useState<string | null>(null);
  if (entries.length === 0) return null;
  return (
    <ul aria-label="Written down" className="grid gap-1">
      {entries.map((entry) => (
        <li key={entry.id} className="border-b border-line py-1">
          <div className="flex items-start justify-between gap-3">
            <span className="min-w-0">
              <span className={entry.what === 'wrong' ? 'font-semibold' : ''}>{wordsOf(entry)}</span>{' '}
              <span className="text-[13px] text-soft">
                {entry.by === '' ? '' : `${entry.by}, `}
                {clock.format(new Date(entry.at))}
              </span>
              {entry.what === 'photo' && <Photo jobId={jobId} entry={entry} />}
            </span>
            <span className="flex shrink-0">
              {entry.what === 'wrong' && subjects.length > 0 && teaches !== entry.id && (
                <Button look="quiet" onClick={() => setTeaches(entry.id)}>
                  Make a lesson of it
                </Button>
              )}
              <Button
                look="quiet"
                onClick={() => writeDown({ what: 'taken-back', stepId: entry.stepId, of: entry.id })}
              >
                Take back
              </Button>
            </span>
          </div>
          {teaches === entry.id && <LessonForm jobId={jobId} subjects={subjects} onDone={() => setTeaches(null)} />}
        </li>
      ))}
    </ul>
  );
};
