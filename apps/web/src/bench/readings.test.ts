import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns } from '@vitrum/core';
import { openDocument, undo, useDocument } from '../document/document-store';
import { effectAt, effects } from './effects';
import { dayOf } from '../view/day-of';
import { keepReading, readingOf, strikeReading, useRoom } from './readings';

const { dispensary } = demoDesigns;
const design = () => useDocument.getState().design!;

describe('readings of the real bench', () => {
  beforeEach(() =>
    openDocument(
      'one',
      { number: 1, parent: null, hash: 'h', savedAt: '', note: '', setAside: false, design: dispensary },
      null,
      '',
    ),
  );
  const current = { id: 'current', at: null };
  const one = { id: 'segment', at: { assembly: 'box', segment: 1 } };
  const other = { id: 'segment', at: { assembly: 'box', segment: 2 } };

  it('stay with the job, each with its day and its place', () => {
    keepReading(current, 2.4);
    keepReading(one, 0.61);
    keepReading(other, 0.58);
    expect(readingOf(design(), current)).toMatchObject({ value: 2.4, on: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) });
    expect([readingOf(design(), one)?.value, readingOf(design(), other)?.value]).toEqual([0.61, 0.58]);
    expect(design().proof!.readings).toHaveLength(3);
  });

  it('say how warm it was where that is known', () => {
    keepReading(one, 0.61);
    useRoom.setState({ roomC: 17 });
    keepReading(other, 0.58);
    useRoom.setState({ roomC: null });
    expect([readingOf(design(), one)?.roomC, readingOf(design(), other)?.roomC]).toEqual([undefined, 17]);
  });

  it('give way to newer ones of the same place', () => {
    keepReading(one, 0.61);
    keepReading(one, 0.64);
    expect(design().proof!.readings.map(({ value }) => value)).toEqual([0.64]);
    undo();
    expect(readingOf(design(), one)?.value).toBe(0.61);
  });

  it('can be struck out, one by one', () => {
    keepReading(one, 0.61);
    keepReading(other, 0.58);
    strikeReading(one);
    expect([readingOf(design(), one), readingOf(design(), other)?.value]).toEqual([null, 0.58]);
    strikeReading(current);
    expect(design().proof!.readings).toHaveLength(1);
  });

  it('are dated by the day where the user is', () => {
    expect(dayOf(new Date(2030, 0, 5, 23, 59))).toBe('2030-01-05');
    expect(dayOf(new Date(2031, 11, 31, 0, 1))).toBe('2031-12-31');
  });
});

describe('what a controller does by itself', () => {
  it('breathes between dim and full, evenly up and down', () => {
    const levels = Array.from({ length: 11 }, (_, tick) => effectAt('breathe', tick, 1).level!);
    expect(Math.min(...levels)).toBe(0.2);
    expect(Math.max(...levels)).toBe(1);
    expect(levels).toEqual([...levels].reverse());
    expect(levels[10]).toBe(levels[0]);
  });

  it('walks through the colours, one after the other', () => {
    expect([0, 1, 2, 3, 4].map((tick) => effectAt('colours', tick, 3).channel)).toEqual([0, 1, 2, 0, 1]);
  });

  it('leaves a steady light as it is set, and is offered by what it needs', () => {
    expect(effectAt('steady', 9, 3)).toEqual({});
    expect(effects.filter(({ needs }) => needs === 1).map(({ value }) => value)).toEqual(['steady', 'breathe']);
  });
});
