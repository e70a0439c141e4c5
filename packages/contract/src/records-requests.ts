import {
  lessonSubjects,
  type LearnedTime,
  type Lesson,
  type LessonSubject,
  type PhaseTimes,
  stripFigures,
  type StripFigure,
  type StripLearned,
} from '@vitrum/core';
import { IsIn, IsNotEmpty, IsNumber, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { IsPlainText, MayBeNull } from './validators.js';

const aNumber = { allowNaN: false, allowInfinity: false } as const;
/** A factor of the shop’s times that is accepted as it was shown; null goes back to typical times. */
export class AcceptTimeDto {
  @MayBeNull()
  @IsNumber(aNumber, { message: 'the factor that was shown, or null' })
  @Min(0.1, { message: 'a factor is from 0.1 to 10' })
  @Max(10, { message: 'a factor is from 0.1 to 10' })
  factor: number | null;
}

/** What a strip takes, accepted as it was shown. */
export class AcceptStripDto {
  @IsIn(stripFigures, { message: `one of ${stripFigures.join(', ')}` })
  figure: StripFigure;

  @IsNumber(aNumber, { message: 'the figure for a metre that was shown' })
  @Min(0.1, { message: '0.1 for a metre at the least' })
  @Max(20_000, { message: '20,000 for a metre at the most' })
  value: number;
}

/** Something the shop learned. */
export class LessonDto {
  @IsUUID('all', { message: 'the id of the lesson' })
  id: string;

  @IsIn(lessonSubjects, { message: `one of ${lessonSubjects.join(', ')}` })
  about: LessonSubject;

  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'say what it is about' })
  @MaxLength(200, { message: 'a key has at most 200 characters' })
  key: string;

  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'say what was learned' })
  @MaxLength(1000, { message: 'a lesson has at most 1000 characters' })
  words: string;

  @IsString()
  @IsPlainText()
  @MaxLength(60, { message: 'a name has at most 60 characters' })
  by: string;

  @MayBeNull()
  @IsUUID('all', { message: 'the id of a job, or null' })
  jobId: string | null;
}

/** A phase of the work: what was learned of it, and what is reckoned with now. */
export interface PhaseView extends PhaseTimes {
  readonly accepted: LearnedTime | null;
  readonly offered: boolean;
}

/** A strip: what was learned of what it takes, or of what it gives. */
export interface StripView extends StripLearned {
  readonly name: string;
  /** For a metre, as it is reckoned with, and as the readings would have it. */
  readonly now: number;
  readonly then: number;
  readonly measuredOn: string | null;
  readonly offered: boolean;
}

/** What the shop’s jobs have taught. */
export interface RecordsView {
  readonly times: readonly PhaseView[];
  readonly strips: readonly StripView[];
  readonly lessons: readonly Lesson[];
  /** Jobs whose predictions are still being worked out. */
  readonly waiting: number;
}
