import { logWhats, type LogEntry, type LogWhat } from '@vitrum/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsISO8601,
  IsIn,
  IsNumber,
  IsString,
  IsUUID,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { IsPlainText, MayBeNull } from './validators.js';

/** A line of a bench log as it comes in. */
export class LogEntryDto implements LogEntry {
  @IsUUID('all', { message: 'the id of the entry' })
  id: string;

  @MayBeNull()
  @IsString({ message: 'the id of a step, or null' })
  @IsPlainText()
  @MaxLength(160, { message: 'an id has at most 160 characters' })
  stepId: string | null;

  @IsIn(logWhats, { message: `one of ${logWhats.join(', ')}` })
  what: LogWhat;

  @IsString()
  @IsPlainText()
  @MaxLength(60, { message: 'a name has at most 60 characters' })
  by: string;

  @IsISO8601({ strict: true, strictSeparator: true }, { message: 'a time such as 2030-01-31T09:15:00.000Z' })
  @MaxLength(30, { message: 'a time such as 2030-01-31T09:15:00.000Z' })
  at: string;

  @MayBeNull()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'a number, or null' })
  value: number | null;

  @IsString()
  @IsPlainText()
  @MaxLength(2000, { message: 'at most 2000 characters' })
  words: string;

  @MayBeNull()
  @IsUUID('all', { message: 'the id of an entry, or null' })
  of: string | null;
}

/** Entries that were written at the bench, in the order in which they were. */
export class AddToLogDto {
  @IsArray({ message: 'a list of entries' })
  @ArrayMinSize(1, { message: 'one entry at the least' })
  @ArrayMaxSize(100, { message: 'at most 100 entries at a time' })
  @ValidateNested({ each: true })
  @Type(() => LogEntryDto)
  entries: LogEntryDto[];
}

/** An entry that the server has; `seq` grows with every one. */
export interface LogEntryView extends LogEntry {
  readonly seq: number;
}

/** Part of a job’s log; `after` is where the next part begins, null at its end. */
export interface LogView {
  readonly entries: readonly LogEntryView[];
  readonly after: number | null;
}
