import { jobStatuses, type JobStatus } from '@vitrum/core';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsPlainText, MayBeAbsent } from './validators.js';

/** A new job with its first design. The design itself is checked by the core’s schema. */
export class CreateJobDto {
  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'give the job a name' })
  @MaxLength(120, { message: 'a job’s name has at most 120 characters' })
  name: string;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(120, { message: 'a customer’s name has at most 120 characters' })
  customer?: string;

  @IsOptional()
  @IsDay('the due date is a day such as 2030-01-31')
  dueOn?: string | null;

  @IsObject({ message: 'a design is a JSON object' })
  design: object;
}

/** The longest that a sign is left to itself (months). */
const mostMonths = 120;

/** A sign was looked after, as it should be every so many months. */
export class CaredDto {
  @IsInt()
  @Min(1)
  @Max(mostMonths)
  everyMonths: number;

  @IsDay('a day such as 2030-01-31')
  on: string;
}

/** What may change about a job beside its design. */
export class UpdateJobDto {
  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'give the job a name' })
  @MaxLength(120, { message: 'a job’s name has at most 120 characters' })
  name?: string;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(120, { message: 'a customer’s name has at most 120 characters' })
  customer?: string;

  @MayBeAbsent()
  @IsIn(jobStatuses, { message: `a job is one of ${jobStatuses.join(', ')}` })
  status?: JobStatus;

  @IsOptional()
  @IsDay('the due date is a day such as 2030-01-31')
  dueOn?: string | null;

  @IsOptional()
  @IsDay('the day of handing over is a day such as 2030-01-31')
  handedOverOn?: string | null;

  /** Looked after, beside what was done before. */
  @MayBeAbsent()
  @ValidateNested()
  @Type(() => CaredDto)
  cared?: CaredDto;

  /** Put away: kept, and shown only where it is asked for. */
  @MayBeAbsent()
  @IsBoolean({ message: 'true or false' })
  archived?: boolean;

  /** Stands in the book to be copied from. */
  @MayBeAbsent()
  @IsBoolean({ message: 'true or false' })
  template?: boolean;
}

/** A new job made from another. */
export class CopyJobDto {
  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'give the job a name' })
  @MaxLength(120, { message: 'a job’s name has at most 120 characters' })
  name: string;
}

/** A design to be saved as the next revision. */
export class SaveDesignDto {
  @IsObject({ message: 'a design is a JSON object' })
  design: object;

  @MayBeAbsent()
  @IsString()
  @IsPlainText()
  @MaxLength(200, { message: 'a note has at most 200 characters' })
  note?: string;
}
