/** Where a value is kept in a design: a way of keys. Made by `fieldsOf`, so that a way that leads nowhere is no type. */
export interface FieldRef<Value = unknown> {
  readonly [way]: string;
  /** Never there; carries the type of what is kept. */
  readonly [kept]?: Value;
}

const way = Symbol('way');
declare const kept: unique symbol;

/** Named fields alone: loose objects take any name, and a misspelt one must not pass. */
type Named<T> = { [Key in keyof T as string extends Key ? never : number extends Key ? never : Key]: T[Key] };

/** Every field of a shape, by its name; places of a list by `at`. */
export type Fields<T> = FieldRef<T> &
  (NonNullable<T> extends readonly (infer Item)[]
    ? { readonly at: (index: number) => Fields<Item> }
    : NonNullable<T> extends object
      ? { readonly [Key in keyof Named<NonNullable<T>>]-?: Fields<Named<NonNullable<T>>[Key]> }
      : unknown);

/**
 * The fields of a shape as references: `fieldsOf<Design>().brief.text`. The type comes from the schema, so that a reference
 * to a field that is not there does not compile. `root` is the way to the shape itself.
 */
export const fieldsOf = <Shape>(root = ''): Fields<Shape> => {
  const below = (key: string): unknown => fieldsOf(root === '' ? key : `${root}.${key}`);
  return new Proxy(
    { [way]: root },
    {
      get: (target, key) => {
        if (key === way) return target[way];
        if (key === 'at') return (index: number) => below(String(index));
        return typeof key === 'string' ? below(key) : undefined;
      },
    },
  ) as unknown as Fields<Shape>;
};

/** The dotted way of a reference, as problems and changes write it: `power.zones.2.level`. */
export const pathOf = (field: FieldRef): string => field[way];

/** The value that a reference leads to; undefined where the design leaves it out. */
export const valueAt = <Value>(root: unknown, field: FieldRef<Value>): Value | undefined =>
  valueOfPath(root, pathOf(field)) as Value | undefined;

/** The same by a dotted way as plain text. */
export const valueOfPath = (root: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => (value as Record<string, unknown> | null | undefined)?.[key], root);
