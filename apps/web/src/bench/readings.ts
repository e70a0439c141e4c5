import type { Design } from '@vitrum/core';
import { changeDesign, useDocument } from '../document/document-store';

type Reading = NonNullable<Design['proof']>['readings'][number];

/** The reading kept for a step of commissioning. */
export const readingOf = ({ proof }: Pick<Design, 'proof'>, id: string): Reading | null =>
  proof?.readings.find((reading) => reading.id === id) ?? null;

const without = ({ proof }: Pick<Design, 'proof'>, id: string): readonly Reading[] =>
  (proof?.readings ?? []).filter((reading) => reading.id !== id);

/** The day as 2030-01-31, where the user is. */
export const dayOf = (now: Date): string =>
  [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');

/** Changes the readings as they are now in the document. */
const changeReadings = (edit: (design: Design) => readonly Reading[]): void => {
  const { design } = useDocument.getState();
  if (design !== null) changeDesign([{ path: 'proof', value: { ...design.proof, readings: edit(design) } }]);
};

/** Keeps a reading with the job; a newer one takes its place. */
export const keepReading = (id: string, value: number): void =>
  changeReadings((design) => [...without(design, id), { id, value, on: dayOf(new Date()) }]);

export const strikeReading = (id: string): void => changeReadings((design) => without(design, id));
