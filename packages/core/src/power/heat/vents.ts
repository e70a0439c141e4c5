/** Holes in the lowest and the highest return that let air through a case. */
export interface Vents {
  /** Open area of each of both rows (mm²). */
  readonly areaMm2: number;
  /** From the lower to the higher row (mm). */
  readonly riseMm: number;
  /** Light that falls on the inside where they are (lx). */
  readonly insideLux: number;
}

const gravity = 9.81;
/** Of air near room warmth: heat that a cubic metre carries off for each kelvin (J/m³K). */
export const airJPerM3K = 1.2 * 1005;

/** Air that rises through a case warmer than the room by `riseK` (m³/s): stack flow through two openings in series. */
export const stackFlow = ({ areaMm2, riseMm }: Vents, discharge: number, riseK: number, roomC: number): number => {
  const roomK = roomC + 273.15;
  const effectiveM2 = areaMm2 / 1e6 / Math.SQRT2;
  return discharge * effectiveM2 * Math.sqrt((2 * gravity * (riseMm / 1000) * Math.max(0, riseK)) / roomK);
};

/**
 * Rise of the air in a case (K) that takes in `watts`, sheds `wattsPerK` through its walls and the rest by air that rises
 * through its vents: the root of a rising function, found by halving. Without vents it is watts over wattsPerK.
 */
export const airRise = (
  watts: number,
  wattsPerK: number,
  vents: Vents | null,
  discharge: number,
  roomC: number,
): number => {
  const still = watts / wattsPerK;
  if (vents === null || watts <= 0) return Math.max(0, still);
  let [low, high] = [0, still];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    const shed = middle * (wattsPerK + airJPerM3K * stackFlow(vents, discharge, middle, roomC));
    if (shed < watts) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
};

/** Light that leaves by the vents (lm): what falls on their area inside, both rows. */
export const ventLeakLm = ({ areaMm2, insideLux }: Vents): number => (2 * areaMm2 * insideLux) / 1e6;
