import { useQueryClient } from '@tanstack/react-query';
import type { LessonSubject } from '@vitrum/core';
import { useState, type FormEvent } from 'react';
import { newId } from '../api/new-id';
import { keepLesson } from '../api/records';
import { useWriter } from '../bench-log';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { lessonsQuery } from './lessons-here';

/** What a lesson can be about, at the place where it is written. */
export interface Subject {
  readonly about: LessonSubject;
  readonly key: string;
  readonly label: string;
}

interface LessonFormProps {
  readonly jobId: string | null;
  readonly subjects: readonly Subject[];
  readonly onDone: () => void;
}

/** Keeps what was learned, for whenever the same is met again. */
export const LessonForm = ({ jobId, subjects, onDone }: LessonFormProps) => {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  // One lesson, however often it is sent.
  const [id] = useState(newId);
  const client = useQueryClient();
  const subject = subjects[chosen];
  const keep = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (subject === undefined || words.trim() === '') return;
    try {
      const { about, key } = subject;
      await keepLesson({ id, about, key, words: words.trim(), by: useWriter.getState().name.trim(), jobId });
      await client.invalidateQueries({ queryKey: lessonsQuery.queryKey });
      onDone();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <form
      aria-label="A lesson"
      className="grid gap-2 border border-line bg-sheet p-3"
      onSubmit={(event) => void keep(event)}
    >
      <label className="grid gap-0.5 text-[13px]">
        What to do next time
        <textarea
          className={`${fieldLook} min-h-16 w-full!`}
          maxLength={1000}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      <LabelledChoice
        label="It comes up again at"
        value={chosen}
        options={subjects.map(({ label }, value) => ({ value, label }))}
        onChoose={setChosen}
      />
      {problem !== null && (
        <p role="alert" className="text-signal">
          {problem}
        </p>
      )}
      <span className="flex gap-2">
        <Button type="submit" look="strong" disabled={words.trim() === ''}>
          Keep the lesson
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </span>
    </form>
  );
};
