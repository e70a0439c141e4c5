import type { AssemblyMigration } from '../../document/design/index.js';

type Plain = Readonly<Record<string, unknown>>;

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Strip that was pushed by hand named its segment `piece`. */
const renamed = (moved: unknown): unknown => {
  if (!isPlain(moved) || !('piece' in moved)) return moved;
  const { piece, ...rest } = moved;
  return { ...rest, segment: piece };
};

const fromVersion1: AssemblyMigration = (assembly) => {
  const { light } = assembly;
  if (!isPlain(light) || !Array.isArray(light['moved'])) return assembly;
  return { ...assembly, light: { ...light, moved: light['moved'].map(renamed) } };
};

/** How letters of older versions become letters of this one, by the version they start from. */
export const letterMigrations = { 1: fromVersion1 } as const;
