import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import * as z from 'zod';
import { fieldNamesOf } from './field-names.js';

const lamp = z.looseObject({ kind: z.literal('lamp'), watts: z.number(), shade: z.string().optional() });
const sign = z.looseObject({
  kind: z.literal('sign'),
  size: z.looseObject({ widthMm: z.number() }).nullable(),
  lines: z.array(z.looseObject({ text: z.string() })),
});
const names = fieldNamesOf(
  z.looseObject({
    name: z.string(),
    note: z.looseObject({ by: z.string() }).optional(),
    things: z.array(z.discriminatedUnion('kind', [lamp, sign])),
    either: z.union([z.number(), z.looseObject({ value: z.number() })]),
    free: z.unknown(),
  }),
);

const root = {
  name: 'x',
  things: [
    { kind: 'lamp', watts: 5 },
    { kind: 'sign', size: { widthMm: 3 }, lines: [{ text: 'a' }] },
  ],
  either: 4,
  free: { anything: [{ goes: 1 }] },
};

describe('names that a schema gives to fields', () => {
  it.each([
    'name',
    'note',
    'note.by',
    'things',
    'things.0',
    'things.0.watts',
    'things.0.shade',
    'things.1.size.widthMm',
    'things.1.lines.7.text',
    'either',
    'either.value',
    'free',
  ])('know %s', (path) => expect(names.has(path, root)).toBe(true));

  it.each([
    'nam',
    'note.By',
    'things.first',
    'things.-1',
    'things.0.size',
    'things.1.watts',
    'things.1.lines.0.text.length',
    'name.length',
    'either.0',
    'toString',
    'constructor.name',
    '__proto__',
    '',
  ])('do not know “%s”', (path) => expect(names.has(path, root)).toBe(false));

  it('tell members of a union by what each says it is', () => {
    expect(names.has('things.0.watts', { things: [{ kind: 'sign' }] })).toBe(false);
    expect(names.has('things.0.watts', { things: [{ kind: 'lamp' }] })).toBe(true);
    // Of what is no member, nothing is known.
    expect(names.has('things.0.watts', { things: [{ kind: 'moon' }] })).toBe(false);
  });

  it('find what is misspelt, at every depth, and nothing that is free', () => {
    expect(names.unknown(root, 9)).toEqual([]);
    const odd = {
      ...root,
      nmae: 1,
      note: { by: 'M', at: 'noon' },
      things: [
        { kind: 'lamp', watts: 5, wats: 6, lines: [] },
        { kind: 'sign', size: { widthMm: 3, width: 3 }, lines: [{ text: 'a' }, { text: 'b', font: 'c' }] },
      ],
    };
    expect([...names.unknown(odd, 99)].sort()).toEqual([
      'nmae',
      'note.at',
      'things.0.lines',
      'things.0.wats',
      'things.1.lines.1.font',
      'things.1.size.width',
    ]);
  });

  it('stop at as many as are asked for', () => {
    const many = { ...root, ...Object.fromEntries(Array.from({ length: 50 }, (_, index) => [`odd${index}`, index])) };
    expect(names.unknown(many, 7)).toHaveLength(7);
  });

  it('take any value without an exception, and never find a field that they know', () => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        for (const path of names.unknown(value, 20)) expect(names.has(path, value)).toBe(false);
      }),
      { numRuns: 300 },
    );
  });
});
