export const mmPerInch = 25.4;
export const mmPerFoot = 304.8;

/** Two lengths closer than this are the same length to a maker (mm). */
export const sameLengthMm = 0.01;

/** Resistivity of annealed copper at 20 °C (Ω·mm²/m), IEC 60028. */
export const copperOhmMm2PerM = 0.017241;

export const degPerRad = 180 / Math.PI;

/** Sums of numbers near one differ by less than this through rounding alone. */
export const roundOff = 1e-9;

/** Keeps a quotient finite: less than anything that is measured. */
export const tiny = 1e-12;

/** A share, or a length in mm, that nobody sees. */
export const millionth = 1e-6;
