const arcMinute = Math.PI / (180 * 60);

/** Two lines are told apart when the gap between them is seen under so many minutes of arc; typical. */
export const tellsApartMin = 2;
/** Lines so many times brighter than the ground between them dazzle across the gap, which has to be twice as wide; typical. */
const dazzlesAt = 100;

/** The gap that tells two lines apart from a distance (mm): 2′, or twice that where they dazzle. */
export const gapToTellApart = (distanceMm: number, brighter: number, minutes = tellsApartMin): number =>
  distanceMm * Math.tan(minutes * arcMinute) * (brighter > dazzlesAt ? 2 : 1);
