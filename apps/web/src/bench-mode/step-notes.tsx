import type { BenchStanding, LogEntry } from '@vitrum/core';
import { Camera, TriangleAlert } from 'lucide-react';
import { useEffect, useMemo, useState, type ChangeEvent, type FormEvent } from 'react';
import { useStore } from 'zustand';
import { photoAddress } from '../api/bench';
import { benchLog, writeDown } from '../bench-log';
import { smallPhoto } from '../bench-log/small-photo';
import { fieldLook } from '../fields/field-row';
import { LessonForm, type Subject } from '../records/lesson-form';
import { Button, linkLook } from '../ui/button';

interface PhotoProps {
  readonly jobId: string;
  readonly entry: LogEntry;
}

/** A photograph, from this device while the server does not have it. */
const Photo = ({ jobId, entry }: PhotoProps) => {
  const own = useStore(benchLog.store, ({ waiting }) => waiting.find((each) => each.entry.id === entry.id)?.photo);
  const local = useMemo(() => (own ? URL.createObjectURL(own) : null), [own]);
  useEffect(
    () => () => {
      if (local !== null) URL.revokeObjectURL(local);
    },
    [local],
  );
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
          {teaches === entry.id && (
            <LessonForm jobId={jobId} subjects={subjects} words={entry.words} onDone={() => setTeaches(null)} />
          )}
        </li>
      ))}
    </ul>
  );
};

interface StepNotesProps {
  readonly jobId: string;
  readonly stepId: string;
  readonly standing: BenchStanding;
  readonly subjects: readonly Subject[];
}

/** What went wrong at a step, and photographs of it. */
export const StepNotes = ({ jobId, stepId, standing, subjects }: StepNotesProps) => {
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const told = standing.told.filter((entry) => entry.stepId === stepId);
  const tell = (event: FormEvent): void => {
    event.preventDefault();
    if (words.trim() === '') return;
    writeDown({ what: 'wrong', stepId, words: words.trim() });
    setWords('');
  };
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file === undefined) return;
    const photo = await smallPhoto(file);
    setProblem(photo === null ? 'This browser cannot read that picture; take it as JPEG or PNG.' : null);
    if (photo !== null) writeDown({ what: 'photo', stepId }, photo);
  };
  return (
    <section aria-label="Notes of this step" className="grid gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <form className="flex min-w-64 flex-1 items-end gap-2" onSubmit={tell}>
          <label className="grid flex-1 gap-0.5 text-[13px]">
            What went wrong
            <input
              className={`${fieldLook} min-h-11 w-full!`}
              maxLength={2000}
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </label>
          <Button type="submit" className="min-h-11" disabled={words.trim() === ''}>
            <TriangleAlert size={16} aria-hidden /> Note it
          </Button>
        </form>
        <label className={`${linkLook} min-h-11 cursor-pointer focus-within:outline-2 focus-within:outline-lamp`}>
          <Camera size={18} aria-hidden /> Photograph
          <input
            type="file"
            accept="image/*"
            capture="environment"
            className="sr-only"
            onChange={(event) => void take(event)}
          />
        </label>
      </div>
      {problem !== null && (
        <p role="alert" className="text-signal">
          {problem}
        </p>
      )}
      {told.length > 0 && <NoteList jobId={jobId} entries={told} subjects={subjects} />}
    </section>
  );
};
