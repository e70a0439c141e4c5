import { describe, expect, it } from '@jest/globals';
import * as z from 'zod';
import { deepestNesting, mostParts, mostUnknownFields } from './bounds.js';
import { fieldNamesOf } from './field-names.js';
import { designReader, maxDesignCharacters, printDesign } from './read-design.js';

const schema = z.looseObject({
  format: z.literal('vitrum-design'),
  version: z.literal(2),
  size: z.number().min(1).max(90),
  count: z.int().optional(),
  name: z.string().min(2).max(5).optional(),
  list: z.array(z.number()).min(1).max(2).optional(),
  long: z.array(z.number()).optional(),
  kind: z.enum(['halo', 'box']).optional(),
  on: z.boolean().optional(),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  part: z.discriminatedUnion('is', [z.looseObject({ is: z.literal('a') })]).optional(),
});
const reader = designReader<{ readonly size: number }>(schema, fieldNamesOf(schema), [
  { from: 1, apply: (design) => ({ ...design, size: Number(design['width']) }) },
]);

const base = { format: 'vitrum-design', version: 2, size: 5 };
const problem = (change: object): string => {
  const read = reader.read({ ...base, ...change });
  return read.ok ? '' : read.problems.map(({ path, message }) => `${path}: ${message}`).join('; ');
};

describe('reading a design', () => {
  it.each([
    [{ size: 0 }, 'size: must be 1 or more, and is 0'],
    [{ size: 91 }, 'size: must be 90 or less, and is 91'],
    [{ size: 'five' }, 'size: must be a number, and is "five"'],
    [{ size: undefined }, 'size: is missing; a number is needed'],
    [{ size: null }, 'size: must be a number, and is null'],
    [{ count: 1.5 }, 'count: must be a whole number, and is 1.5'],
    [{ name: 'a' }, 'name: must have at least 2 character'],
    [{ name: 'abcdef' }, 'name: may have at most 5 characters'],
    [{ list: [] }, 'list: must have at least 1 entry'],
    [{ list: [1, 2, 3] }, 'list: may have at most 2 entries'],
    [{ list: [1, 'b'] }, 'list.1: must be a number, and is "b"'],
    [{ list: {} }, 'list: must be a list, and is {}'],
    [{ kind: 'neon' }, 'kind: must be one of "halo", "box", and is "neon"'],
    [{ on: 1 }, 'on: must be true or false, and is 1'],
    [{ colour: 'red' }, 'colour: is not in the form needed (regex), and is "red"'],
    [{ part: { is: 'z' } }, 'part.is: is of a kind this version does not know: "z"'],
    [{ part: 3 }, 'part: must be an object in braces, and is 3'],
  ])('says of %j in one sentence what is wrong, and where', (change, sentence) => {
    expect(problem(change)).toBe(sentence);
  });

  it('shortens what it shows of a long value', () => {
    const sentence = problem({ size: 'x'.repeat(500) });
    expect(sentence).toContain('…');
    expect(sentence.length).toBeLessThan(90);
  });

  it('tells all that is wrong at once, twenty at the most', () => {
    expect(problem({ size: 0, on: 1, kind: 'neon' }).split('; ')).toHaveLength(3);
    const many = reader.read({ ...base, long: Array.from({ length: 50 }, () => 'x') });
    expect(many.ok ? 0 : many.problems.length).toBe(20);
  });

  it.each([
    ['[]', 'a design is a JSON object in braces'],
    ['"text"', 'a design is a JSON object in braces'],
    ['null', 'a design is a JSON object in braces'],
    ['{}', 'is this a Vitrum design file?'],
    ['{"format":"other","version":2}', 'is this a Vitrum design file?'],
    ['{"format":"vitrum-design","version":3}', 'written by a newer Vitrum; this one reads up to 2'],
    ['{"format"', 'the file is not valid JSON'],
    ['', 'the file is not valid JSON'],
  ])('refuses the file %s for what it is', (text, sentence) => {
    const read = reader.parse(text);
    expect(read.ok ? '' : read.problems[0]!.message).toContain(sentence);
  });

  it('brings an older version up, and tells what is wrong with what came of it', () => {
    expect(reader.read({ format: 'vitrum-design', version: 1, width: 7 })).toMatchObject({
      ok: true,
      value: { version: 2, size: 7 },
    });
    const read = reader.read({ format: 'vitrum-design', version: 1, width: 700 });
    expect(read.ok ? [] : read.problems).toEqual([{ path: 'size', message: 'must be 90 or less, and is 700' }]);
  });

  it('reads what it prints, with a byte order mark or without, and keeps what it does not know', () => {
    const design = { ...base, later: { than: ['this'] } };
    for (const mark of ['', '\uFEFF'])
      expect(reader.parse(mark + printDesign(design))).toEqual({ ok: true, value: design });
    expect(printDesign(design).endsWith('}\n')).toBe(true);
  });

  it('takes fields that it does not know, but neither a flood of them nor what lies ever deeper', () => {
    const fields = (count: number) => Object.fromEntries(Array.from({ length: count }, (_, at) => [`new${at}`, at]));
    expect(problem(fields(mostUnknownFields))).toBe('');
    expect(problem(fields(mostUnknownFields + 1))).toContain('more than 2000 fields');
    const nested = (depth: number): object => JSON.parse('{"in":'.repeat(depth) + '1' + '}'.repeat(depth)) as object;
    expect(problem({ later: nested(deepestNesting - 1) })).toBe('');
    expect(problem({ later: nested(deepestNesting) })).toContain('more than 64 deep');
    expect(problem({ later: nested(100_000) })).toContain('more than 64 deep');
    expect(problem({ later: Array.from({ length: mostParts }, () => []) })).toContain('more than 60000 objects');
  });

  it('does not even look into a file that is far too large', () => {
    const read = reader.parse(' '.repeat(maxDesignCharacters + 1));
    expect(read.ok ? '' : read.problems[0]!.message).toBe('the file is larger than 2 MB; that is no design');
  });
});
