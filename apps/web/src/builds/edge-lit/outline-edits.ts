import { drawnSize, set, type DesignChange, type EdgeLitAssembly, type Fields } from '@vitrum/core';

type Drawing = NonNullable<EdgeLitAssembly['sheet']['outline']>;

/** Sheets are at least so large, and at most (mm). */
const [leastMm, mostMm] = [30, 3000];

/** A drawing as the outline of the sheet, at its own size where that is a sheet’s, or as large in its proportions. */
export const takeOutline = (at: Fields<EdgeLitAssembly>['sheet'], drawing: Drawing): DesignChange => {
  const { widthMm, heightMm } = drawnSize(drawing);
  const up = Math.max(1, leastMm / Math.max(1e-6, Math.min(widthMm, heightMm)));
  const down = Math.min(1, mostMm / Math.max(1e-6, widthMm, heightMm));
  const by = up > 1 ? up : down;
  const size = (mm: number): number => Math.min(mostMm, Math.max(leastMm, Math.round(10 * mm * by) / 10));
  return [set(at.outline, drawing), set(at.widthMm, size(widthMm)), set(at.heightMm, size(heightMm))];
};
