import type { CutPart, PartLayer } from '../../making/parts/index.js';

/** A length in a name: every format takes letters, digits, “_” and “-”. */
const mm = (value: number): string => `${String(Math.round(value * 100) / 100).replace('.', '_')}MM`;

const through = new Set<PartLayer['operation']>(['cut', 'drill']);

/** The name of a layer in a file: what is done on it, and how deep, as SEAT-9_5MM or CUT-THROUGH-6MM. */
export const layerName = (
  { operation, depthMm }: Pick<PartLayer, 'operation' | 'depthMm'>,
  { thicknessMm }: Pick<CutPart, 'thicknessMm'>,
): string => {
  const name = operation.toUpperCase();
  if (depthMm !== undefined) return `${name}-${mm(depthMm)}`;
  if (!through.has(operation)) return name;
  return thicknessMm > 0 ? `${name}-THROUGH-${mm(thicknessMm)}` : `${name}-THROUGH`;
};
