import type { BenchStanding } from '@vitrum/core';
import { Camera, TriangleAlert } from 'lucide-react';
import { useState, type ChangeEvent, type FormEvent } from 'react';
import { writeDown } from '../bench-log';
import { smallPhoto } from '../bench-log/small-photo';
import { fieldLook } from '../fields/field-row';
import type { Subject } from '../records/lesson-form';
import { NoteList } from '../records/note-list';
import { Button, linkLook } from '../ui/button';

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
