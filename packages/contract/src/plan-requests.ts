import type { Floor, PlanJob, StepTime, Stretch } from '@vitrum/core';
import { isDay, workPlaces, type WorkPhase, type WorkPlace } from '@vitrum/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsNotEmpty,
  IsObject,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsPlainText } from './validators.js';

const mostSteps = 6000;
const mostPeople = 12;
const mostPlaces = 12;
const mostSpells = 60;

/** When a step begins, by the clock of the shop. */
export class StepTimeDto implements StepTime {
  @IsUUID('all', { message: 'the id of a job' })
  jobId: string;

  @IsString()
  @IsPlainText()
  @MaxLength(120, { message: 'an id has at most 120 characters' })
  stepId: string;

  @Matches(/^2\d{3}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d$/, {
    message: 'a time such as 2030-01-31T09:15',
  })
  at: string;
}

/** The plan as it is kept: what is pinned, who goes first, and when each step begins. */
export class PlanPaperDto {
  @IsArray()
  @ArrayMaxSize(mostSteps, { message: `at most ${mostSteps} pins` })
  @ValidateNested({ each: true })
  @Type(() => StepTimeDto)
  pins: StepTimeDto[];

  @IsArray()
  @ArrayMaxSize(mostSteps, { message: `at most ${mostSteps} steps` })
  @ValidateNested({ each: true })
  @Type(() => StepTimeDto)
  starts: StepTimeDto[];

  @IsArray()
  @ArrayMaxSize(200, { message: 'at most 200 jobs go first' })
  @IsUUID('all', { each: true, message: 'the id of a job' })
  first: string[];
}

const dayMinutes = 1440;

const isStretch = (value: unknown): value is Stretch =>
  Array.isArray(value) &&
  value.length === 2 &&
  value.every((each) => Number.isInteger(each) && each >= 0 && each <= dayMinutes) &&
  value[0] < value[1];

const areApart = (stretches: readonly Stretch[]): boolean =>
  stretches.every(([from], at) => at === 0 || from >= stretches[at - 1]![1]);

/** Hours of a day in order and apart, as minutes after midnight. */
const areHours = (value: unknown): boolean =>
  Array.isArray(value) && value.length <= 6 && value.every(isStretch) && areApart(value);

const IsWeek = (): PropertyDecorator =>
  ValidateBy({
    name: 'isWeek',
    validator: {
      validate: (value: unknown) => Array.isArray(value) && value.length === 7 && value.every(areHours),
      defaultMessage: () =>
        'hours of seven days from Monday on, each in order and none over another, as [[480, 720], [750, 990]] for 8:00 to 12:00 and 12:30 to 16:30',
    },
  });

const AreSpells = (): PropertyDecorator =>
  ValidateBy({
    name: 'areSpells',
    validator: {
      validate: (value: unknown) =>
        Array.isArray(value) &&
        value.length <= mostSpells &&
        value.every(
          (each) => Array.isArray(each) && each.length === 2 && each.every(isDay) && String(each[0]) <= String(each[1]),
        ),
      defaultMessage: () =>
        `at most ${mostSpells} spells away, each from a day to a day, as ["2030-01-07", "2030-01-11"]`,
    },
  });

export class PersonDto {
  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'give the person an id' })
  @MaxLength(60, { message: 'an id has at most 60 characters' })
  id: string;

  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'give the person a name' })
  @MaxLength(60, { message: 'a name has at most 60 characters' })
  name: string;

  @IsWeek()
  hours: Stretch[][];

  @AreSpells()
  away: [string, string][];
}

export class ExtraHoursDto {
  @IsDay('a day such as 2030-01-31')
  on: string;

  @ValidateBy({
    name: 'isStretch',
    validator: { validate: isStretch, defaultMessage: () => 'hours as minutes after midnight, from before to' },
  })
  hours: Stretch;
}

/** Two of one id would be taken for one person. */
const AreSomebodyEach = (): PropertyDecorator =>
  ValidateBy({
    name: 'areSomebodyEach',
    validator: {
      validate: (value: unknown) =>
        !Array.isArray(value) ||
        new Set(value.map((each: unknown) => (each as { readonly id?: unknown } | null)?.id)).size === value.length,
      defaultMessage: () => 'two people have one id',
    },
  });

const ArePlaces = (): PropertyDecorator =>
  ValidateBy({
    name: 'arePlaces',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        workPlaces.every((place) => {
          const count = (value as Record<string, unknown>)[place];
          return Number.isInteger(count) && Number(count) >= 0 && Number(count) <= mostPlaces;
        }),
      defaultMessage: () => `how many of each there are, from 0 to ${mostPlaces}: ${workPlaces.join(', ')}`,
    },
  });

/** Who works in the shop, when, and at how many places of each kind. */
export class FloorDto implements Floor {
  @IsArray()
  @ArrayMaxSize(mostPeople, { message: `at most ${mostPeople} people` })
  @AreSomebodyEach()
  @ValidateNested({ each: true })
  @Type(() => PersonDto)
  people: PersonDto[];

  @IsObject({ message: 'how many of each kind of place there are' })
  @ArePlaces()
  places: Record<WorkPlace, number>;

  @IsArray()
  @ArrayMaxSize(400, { message: 'at most 400 closed days' })
  @ValidateBy(
    { name: 'isDay', validator: { validate: isDay, defaultMessage: () => 'a day such as 2030-01-31' } },
    { each: true },
  )
  closed: string[];

  @IsArray()
  @ArrayMaxSize(400, { message: 'at most 400 stretches of hours put on' })
  @ValidateNested({ each: true })
  @Type(() => ExtraHoursDto)
  extra: ExtraHoursDto[];
}

/** A paper of the shop with the count of its changes: 0 where nothing was kept yet. */
export interface Versioned<Paper> {
  readonly version: number;
  readonly paper: Paper;
}

/** A job at hand for the plan. */
export interface PlannedJobView extends PlanJob {
  /** Steps that are done; `steps` are all of them. */
  readonly done: readonly string[];
  /** Whether what is to do for it has been worked out; that follows a save after a moment. */
  readonly known: boolean;
  readonly status: string;
}

/** What a plan is made from, and the plan that is kept. */
export interface PlanView {
  /** Phases whose times are the shop’s own, not typical. */
  readonly learnedPhases: readonly WorkPhase[];
  readonly jobs: readonly PlannedJobView[];
  readonly floor: Versioned<Floor>;
  readonly plan: Versioned<PlanPaper>;
}

export interface PlanPaper {
  readonly pins: readonly StepTime[];
  readonly starts: readonly StepTime[];
  readonly first: readonly string[];
}
