import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoDesigns } from '../../sign/demo/index.js';
import { dispensary } from '../../testing/harness.js';
import { canonicalJson, printDesign } from './index.js';
import { applyChange, parseDesign, readDesign } from '../../sign/design/index.js';

const problems = (value: unknown) => {
  const read = readDesign(value);
  return read.ok ? [] : read.problems;
};

describe('the design document', () => {
  it.each(Object.entries(demoDesigns))('reads the demo design %s', (_, design) => {
    expect(readDesign(design)).toEqual({ ok: true, value: design });
  });

  it('survives a round trip through text without loss, unknown fields kept at every level', () => {
    const odd = {
      ...dispensary,
      shopNote: { by: 'M.', colours: ['a', 'b'], 'odd key "': '\u0000\ud800' },
      brief: { ...dispensary.brief, mood: 'calm' },
      assemblies: [{ ...dispensary.assemblies[0], face: { sheetId: 'opal-3', tint: null } }],
    };
    const read = parseDesign(printDesign(odd));
    expect(read).toEqual({ ok: true, value: odd });
  });

  it('names every wrong field with its path and its bounds', () => {
    const wrong = structuredClone(dispensary) as unknown as {
      brief: Record<string, unknown>;
      assemblies: { case: Record<string, unknown> }[];
    };
    wrong.brief['readingDistanceMm'] = 'far';
    delete wrong.brief['ambient'];
    wrong.assemblies[0]!.case['depthInsideMm'] = 0;
    const found = problems(wrong);
    expect(found).toContainEqual({ path: 'brief.readingDistanceMm', message: 'must be a number, and is "far"' });
    expect(found).toContainEqual({ path: 'assemblies.0.case.depthInsideMm', message: 'must be 8 or more, and is 0' });
    expect(found.find(({ path }) => path === 'brief.ambient')?.message).toContain('one of "noon"');
  });

  it('refuses NaN, infinity, a build it does not know, and two assemblies of one id', () => {
    const box = dispensary.assemblies[0]!;
    for (const value of [Number.NaN, Infinity])
      expect(problems({ ...dispensary, brief: { ...dispensary.brief, hoursPerDay: value } })).toHaveLength(1);
    expect(problems({ ...dispensary, assemblies: [{ ...box, build: 'lantern' }] })[0]?.path).toBe('assemblies.0.build');
    expect(problems({ ...dispensary, assemblies: [box, box] })[0]?.path).toBe('assemblies.1.id');
  });

  it('says that a file from a newer version is newer, and that another file is another', () => {
    expect(problems({ ...dispensary, version: 9 })[0]).toMatchObject({
      path: 'version',
      message: expect.stringContaining('newer'),
    });
    expect(problems({ shapes: [] })[0]?.path).toBe('format');
    expect(problems([1, 2])[0]?.message).toContain('JSON object');
  });

  it('takes any bytes and any JSON without throwing', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.string().map((noise) => printDesign(dispensary).slice(0, 300) + noise),
        ),
        (text) => {
          const read = parseDesign(text);
          return !read.ok && read.problems.every(({ message }) => message.length > 5);
        },
      ),
      { seed: 3, numRuns: 600 },
    );
    expect(parseDesign('x'.repeat(3_000_000)).ok).toBe(false);
    expect(parseDesign('['.repeat(100_000)).ok).toBe(false);
  });
});

describe('changes to a design', () => {
  it('sets one field and leaves the rest by identity', () => {
    const after = applyChange(dispensary, [{ path: 'assemblies.0.light.rowCount', value: 7 }]);
    if (!after.ok) throw new Error('refused');
    expect(after.value.assemblies[0]?.light.rowCount).toBe(7);
    expect(after.value.brief).toBe(dispensary.brief);
    expect(dispensary.assemblies[0]?.light.rowCount).toBe(2);
  });

  it('refuses a value out of bounds, and throws at a path that is none', () => {
    expect(applyChange(dispensary, [{ path: 'assemblies.0.light.rowCount', value: -1 }]).ok).toBe(false);
    expect(() => applyChange(dispensary, [{ path: 'assemblies.0.lamp', value: 1 }])).toThrow('no such field');
  });
});

describe('canonical JSON', () => {
  it('does not depend on the order of keys, and tells different values apart', () => {
    expect(canonicalJson({ b: [1, { d: 1, c: 2 }], a: null })).toBe('{"a":null,"b":[1,{"c":2,"d":1}]}');
    expect(canonicalJson({ a: undefined })).toBe('{}');
    expect(canonicalJson({ a: '1' })).not.toBe(canonicalJson({ a: 1 }));
  });
});
