import { describe, expect, it } from '@jest/globals';
import { heldAt, probeAt } from './probe-at';

const probe = { words: '', should: 1, full: 24 } as const;
const probes = [
  { ...probe, probe: { kind: 'volts', point: 'end-1' } },
  { ...probe, probe: { kind: 'plus', point: 'end-1' } },
  { ...probe, probe: { kind: 'volts', point: 'start-2' } },
  { ...probe, probe: { kind: 'amps', wire: -1 } },
  { ...probe, probe: { kind: 'amps', wire: 3 } },
] as const;

describe('a meter held somewhere', () => {
  it('is the probe of that point, held that way', () => {
    expect(probeAt(probes, { point: 'end-1' }, 'volts')).toBe(0);
    expect(probeAt(probes, { point: 'end-1' }, 'plus')).toBe(1);
    expect(probeAt(probes, { point: 'start-2' }, 'volts')).toBe(2);
  });

  it('round a wire reads amperes, however it was held before', () => {
    expect(probeAt(probes, { wire: -1 }, 'minus')).toBe(3);
    expect(probeAt(probes, { wire: 3 }, 'volts')).toBe(4);
  });

  it('nowhere, or where nothing can be read, is none', () => {
    expect(probeAt(probes, null, 'volts')).toBe(-1);
    expect(probeAt(probes, { point: 'start-2' }, 'minus')).toBe(-1);
    expect(probeAt(probes, { wire: 9 }, 'volts')).toBe(-1);
  });

  it('is where it was held', () =>
    probes.forEach((each, place) => {
      const manner = each.probe.kind === 'amps' ? 'volts' : each.probe.kind;
      expect(probeAt(probes, heldAt(probes, place), manner)).toBe(place);
    }));
});
