import type { PanelResults } from './results.js';

/** The hole that the eye of a remote looks out through: its middle from that of the base, and above its underside (mm). */
export interface EyeHole {
  readonly x: number;
  readonly upMm: number;
  readonly diameterMm: number;
}

/** An eye is set flush in so wide a hole; as the steps have it (mm). */
const eyeMm = 6;

/** The hole for the eye of a controller in the pocket of a base; null where there is none to look out. */
export const eyeHoleOf = ({
  circuit: { drive },
  geometry: { holder },
}: Pick<PanelResults, 'circuit' | 'geometry'>): EyeHole | null => {
  if (holder.kind !== 'base' || holder.pocket.lengthMm <= 0) return null;
  if (drive.controller?.remote !== 'infrared' || !drive.inside || !drive.sensorWindow) return null;
  return { x: (holder.pocket.lengthMm - holder.cavity.lengthMm) / 2, upMm: holder.exit.upMm, diameterMm: eyeMm };
};
