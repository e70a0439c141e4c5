import { BadRequestException, HttpException, type ValidationError } from '@nestjs/common';
import type { Problem } from '@vitrum/core';

/** Validation errors of the wire as problems with dotted paths. */
export const problemsOf = (errors: readonly ValidationError[], under = ''): readonly Problem[] =>
  errors.flatMap((error) => {
    const path = under === '' ? error.property : `${under}.${error.property}`;
    const own = Object.values(error.constraints ?? {}).map((message): Problem => ({ path, message }));
    return [...own, ...problemsOf(error.children ?? [], path)];
  });

/** A 400 that lists what is wrong and where. What is wrong with the whole is its message. */
export const badRequest = (problems: readonly Problem[]): HttpException => {
  const whole = problems.find(({ path }) => path === '');
  return new BadRequestException({ message: whole?.message ?? 'The request cannot be taken as it is.', problems });
};
