import { stuffNames, type MeasuredFigures, type Stuff } from '@vitrum/core';
import { Type } from 'class-transformer';
import {
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDay, IsPlainText } from './validators.js';

const aNumber = { allowNaN: false, allowInfinity: false } as const;

/** Figures found from readings; which of them an item has is the core’s to say. */
export class MeasuredFiguresDto implements MeasuredFigures {
  @IsOptional()
  @IsNumber(aNumber, { message: 'a share between 0 and 1' })
  transmittance?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'a share between 0 and 1' })
  reflectance?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'an angle in degrees' })
  sigmaDeg?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'a share between 0 and 1' })
  hazeShare?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'lumens for a metre' })
  lumensPerM?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'watts for a metre' })
  wattsPerM?: number;

  @IsOptional()
  @IsNumber(aNumber, { message: 'the width of a cut in millimetres' })
  cutMm?: number;

  @IsOptional()
  @IsIn(stuffNames, { message: `one of ${stuffNames.join(', ')}` })
  stuff?: Stuff;
}

/** The shop’s own readings of an item, in place of its typical figures. */
export class MeasuredDto {
  @IsObject({ message: 'say what was measured' })
  @ValidateNested()
  @Type(() => MeasuredFiguresDto)
  figures: MeasuredFiguresDto;

  @IsDay('the day is one such as 2030-01-31')
  on: string;

  @IsString()
  @IsPlainText()
  @IsNotEmpty({ message: 'say how it was measured' })
  @MaxLength(120, { message: 'how it was measured has at most 120 characters' })
  how: string;

  @IsInt({ message: 'how many readings, a whole number' })
  @Min(1, { message: 'at least one reading' })
  @Max(10_000, { message: 'at most 10,000 readings' })
  readings: number;

  @IsNumber(aNumber, { message: 'the error as a share' })
  @Min(0, { message: 'the error is 0 or more' })
  @Max(1, { message: 'an error above the figure itself is no measurement' })
  errorShare: number;
}
