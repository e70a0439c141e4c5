import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { parseDesign, readDesign, unknownFields, type Design } from './index.js';

/** A design as version 1 wrote it, changed by hand. */
const version1 = (name: string, change: (design: Record<string, unknown>) => object = (design) => design): object =>
  change(
    JSON.parse(readFileSync(new URL(`../../testing/version-1/${name}.json`, import.meta.url), 'utf8')) as Record<
      string,
      unknown
    >,
  );

const read = (design: object): Design => {
  const result = readDesign(design);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

const withPower = (power: object) => (design: Record<string, unknown>) => ({
  ...design,
  power: { ...(design['power'] as object), ...power },
});

describe('a design of version 1', () => {
  it('named pieces by number alone: each is one of its only assembly now', () => {
    const { power, assemblies } = read(
      version1(
        'slipway',
        withPower({
          chainsBegin: [3],
          chainsCarryOn: [2, 4],
          fedBackward: [1],
          fedForward: [],
          injections: [{ piece: 2, end: 'end', note: 'by hand' }],
          zones: [{ pieces: [1, 2], level: 0.4 }],
          seriesPairs: [{ first: 1, second: 2 }],
        }),
      ),
    );
    const { id } = assemblies[0]!;
    const of = (segment: number) => ({ assembly: id, segment });
    expect(power).toMatchObject({
      chainsBegin: [of(3)],
      chainsCarryOn: [of(2), of(4)],
      fedBackward: [of(1)],
      fedForward: [],
      injections: [{ ...of(2), end: 'end', note: 'by hand' }],
      zones: [{ segments: [of(1), of(2)], level: 0.4 }],
      seriesPairs: [{ first: of(1), second: of(2) }],
    });
    expect(JSON.stringify(power)).not.toContain('piece');
  });

  it('kept readings by names that held the piece', () => {
    const { proof, assemblies } = read(
      version1('slipway', (design) => ({
        ...design,
        proof: {
          readings: [
            { id: 'full-amps', value: 4.2, on: '2026-11-26' },
            { id: 'piece-3', value: 0.8, on: '2026-11-26' },
            { id: 'soak-air', value: 41, on: '2026-11-26', by: 'IR' },
          ],
        },
      })),
    );
    const { id } = assemblies[0]!;
    expect(proof!.readings).toEqual([
      { id: 'full-amps', value: 4.2, on: '2026-11-26' },
      { id: 'segment', at: { assembly: id, segment: 3 }, value: 0.8, on: '2026-11-26' },
      { id: 'soak-air', at: { assembly: id }, value: 41, on: '2026-11-26', by: 'IR' },
    ]);
  });

  it('had its one assembly on the wall, and strip pushed along by piece', () => {
    const { assemblies } = read(
      version1('curlew', (design) => {
        const [letters] = design['assemblies'] as [{ light: object }];
        return {
          ...design,
          assemblies: [{ ...letters, light: { ...letters.light, moved: [{ piece: 2, module: 1, alongMm: 4 }] } }],
        };
      }),
    );
    expect(assemblies[0]).toMatchObject({
      place: { on: null, xMm: 0, yMm: 0, turnDeg: 0 },
      light: { moved: [{ segment: 2, module: 1, alongMm: 4 }] },
    });
  });

  it('keeps fields that nobody knows, and they are told', () => {
    const design = read(version1('dispensary', withPower({ joints: 'clip' })));
    expect(design.power).toMatchObject({ joints: 'clip' });
    expect(unknownFields(design)).toEqual(['power.joints']);
  });

  it.each([
    ['power.zones.0.level', withPower({ zones: [{ pieces: [1], level: 3 }] })],
    ['power.chainsBegin', withPower({ chainsBegin: 7 })],
    ['power.injections.0.segment', withPower({ injections: [{ piece: 'two', end: 'end' }] })],
    ['assemblies', (design: Record<string, unknown>) => ({ ...design, assemblies: 'none' })],
    ['proof.readings', (design: Record<string, unknown>) => ({ ...design, proof: { readings: null } })],
    ['power', (design: Record<string, unknown>) => ({ ...design, power: [] })],
  ])('that is broken is refused at %s, where it is now', (path, change) => {
    const result = readDesign(version1('slipway', change));
    expect(result.ok ? [] : result.problems.map((problem) => problem.path)).toContain(path);
  });

  it('is not read as one by its number alone', () => {
    expect(readDesign({ ...version1('slipway'), version: 0 }).ok).toBe(false);
    expect(readDesign({ ...version1('slipway'), version: '1' }).ok).toBe(false);
    expect(readDesign({ ...version1('slipway'), version: 3 }).ok).toBe(false);
    expect(parseDesign(JSON.stringify(version1('slipway'))).ok).toBe(true);
  });
});
