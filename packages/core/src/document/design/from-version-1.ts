import type { AssemblyMigration, Migration } from './migrate.js';

type Plain = Readonly<Record<string, unknown>>;

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const objectOf = (value: unknown): Plain => (isPlain(value) ? value : {});
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Those of `keys` that are there, each as `map` makes it. */
const mapped = (from: Plain, keys: readonly string[], map: (value: unknown) => unknown): Plain =>
  Object.fromEntries(keys.filter((key) => key in from).map((key) => [key, map(from[key])]));

/** An object with a key called by another name. */
const renamed = (value: unknown, from: string, to: string, map: (inner: unknown) => unknown = (inner) => inner) => {
  if (!isPlain(value) || !(from in value)) return value;
  const { [from]: inner, ...rest } = value;
  return { ...rest, [to]: map(inner) };
};

const eachOf = (map: (item: unknown) => unknown) => (value: unknown) => (Array.isArray(value) ? value.map(map) : value);

/** Numbers of pieces, as they stood alone while a sign was one assembly, made into references. */
const migratedPower = (power: Plain, assembly: unknown): Plain => {
  const refer = (segment: unknown): unknown => ({ assembly, segment });
  const pointed = (value: unknown): unknown =>
    isPlain(value) && 'piece' in value ? { assembly, ...objectOf(renamed(value, 'piece', 'segment')) } : value;
  return {
    ...power,
    ...mapped(power, ['chainsBegin', 'chainsCarryOn', 'fedBackward', 'fedForward'], eachOf(refer)),
    ...mapped(power, ['injections'], eachOf(pointed)),
    ...mapped(
      power,
      ['zones'],
      eachOf((zone) => renamed(zone, 'pieces', 'segments', eachOf(refer))),
    ),
    ...mapped(
      power,
      ['seriesPairs'],
      eachOf((pair) => (isPlain(pair) ? { ...pair, ...mapped(pair, ['first', 'second'], refer) } : pair)),
    ),
  };
};

const pieceReading = /^piece-(\d+)$/;

/** Readings named the piece in their id. */
const migratedReading =
  (assembly: unknown) =>
  (reading: unknown): unknown => {
    if (!isPlain(reading) || typeof reading['id'] !== 'string') return reading;
    const piece = pieceReading.exec(reading['id'])?.[1];
    if (piece !== undefined) return { ...reading, id: 'segment', at: { assembly, segment: Number(piece) } };
    return reading['id'].startsWith('soak-') ? { ...reading, at: { assembly } } : reading;
  };

const migratedAssembly =
  (ofBuild: AssemblyMigration) =>
  (assembly: unknown): unknown =>
    isPlain(assembly) ? { ...ofBuild(assembly), place: { on: null, xMm: 0, yMm: 0, turnDeg: 0 } } : assembly;

/**
 * Version 2: a sign has several assemblies, each with its place, and segments of strip are named by the assembly and the
 * number there. `ofBuild` does what each build changed of its own.
 */
export const fromVersion1 = (ofBuild: AssemblyMigration): Migration => ({
  from: 1,
  apply: (design) => {
    const assemblies = listOf(design['assemblies']);
    const [only] = assemblies;
    const first = objectOf(only)['id'];
    const proof = design['proof'];
    return {
      ...design,
      ...(Array.isArray(design['assemblies']) ? { assemblies: assemblies.map(migratedAssembly(ofBuild)) } : {}),
      ...(isPlain(design['power']) ? { power: migratedPower(design['power'], first) } : {}),
      ...(isPlain(proof) && Array.isArray(proof['readings'])
        ? { proof: { ...proof, readings: proof['readings'].map(migratedReading(first)) } }
        : {}),
    };
  },
});
