import { describe, expect, it } from '@jest/globals';
import { heldAt, mannerWords, probesAt, readingText } from './probe-at';

const probe = { words: '', should: 1, full: 24 } as const;
const probes = [
  { ...probe, probe: { kind: 'volts', point: 'end-1', channel: 0 } },
  { ...probe, probe: { kind: 'volts', point: 'end-1', channel: 1 } },
  { ...probe, probe: { kind: 'plus', point: 'end-1' } },
  { ...probe, probe: { kind: 'volts', point: 'start-2' } },
  { ...probe, probe: { kind: 'amps', wire: -1 } },
  { ...probe, probe: { kind: 'amps', wire: 3 } },
  { ...probe, probe: { kind: 'colour', segment: 0, channel: 1 } },
  { ...probe, probe: { kind: 'minus', point: 'end-1', channel: 1 } },
] as const;
const drawing = (colours: readonly string[]) => ({ segments: [], wires: [], points: [], clamps: [], colours });
const opened = (colours: readonly string[]) =>
  ({ id: 1, kind: 'opened', probes, drawing: drawing(colours), faults: [] }) as const;

describe('a meter held somewhere', () => {
  it('can read all that is measured there', () => {
    expect(probesAt(probes, { point: 'end-1' })).toEqual([0, 1, 2, 7]);
    expect(probesAt(probes, { wire: -1 })).toEqual([4]);
    expect(probesAt(probes, { segment: 0 })).toEqual([6]);
  });

  it('nowhere, or where nothing can be read, reads nothing', () => {
    expect(probesAt(probes, null)).toEqual([]);
    expect(probesAt(probes, { wire: 9 })).toEqual([]);
  });

  it('is among what can be read where it is held', () =>
    probes.forEach((_, place) => expect(probesAt(probes, heldAt(probes, place))).toContain(place)));
});

describe('readings in words', () => {
  it('name the return or the colour where there are several', () => {
    const words = (colours: readonly string[]) => probes.map((each) => mannerWords(each.probe, opened(colours)));
    expect(words([])[0]).toBe('plus to minus there');
    expect(words(['red', 'green', 'blue']).slice(0, 2)).toEqual(['plus to red there', 'plus to green there']);
    expect(words(['red', 'green', 'blue'])[6]).toBe('with only green on');
  });

  it('carry the unit of what is read, or the colour that is seen', () => {
    const rgb = opened(['red', 'green', 'blue']);
    expect(readingText(rgb, 0, 11.987)).toBe('11.99 V');
    expect(readingText(rgb, 4, 0.5)).toBe('0.50 A');
    expect([readingText(rgb, 6, 2), readingText(rgb, 6, -1)]).toEqual(['blue', 'dark']);
  });
});
