import { inDesign, set, type CommissionStep, type Design } from '@vitrum/core';
import { create } from 'zustand';
import { changeDesign, useDocument } from '../document/document-store';
import { dayOf } from '../view/day-of';

type Reading = NonNullable<Design['proof']>['readings'][number];

/** What was measured, and where. */
export type ReadingKey = Pick<CommissionStep, 'id' | 'at'>;

const isOf =
  ({ id, at }: ReadingKey) =>
  (reading: Reading): boolean =>
    reading.id === id && reading.at?.assembly === at?.assembly && reading.at?.segment === at?.segment;

/** The reading kept for a step of commissioning. */
export const readingOf = ({ proof }: Pick<Design, 'proof'>, key: ReadingKey): Reading | null =>
  proof?.readings.find(isOf(key)) ?? null;

const without = ({ proof }: Pick<Design, 'proof'>, key: ReadingKey): readonly Reading[] =>
  (proof?.readings ?? []).filter((reading) => !isOf(key)(reading));

/** Changes the readings as they are now in the document. */
const changeReadings = (edit: (design: Design) => readonly Reading[]): void => {
  const { design } = useDocument.getState();
  if (design !== null) changeDesign([set(inDesign.proof, { ...design.proof, readings: edit(design) })]);
};

/** How warm it is where this page measures, as it was typed (°C); not kept, for tomorrow it is another. */
export const useRoom = create<{ readonly roomC: number | null }>()(() => ({ roomC: null }));

/** Keeps a reading with the job, and how warm it was; a newer one takes its place. */
export const keepReading = ({ id, at }: ReadingKey, value: number): void => {
  const { roomC } = useRoom.getState();
  changeReadings((design) => [
    ...without(design, { id, at }),
    { id, ...(at === null ? {} : { at }), value, on: dayOf(new Date()), ...(roomC === null ? {} : { roomC }) },
  ]);
};

export const strikeReading = (key: ReadingKey): void => changeReadings((design) => without(design, key));

/** The tests that are ticked, with one more or one fewer. */
export const withTick = (ticked: readonly string[], key: string, isTicked: boolean): readonly string[] =>
  isTicked ? [...new Set([...ticked, key])] : ticked.filter((each) => each !== key);

/** Ticks a test of a segment in the document as it is now, or takes the tick away. */
export const tickTest = (key: string, isTicked: boolean): void => {
  const { design } = useDocument.getState();
  if (design === null) return;
  const { readings = [], ticked = [], ...rest } = design.proof ?? {};
  changeDesign([set(inDesign.proof, { ...rest, readings, ticked: withTick(ticked, key, isTicked) })]);
};
