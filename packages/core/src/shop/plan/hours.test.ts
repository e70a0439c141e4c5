import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { monday } from '../../testing/plans.js';
import { dayAfter, dayMinutes, daysBetween, isDay, minuteOf, timeOf, weekday } from './days.js';
import { usualFloor } from './floor.js';
import {
  anybodysHours,
  commonHours,
  dayEnds,
  doneAt,
  hoursOf,
  openStretches,
  packedHours,
  stretchAt,
  workBetween,
} from './hours.js';
import { nothingTaken, take, takenUntil } from './taken.js';

describe('days', () => {
  it('are counted over months, years and leap days', () => {
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayAfter('2029-12-31', 1)).toBe('2030-01-01');
    expect(dayAfter('2030-03-01', -1)).toBe('2030-02-28');
    expect(daysBetween('2030-01-07', '2030-02-07')).toBe(31);
    expect(daysBetween('2030-01-07', '2029-12-31')).toBe(-7);
    expect(['2030-01-07', '2030-01-13', '1969-12-29'].map(weekday)).toEqual([0, 6, 0]);
  });

  it('and times go to minutes and back, before the first day too', () => {
    for (const at of ['2030-01-07T00:00', '2030-01-07T23:59', '2030-03-01T09:15', '2029-12-31T12:00'])
      expect(timeOf(monday, minuteOf(monday, at))).toBe(at);
  });

  it.each([
    ['2030-01-31', true],
    ['2028-02-29', true],
    ['2030-02-29', false],
    ['2030-02-31', false],
    ['2030-1-1', false],
    ['0001-01-01', false],
    ['soon', false],
    [20300131, false],
  ])('%s is a day of the calendar: %s', (day, is) => expect(isDay(day)).toBe(is));
});

describe('hours', () => {
  const two = packedHours([
    [480, 720],
    [750, 990],
    [1920, 2160],
  ]);

  it('find the stretch that a minute lies in, or the next', () => {
    expect([0, 480, 719, 720, 749, 989, 990, 2159, 2160].map((minute) => stretchAt(two, minute))).toEqual([
      0, 0, 0, 1, 1, 1, 2, 2, 3,
    ]);
  });

  it('tell when work is done that goes over breaks, and when it never is', () => {
    expect(doneAt(two, 0, 500, 100)).toBe(600);
    expect(doneAt(two, 0, 700, 50)).toBe(780);
    expect(doneAt(two, 1, 900, 200)).toBe(2030);
    expect(doneAt(two, 2, 2100, 61)).toBeNull();
    expect(doneAt(two, 0, 500, 0)).toBe(500);
  });

  it('tell where a day ends, and the longest day', () => {
    expect([dayEnds(two, 0), dayEnds(two, 1), dayEnds(two, 2)]).toEqual([990, 990, 2160]);
    expect([two.longest, two.longestDay]).toEqual([240, 510]);
  });

  it('of two people in common, and of anybody, are those of each minute', () => {
    const random = seededRandom(3);
    const some = () => {
      const stretches: [number, number][] = [];
      for (let at = 0; at < 600;) {
        const from = at + 1 + Math.floor(random() * 40);
        const to = from + 1 + Math.floor(random() * 40);
        stretches.push([from, to]);
        at = to + 1;
      }
      return packedHours(stretches);
    };
    const at = (hours: typeof two, minute: number): boolean => hours.starts[stretchAt(hours, minute)]! <= minute;
    for (let round = 0; round < 20; round += 1) {
      const [a, b] = [some(), some()];
      const [both, any] = [commonHours([a, b]), anybodysHours([a, b])];
      for (let minute = 0; minute < 600; minute += 1) {
        expect(at(both, minute)).toBe(at(a, minute) && at(b, minute));
        expect(at(any, minute)).toBe(at(a, minute) || at(b, minute));
      }
      expect(workBetween(any, 0, 500)).toBe(
        Array.from({ length: 500 }, (_, minute) => Number(at(any, minute))).reduce((sum, each) => sum + each, 0),
      );
    }
  });

  it('of nobody are none', () => {
    expect(commonHours([]).starts).toHaveLength(0);
    expect(anybodysHours([]).longest).toBe(0);
  });

  it('are those of the week, without days away and closed ones, with what is put on', () => {
    const [one] = usualFloor.people;
    const floor = { closed: ['2030-01-09'], extra: [{ on: '2030-01-12', hours: [480, 780] as const }] };
    const hours = hoursOf({ ...one!, away: [['2030-01-10', '2030-01-11']] }, floor, monday, 7);
    const days = new Set(Array.from(hours.starts, (start) => Math.floor(start / dayMinutes)));
    expect([...days]).toEqual([0, 1, 5]);
    // Hours that are put on to others become one with them.
    const longer = hoursOf(one!, { closed: [], extra: [{ on: monday, hours: [990, 1110] }] }, monday, 1);
    expect([...longer.ends]).toEqual([720, 1110]);
    expect(openStretches({ ...usualFloor, people: [] }, monday, 7)).toEqual([]);
    expect(openStretches(usualFloor, monday, 1)).toEqual([
      [480, 720],
      [750, 990],
    ]);
  });
});

describe('what is taken', () => {
  it('is told by where it ends, and joins what it touches, in whatever order it is taken', () => {
    const random = seededRandom(8);
    for (let round = 0; round < 30; round += 1) {
      const taken = nothingTaken();
      const minutes = new Array<boolean>(300).fill(false);
      for (let tries = 0; tries < 60; tries += 1) {
        const from = Math.floor(random() * 280);
        const to = from + 1 + Math.floor(random() * 20);
        const isFree = !minutes.slice(from, to).includes(true);
        const until = takenUntil(taken, from, to);
        expect(until === null).toBe(isFree);
        if (!isFree) continue;
        take(taken, from, to);
        minutes.fill(true, from, to);
      }
      const runs = minutes.filter((each, at) => each && minutes[at - 1] !== true).length;
      expect(taken.from).toHaveLength(runs);
      taken.from.forEach((from, at) => expect(minutes.slice(from, taken.to[at])).not.toContain(false));
    }
  });

  it('of nothing is nothing', () => {
    const taken = nothingTaken();
    take(taken, 5, 5);
    expect(takenUntil(taken, 0, 1000)).toBeNull();
  });
});
