import { isDay } from '@vitrum/core';
import { ValidateBy, ValidateIf, buildMessage, type ValidationOptions } from 'class-validator';

const isText = (value: unknown): boolean =>
  typeof value !== 'string' ||
  // Neither half of a pair of surrogates alone nor a character that no page shows and no database keeps.

  !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]|[\ud800-\udfff]/u.test(value);

/** Text that can be shown and stored: no control characters, no half of a surrogate pair. */
export const IsPlainText = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isPlainText',
      validator: {
        validate: isText,
        defaultMessage: buildMessage((each) => `${each}has characters in it that cannot be shown`, options),
      },
    },
    options,
  );

/** A day of the calendar, written as 2030-01-31. */
export const IsDay = (message: string): PropertyDecorator =>
  ValidateBy({ name: 'isDay', validator: { validate: isDay, defaultMessage: () => message } });

/** May be left out, but not be null. */
export const MayBeAbsent = (): PropertyDecorator => ValidateIf((_form: object, value: unknown) => value !== undefined);

/** May be null, but not be left out. */
export const MayBeNull = (): PropertyDecorator => ValidateIf((_form: object, value: unknown) => value !== null);
