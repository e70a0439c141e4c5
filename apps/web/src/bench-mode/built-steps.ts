import { inDesign, set } from '@vitrum/core';
import { withTick } from '../bench/readings';
import { changeDesign, useDocument } from '../document/document-store';

const none: readonly string[] = [];

/** The steps of the open job that are done, by their ids; from the document, so that a tick shows at once. */
export const useBuilt = (): readonly string[] => useDocument(({ design }) => design?.proof?.built ?? none);

/** Ticks a step of the build, or takes the tick away; kept with the job. */
export const tickStep = (id: string, done: boolean): void => {
  const { design } = useDocument.getState();
  if (design === null) return;
  const { readings = [], built = [], ...rest } = design.proof ?? {};
  changeDesign([set(inDesign.proof, { ...rest, readings, built: withTick(built, id, done) })]);
};
