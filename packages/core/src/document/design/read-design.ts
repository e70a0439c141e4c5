import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { mostUnknownFields, shapeProblem } from './bounds.js';
import type { FieldNames } from './field-names.js';
import { designFormat, designVersion } from './frame.js';
import { migrate, type Migration } from './migrate.js';

// The page's content security policy forbids compiling code at run time; the interpreter does the same work.
z.config({ jitless: true });

const maxProblems = 20;

const shown = (value: unknown): string => {
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
};

const valueAt = (root: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, key)
        ? (value as Record<PropertyKey, unknown>)[key]
        : undefined,
    root,
  );

const kindNames: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  object: 'an object in braces',
  array: 'a list',
  boolean: 'true or false',
};

const sentence = (issue: z.core.$ZodIssue, given: unknown): string => {
  switch (issue.code) {
    case 'too_small':
      return issue.origin === 'number' || issue.origin === 'int'
        ? `must be ${String(issue.minimum)} or more, and is ${shown(given)}`
        : `must have at least ${String(issue.minimum)} ${issue.origin === 'array' ? 'entry' : 'character'}`;
    case 'too_big':
      return issue.origin === 'number' || issue.origin === 'int'
        ? `must be ${String(issue.maximum)} or less, and is ${shown(given)}`
        : `may have at most ${String(issue.maximum)} ${issue.origin === 'array' ? 'entries' : 'characters'}`;
    case 'invalid_type':
      return given === undefined
        ? `is missing; ${kindNames[issue.expected] ?? issue.expected} is needed`
        : `must be ${kindNames[issue.expected] ?? issue.expected}, and is ${shown(given)}`;
    case 'invalid_value':
      return `must be ${issue.values.length > 1 ? 'one of ' : ''}${issue.values.map(shown).join(', ')}, and is ${shown(given)}`;
    case 'invalid_format':
      return `is not in the form needed (${issue.format}), and is ${shown(given)}`;
    case 'invalid_union':
      return `is of a kind this version does not know: ${shown(given)}`;
    default:
      return issue.message;
  }
};

const problemOf = (root: unknown, issue: z.core.$ZodIssue): Problem => ({
  path: issue.path.map(String).join('.'),
  message: sentence(issue, valueAt(root, issue.path)),
});

const headerProblem = (value: unknown): Problem | null => {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { path: '', message: 'a design is a JSON object in braces; this is something else' };
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== designFormat)
    return { path: 'format', message: `must be "${designFormat}"; is this a Vitrum design file?` };
  if (typeof version === 'number' && version > designVersion)
    return {
      path: 'version',
      message: `is ${version}, written by a newer Vitrum; this one reads up to ${designVersion}`,
    };
  return null;
};

/** The largest design file read (bytes of text); far above any real design. */
export const maxDesignCharacters = 2_000_000;

/** Reads designs of one schema, older versions by its migrations. */
export interface DesignReader<Design> {
  /**
   * Checks a parsed JSON value against the schema and returns it as a design of the present version, unknown fields kept.
   * Fails with up to 20 problems, each with its dotted path.
   */
  readonly read: (value: unknown) => Result<Design>;
  /** The same from the text of a file: broken JSON and oversized files get a sentence too. */
  readonly parse: (text: string) => Result<Design>;
}

const tooManyUnknown: Problem = {
  path: '',
  message: `more than ${mostUnknownFields} fields are of no version that this one knows; that is no design`,
};

/** A reader for a schema and the names that it gives, and the way from each older version to it. */
export const designReader = <Design>(
  schema: z.ZodType,
  names: FieldNames,
  migrations: readonly Migration[],
): DesignReader<Design> => {
  const read = (given: unknown): Result<Design> => {
    const amiss = headerProblem(given) ?? shapeProblem(given);
    if (amiss !== null) return failure(amiss);
    const migrated = migrate(given as Readonly<Record<string, unknown>>, migrations);
    if (!migrated.ok) return migrated;
    const value = migrated.value;
    const parsed = schema.safeParse(value);
    if (parsed.success)
      return names.unknown(parsed.data, mostUnknownFields + 1).length > mostUnknownFields
        ? failure(tooManyUnknown)
        : success(parsed.data as Design);
    return failure(...parsed.error.issues.slice(0, maxProblems).map((issue) => problemOf(value, issue)));
  };
  return {
    read,
    parse: (text) => {
      if (text.length > maxDesignCharacters)
        return failure({
          path: '',
          message: `the file is larger than ${maxDesignCharacters / 1e6} MB; that is no design`,
        });
      let value: unknown;
      try {
        value = JSON.parse(text.replace(/^\uFEFF/, ''));
      } catch (error) {
        const detail = error instanceof Error ? error.message : String(error);
        return failure({ path: '', message: `the file is not valid JSON (${detail})` });
      }
      return read(value);
    },
  };
};

/** A design as the text of a file: two-space JSON, one newline at the end. */
export const printDesign = (design: object): string => `${JSON.stringify(design, null, 2)}\n`;
