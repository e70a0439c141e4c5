import type { Floor, Stretch } from './types.js';

const day: readonly Stretch[] = [
  [8 * 60, 12 * 60],
  [12.5 * 60, 16.5 * 60],
];
const none: readonly Stretch[] = [];
const week: readonly (readonly Stretch[])[] = [day, day, day, day, day, none, none];

/** A shop of two benches as one sets out with it: two people, weekdays, one saw, room for three things to dry. */
export const usualFloor: Floor = {
  people: [
    { id: 'one', name: 'First maker', hours: week, away: [] },
    { id: 'two', name: 'Second maker', hours: week, away: [] },
  ],
  places: { bench: 2, saw: 1, paint: 3, site: 1 },
  closed: [],
  extra: [],
};
