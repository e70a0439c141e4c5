/** What strip lies on, as its heat sees it. */
export interface StripBed {
  /** Along the board (W/mK). */
  readonly conductsWmK: number;
  readonly thicknessMm: number;
  /** How many of its sides air gets at: one where its back is shut against a wall. */
  readonly openSides: 1 | 2;
  /** Board to each metre of strip, as a width (mm): the pitch of rows. */
  readonly pitchMm: number;
}

/** Mounting tape under strip: thickness over conductivity (m²K/W), typical. */
const tapeM2KW = 0.15e-3 / 0.2;

/**
 * How far strip that turns `wattsPerM` to heat is warmer than the air (K): it warms a band of board and, by conduction, a
 * fin on either side that fades over √(k·t/h) and ends half-way to the next row (thin-fin solution, tanh), and loses some on
 * its way through tape and board (a quarter of t/k over the strip’s width and the board’s thickness, from a sum over a
 * 2-D section; half of that where only the near side sheds). `film` is of one side (W/m²K).
 */
export const boardRise = (wattsPerM: number, stripWidthMm: number, bed: StripBed, film: number): number => {
  const [width, thick] = [stripWidthMm / 1000, bed.thicknessMm / 1000];
  const both = film * bed.openSides;
  const sheet = bed.conductsWmK * thick;
  const reachM = Math.sqrt(sheet / both);
  const finM = Math.max(0, bed.pitchMm / 1000 - width) / 2;
  const fins = 2 * Math.sqrt(sheet * both) * Math.tanh(finM / reachM);
  const through = (bed.openSides / 8) * (thick / (bed.conductsWmK * (width + thick)));
  return wattsPerM * (1 / (both * width + fins) + through + tapeM2KW / width);
};
