import { operations, type Operation, type Rates } from '@vitrum/core';
import { IsNumber, IsString, Length, Max, Min, ValidateBy } from 'class-validator';
import { IsPlainText } from './validators.js';

const areColours = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.entries(value).every(
    ([operation, colour]) =>
      operations.some((each) => each === operation) && typeof colour === 'string' && /^#[0-9a-f]{6}$/.test(colour),
  );

const AreMachineColours = (): PropertyDecorator =>
  ValidateBy({
    name: 'areMachineColours',
    validator: {
      validate: areColours,
      defaultMessage: () => `name each colour as #rrggbb, by what is done: ${operations.join(', ')}`,
    },
  });

const money = { message: 'an amount of money, 0 to 10,000' };
const kerf = { message: 'a saw cut, 0 to 20 mm' };
const waste = { message: 'a share, 0 to 0.9' };

/** What a shop reckons with, and the colours of lines in its files for machines, where they are not the usual ones. */
export class RatesDto {
  @IsString({ message: 'the sign of your money' })
  @IsPlainText()
  @Length(1, 8, { message: 'the sign of your money, at most 8 letters' })
  currency: string;

  @IsNumber({}, money)
  @Min(0, money)
  @Max(10_000, money)
  labourPerHour: number;

  @IsNumber({}, money)
  @Min(0, money)
  @Max(10_000, money)
  energyPerKwh: number;

  @IsNumber({}, kerf)
  @Min(0, kerf)
  @Max(20, kerf)
  kerfMm: number;

  @IsNumber({}, waste)
  @Min(0, waste)
  @Max(0.9, waste)
  wasteShare: number;

  @AreMachineColours()
  machineColours: { [Each in Operation]?: string };
}

/** The shop’s rates with their version. */
export interface RatesView {
  readonly rates: Rates;
  readonly version: number;
}
