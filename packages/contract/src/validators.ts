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

const earliestYear = 1900;

const isDay = (value: unknown): boolean => {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return false;
  const time = Date.parse(`${value}T00:00:00Z`);
  // A thirtieth of February becomes a day of March; it is none.
  return (
    !Number.isNaN(time) && new Date(time).toISOString().startsWith(value) && Number(value.slice(0, 4)) >= earliestYear
  );
};

/** A day of the calendar, written as 2030-01-31. */
export const IsDay = (message: string): PropertyDecorator =>
  ValidateBy({ name: 'isDay', validator: { validate: isDay, defaultMessage: () => message } });

/** May be left out, but not be null. */
export const MayBeAbsent = (): PropertyDecorator => ValidateIf((_form: object, value: unknown) => value !== undefined);
