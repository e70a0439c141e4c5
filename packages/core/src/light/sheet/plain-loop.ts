import { edgeEntry } from './entry.js';
import type { ClearSheet, EdgeFit, EdgeLed, WorkedFaces } from './types.js';

/** A field on the back, all worked with one chance, 0 elsewhere. */
type Field = Pick<WorkedFaces, 'cellMm' | 'columns' | 'rows'> & { readonly back: Float32Array };

/**
 * The plain loop over LEDs × cells, as anybody would write it: straight from each LED on the upper or lower edge to each worked
 * cell, slope by slope, through all that lies between. Edges throw nothing back. The yardstick of the quick way, in figures
 * and in time; lm by cell.
 */
export const plainLoop = (
  sheet: ClearSheet,
  fit: EdgeFit,
  leds: readonly EdgeLed[],
  { cellMm, columns, rows, back }: Field,
  slopes: number,
): Float64Array => {
  const { entered, fan } = edgeEntry(sheet, fit, slopes);
  const { limits, tangents } = fan;
  const shares = tangents.length;
  const out = new Float64Array(columns * rows);
  for (const { side, alongMm, lumens } of leds) {
    const edgeY = side === 'bottom' ? 0 : sheet.heightMm;
    for (let cell = 0; cell < columns * rows; cell += 1) {
      const chance = back[cell]!;
      if (chance === 0) continue;
      const dx = ((cell % columns) + 0.5) * cellMm - alongMm;
      const dy = (Math.floor(cell / columns) + 0.5) * cellMm - edgeY;
      const azimuth = Math.atan2(Math.abs(dx), Math.abs(dy));
      let share = 0;
      while (share < shares && limits[share + 1]! < azimuth) share += 1;
      if (share === shares) continue;
      const distance = Math.hypot(dx, dy);
      const density = (lumens * entered) / (2 * shares * slopes * (limits[share + 1]! - limits[share]!));
      const steps = Math.max(1, Math.round(distance / cellMm));
      for (let slope = 0; slope < slopes; slope += 1) {
        const tangent = tangents[share]![slope]!;
        const hits = tangent / (2 * sheet.thicknessMm);
        let met = 0;
        for (let step = 0; step < steps; step += 1) {
          const along = (step + 0.5) / steps;
          const column = Math.min(columns - 1, Math.floor((alongMm + dx * along) / cellMm));
          const row = Math.min(rows - 1, Math.floor((edgeY + dy * along) / cellMm));
          if (back[row * columns + column]! > 0) met += (hits * distance) / steps;
        }
        // Whole meetings are behind it; the next has its chance to come here.
        const lost = sheet.lossPerMm * Math.sqrt(1 + tangent * tangent) * distance;
        const kept = (1 - chance) ** Math.floor(met) * Math.exp(-lost);
        out[cell]! += ((density * cellMm * cellMm) / distance) * hits * chance * kept;
      }
    }
  }
  return out;
};
