/** Refractive index is not needed by the light box; what several stages share stands here. */

export const mmPerInch = 25.4;
export const mmPerFoot = 304.8;

/** Two lengths closer than this are the same length to a maker (mm). */
export const sameLengthMm = 0.01;

/** Resistivity of annealed copper at 20 °C (Ω·mm²/m), IEC 60028. */
export const copperOhmMm2PerM = 0.017241;

export const degPerRad = 180 / Math.PI;
