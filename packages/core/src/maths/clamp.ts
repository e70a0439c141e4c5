// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { min } = Math;

/** `value` held within [low, high]; NaN becomes `low`, so that a poisoned number never spreads. */
export const clamp = (value: number, low: number, high: number): number => (value > low ? min(value, high) : low);
