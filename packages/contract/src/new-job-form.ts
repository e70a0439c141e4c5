import { allBuilds, buildOf, sizeProblems, usualSizes } from '@vitrum/core';
import {
  IsIn,
  IsInt,
  IsNotEmpty,
  IsString,
  Max,
  MaxLength,
  Min,
  Validate,
  ValidatorConstraint,
  type ValidationArguments,
  type ValidatorConstraintInterface,
} from 'class-validator';

const buildNames = allBuilds.map(({ name }) => name);

/** The sizes that a build asks for, each within its bounds. */
@ValidatorConstraint({ name: 'sizes' })
class SizesOfBuild implements ValidatorConstraintInterface {
  private problems(value: unknown, { object }: ValidationArguments): readonly string[] {
    const { build } = object as NewJobForm;
    if (!buildNames.includes(build) || typeof value !== 'object' || value === null) return ['sizes in millimetres'];
    const { sizes } = buildOf({ build });
    const problems = sizeProblems(sizes, value as Readonly<Record<string, unknown>>);
    return sizes.flatMap(({ id, label }) => (problems[id] === undefined ? [] : [`${label}: ${problems[id]}`]));
  }

  validate(value: unknown, of: ValidationArguments): boolean {
    return this.problems(value, of).length === 0;
  }

  defaultMessage(of: ValidationArguments): string {
    return this.problems(of.value, of).join('; ');
  }
}

/** The three questions of a new job, as the form holds them; lengths already in mm. */
export class NewJobForm {
  @IsIn(buildNames)
  build: string = buildNames[0]!;

  @IsString()
  @IsNotEmpty({ message: 'say what the sign says' })
  @MaxLength(200, { message: 'at most 200 characters' })
  text = '';

  /** By the name of the question that the build asks. */
  @Validate(SizesOfBuild)
  sizesMm: Readonly<Record<string, number>> = usualSizes(allBuilds[0]!.sizes);

  @IsInt()
  @Min(200, { message: 'at least 200 mm' })
  @Max(200_000, { message: 'at most 200 m' })
  readingDistanceMm = 3000;
}
