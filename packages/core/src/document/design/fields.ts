import * as z from 'zod';

/** A name by which the catalogue or the document knows something. */
export const id = z.string().min(1).max(80);

/** A length between two bounds (mm). */
export const lengthMm = (low: number, high: number) => z.number().min(low).max(high);
