import * as z from 'zod';

/** The names that a schema gives to fields: to tell unknown ones, and to let those be set that a design leaves out. */
export interface FieldNames {
  /** Whether a dotted path names a field of the schema; `root` tells which member of a union each part is. */
  readonly has: (path: string, root: unknown) => boolean;
  /** Paths of the fields of `root` that the schema does not know, at most `most` of them. */
  readonly unknown: (root: unknown, most: number) => readonly string[];
}

type Schema = z.core.$ZodType;

interface Definition {
  readonly innerType?: Schema;
  readonly element?: Schema;
  readonly options?: readonly Schema[];
  readonly discriminator?: string;
  readonly shape?: Readonly<Record<string, Schema>>;
}

const definitionOf = (schema: Schema): Definition => schema._zod.def as unknown as Definition;

/** The schema under its wrappings: optional, nullable. */
const bared = (schema: Schema): Schema => {
  const { innerType } = definitionOf(schema);
  return innerType === undefined ? schema : bared(innerType);
};

/** The members that a value may be of: one where a discriminator tells it, all where nothing does. */
const membersFor = (schema: Schema, value: unknown): readonly Definition[] => {
  const definition = definitionOf(bared(schema));
  const { options, discriminator } = definition;
  if (options === undefined) return [definition];
  const members = options.flatMap((option) => membersFor(option, value));
  if (discriminator === undefined || typeof value !== 'object' || value === null) return members;
  const told = (value as Readonly<Record<string, unknown>>)[discriminator];
  return members.filter(({ shape }) => {
    const literal = shape?.[discriminator];
    return literal !== undefined && z.core.safeParse(literal, told).success;
  });
};

/** The schemas of what `key` names in a value of `schema`; none when it names nothing. */
const below = (schema: Schema, key: string, value: unknown): readonly Schema[] =>
  membersFor(schema, value).flatMap(({ element, shape }) => {
    if (element !== undefined) return /^\d+$/.test(key) ? [element] : [];
    const own = shape !== undefined && Object.hasOwn(shape, key) ? shape[key] : undefined;
    return own === undefined ? [] : [own];
  });

const partOf = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Readonly<Record<string, unknown>>)[key] : undefined;

/** The names that `schema` gives. Unknown fields are looked for in time linear in the size of the value. */
export const fieldNamesOf = (schema: Schema): FieldNames => {
  const collect = (value: unknown, at: readonly Schema[], path: string, found: string[], most: number): void => {
    if (typeof value !== 'object' || value === null) return;
    // Where nothing is said of what is inside, everything is known.
    if (
      at.every((each) =>
        membersFor(each, value).every(({ element, shape }) => element === undefined && shape === undefined),
      )
    )
      return;
    if (Array.isArray(value)) {
      const elements = at.flatMap((each) => below(each, '0', value));
      if (elements.length > 0) {
        // Of a long list of numbers there is nothing to tell.
        for (let index = 0; index < value.length && found.length < most; index += 1)
          if (typeof value[index] === 'object') collect(value[index], elements, `${path}${index}.`, found, most);
        return;
      }
    }
    for (const [key, inner] of Object.entries(value)) {
      if (found.length >= most) return;
      const named = at.flatMap((each) => below(each, key, value));
      if (named.length === 0) found.push(`${path}${key}`);
      else collect(inner, named, `${path}${key}.`, found, most);
    }
  };
  return {
    has: (path, root) => {
      let [at, value]: [readonly Schema[], unknown] = [[schema], root];
      for (const key of path.split('.')) {
        at = at.flatMap((each) => below(each, key, value));
        value = partOf(value, key);
      }
      return at.length > 0;
    },
    unknown: (root, most) => {
      const found: string[] = [];
      collect(root, [schema], '', found, most);
      return found;
    },
  };
};
