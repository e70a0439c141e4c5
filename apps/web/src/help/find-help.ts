import type { WorkStep } from '@vitrum/core';
import { allPages } from '../builds';
import { sharedHelp } from './shared-help';
import type { FieldHelp, HelpTexts } from './types';

/** A field that can be gone to. */
export interface FoundField extends FieldHelp {
  readonly step: WorkStep;
  readonly label: string;
}

const listed = (texts: HelpTexts): readonly FoundField[] =>
  Object.entries(texts).flatMap(([step, fields]) =>
    Object.entries(fields).map(([label, help]) => ({ step: step as WorkStep, label, ...help })),
  );

/** Every field that a build of this name has, by its label: its own words before those that every sign has. */
export const fieldsOfBuild = async (build: string | undefined): Promise<ReadonlyMap<string, FoundField>> => {
  const own = await allPages.find(({ name }) => name === build)?.loadHelp();
  const all = [...listed(sharedHelp), ...listed(own?.help ?? {})];
  return new Map(all.map((field) => [field.label, field]));
};
