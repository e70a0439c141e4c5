import type { Corners, PicturePoint, WallLight, WallSetup } from '@vitrum/core';
import { IsIn, IsNumber, Max, Min, ValidateBy } from 'class-validator';
import { MayBeAbsent } from './validators.js';

/** Wider than any picture, and farther than any wall goes (px, mm). */
const farthest = 100_000;

const isPlace = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.length === 2 &&
  value.every((each) => typeof each === 'number' && Math.abs(each) <= farthest);

const IsPlace = (): PropertyDecorator =>
  ValidateBy({ name: 'isPlace', validator: { validate: isPlace, defaultMessage: () => 'a place, two numbers' } });

const AreCorners = (): PropertyDecorator =>
  ValidateBy({
    name: 'areCorners',
    validator: {
      validate: (value: unknown) => Array.isArray(value) && value.length === 4 && value.every(isPlace),
      defaultMessage: () => 'four places, two numbers each',
    },
  });

/** Where a sign is to hang in the photograph of its wall. */
export class WallSetupDto implements WallSetup {
  @AreCorners()
  corners: Corners;

  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'a number' })
  @Min(1, { message: 'more than nothing' })
  @Max(farthest, { message: 'wider than any wall' })
  widthMm: number;

  @MayBeAbsent()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'a number' })
  @Min(1, { message: 'more than nothing' })
  @Max(farthest, { message: 'higher than any wall' })
  heightMm?: number;

  @IsPlace()
  middleMm: PicturePoint;

  @IsIn(['day', 'night'], { message: 'day, or night' })
  taken: WallLight;
}

/** The photograph of the wall that a job’s sign is to hang on. */
export interface WallView {
  readonly width: number;
  readonly height: number;
  /** Null until it was said where the sign is to hang. */
  readonly setup: WallSetup | null;
  readonly changedAt: string;
}
