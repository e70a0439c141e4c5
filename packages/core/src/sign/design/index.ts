import * as z from 'zod';
import { allBuilds, type Assembly } from '../../builds/index.js';
import type { Result } from '../../base/result.js';
import {
  changedBy,
  designReader,
  designSchemaOf,
  fieldNamesOf,
  fromVersion1,
  type AssemblyMigration,
  type DesignChange,
  type DesignOf,
} from '../../document/design/index.js';

export { addAssembly, copyAssembly, removeAssembly, type AssemblyAdded } from './assembly-edits.js';

/** A design of this program: its assemblies are of the builds that are registered. */
export type Design = DesignOf<Assembly>;

const [first, ...others] = allBuilds.map(({ schema }) => schema);
if (first === undefined) throw new Error('no build is registered');

/** The design document. `docs/design-format.md` is generated from this. */
const designSchema = designSchemaOf([first, ...others]);

/** What each build changed of its own from a version to the next. */
const ofBuilds =
  (from: number): AssemblyMigration =>
  (assembly) =>
    allBuilds.find(({ name }) => name === assembly['build'])?.migrations[from]?.(assembly) ?? assembly;

const names = fieldNamesOf(designSchema);
const reader = designReader<Design>(designSchema, names, [fromVersion1(ofBuilds(1))]);

/**
 * Checks a parsed JSON value against the design document’s schema and returns it as a design, older versions brought to
 * this one, unknown fields kept. Fails with up to 20 problems, each with its dotted path.
 */
export const readDesign = reader.read;

/** The same from the text of a file: broken JSON and oversized files get a sentence too. */
export const parseDesign = reader.parse;

/**
 * `design` with `change` made; untouched parts keep their identity. Throws when a path names no field (a programming
 * error); fails when the values do not make a valid design.
 */
export const applyChange = (design: Design, change: DesignChange): Result<Design> =>
  changedBy(design, change, names, readDesign);

/** Unknown fields are told up to so many. */
const mostTold = 20;

/** Fields of a design that this program does not know, misspelt ones most likely, by their dotted paths. */
export const unknownFields = (design: Design): readonly string[] => names.unknown(design, mostTold);

/** The JSON Schema of the design document (draft 2020-12). */
export const designJsonSchema = (): Record<string, unknown> =>
  z.toJSONSchema(designSchema, { target: 'draft-2020-12' });
