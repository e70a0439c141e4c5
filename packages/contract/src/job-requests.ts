import { jobStatuses, type JobStatus } from '@vitrum/core';
import { IsDateString, IsIn, IsNotEmpty, IsObject, IsOptional, IsString, MaxLength } from 'class-validator';

/** A new job with its first design. The design itself is checked by the core’s schema. */
export class CreateJobDto {
  @IsString()
  @IsNotEmpty({ message: 'give the job a name' })
  @MaxLength(120, { message: 'a job’s name has at most 120 characters' })
  name: string;

  @IsOptional()
  @IsString()
  @MaxLength(120, { message: 'a customer’s name has at most 120 characters' })
  customer?: string;

  @IsOptional()
  @IsDateString({ strict: true }, { message: 'the due date is a day such as 2030-01-31' })
  dueOn?: string | null;

  @IsObject({ message: 'a design is a JSON object' })
  design: object;
}

/** What may change about a job beside its design. */
export class UpdateJobDto {
  @IsOptional()
  @IsString()
  @IsNotEmpty({ message: 'give the job a name' })
  @MaxLength(120, { message: 'a job’s name has at most 120 characters' })
  name?: string;

  @IsOptional()
  @IsString()
  @MaxLength(120, { message: 'a customer’s name has at most 120 characters' })
  customer?: string;

  @IsOptional()
  @IsIn(jobStatuses, { message: `a job is one of ${jobStatuses.join(', ')}` })
  status?: JobStatus;

  @IsOptional()
  @IsDateString({ strict: true }, { message: 'the due date is a day such as 2030-01-31' })
  dueOn?: string | null;
}

/** A design to be saved as the next revision. */
export class SaveDesignDto {
  @IsObject({ message: 'a design is a JSON object' })
  design: object;

  @IsOptional()
  @IsString()
  @MaxLength(200, { message: 'a note has at most 200 characters' })
  note?: string;
}
