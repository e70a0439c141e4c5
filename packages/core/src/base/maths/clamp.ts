/** `value` held within [low, high]; NaN becomes `low`, so that a poisoned number never spreads. */
export const clamp = (value: number, low: number, high: number): number => (value > low ? Math.min(value, high) : low);
