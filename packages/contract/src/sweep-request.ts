import type { TryPoint } from '@vitrum/core';
import { Type } from 'class-transformer';
import {
  Allow,
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsPlainText } from './validators.js';

const mostValues = 2000;
const aNumber = { allowNaN: false, allowInfinity: false } as const;

/** One field of a design set to a value. */
export class FieldChangeDto {
  @IsString()
  @IsPlainText()
  @MaxLength(120)
  path: string;

  /** Any value; the design’s schema checks it when it is tried. */
  @Allow()
  value: unknown;
}

/** A face to try. */
export class FaceOptionDto {
  @IsString()
  @IsPlainText()
  @MaxLength(200)
  name: string;

  @IsArray()
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => FieldChangeDto)
  change: FieldChangeDto[];
}

/** What a sweep goes through. */
export class SweepPlanDto {
  @IsInt({ message: 'an assembly is named by its place in the list, from 0' })
  @Min(0)
  @Max(99)
  assembly: number;

  @IsArray()
  @ArrayMinSize(1, { message: 'choose at least one depth' })
  @ArrayMaxSize(mostValues)
  @IsNumber(aNumber, { each: true, message: 'every depth is a number of millimetres' })
  depthsMm: number[];

  @IsArray()
  @ArrayMinSize(1, { message: 'choose at least one number of rows' })
  @ArrayMaxSize(mostValues)
  @IsNumber(aNumber, { each: true, message: 'every number of rows is a number' })
  rowCounts: number[];

  @IsArray()
  @ArrayMinSize(1, { message: 'choose at least one face' })
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => FaceOptionDto)
  faces: FaceOptionDto[];

  @IsArray()
  @ArrayMinSize(1, { message: 'choose at least one lining' })
  @ArrayMaxSize(100)
  @IsString({ each: true })
  @IsPlainText({ each: true })
  liningIds: string[];
}

/** A sweep to be run on the server. */
export class SweepRequestDto {
  @IsObject({ message: 'a design is a JSON object' })
  design: object;

  @IsObject({ message: 'a plan is a JSON object' })
  @ValidateNested()
  @Type(() => SweepPlanDto)
  plan: SweepPlanDto;
}

export type SweepStatus = 'queued' | 'running' | 'done' | 'failed' | 'cancelled';

/** How a sweep on the server stands. */
export interface SweepView {
  readonly id: string;
  readonly status: SweepStatus;
  readonly done: number;
  readonly total: number;
  readonly error: string | null;
}

/** One combination tried on the server; its picture travels as base64. */
export interface SweepPointView extends Omit<TryPoint, 'picture'> {
  readonly picture: { readonly width: number; readonly height: number; readonly base64: string };
}

/** What an event of a sweep carries: where it stands, and the points since the last. */
export interface SweepEvent {
  readonly sweep: SweepView;
  readonly points: readonly SweepPointView[];
}
