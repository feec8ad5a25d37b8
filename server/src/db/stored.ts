import type { ColumnOptions, ValueTransformer } from 'typeorm';

/** Brings a value of an older shape to the next one. */
type Reader = (older: Record<string, unknown>) => Record<string, unknown>;

const each = (value: unknown, change: (one: object) => object): unknown => {
  if (Array.isArray(value)) return value.map((one: object) => change(one));
  return value === null || value === undefined ? value : change(value as object);
};

const readBy = (readers: readonly Reader[]) => (one: object) => {
  const { v: shape = 1, ...rest } = one as { v?: number };
  return readers.slice(shape - 1).reduce<Record<string, unknown>>((value, reader) => reader(value), rest);
};

/**
 * A column of JSON: an object, or a list of objects. Each is kept with the number of its shape as `v`, 1 where it is missing.
 * `readers` bring what has shape 1 to shape 2, and so on; what is written has the newest shape.
 */
export const stored = (
  options: ColumnOptions = {},
  readers: readonly Reader[] = [],
): ColumnOptions & { readonly transformer: ValueTransformer } => ({
  ...options,
  type: 'jsonb',
  transformer: {
    to: (value: unknown) => each(value, (one) => ({ v: readers.length + 1, ...one })),
    from: (value: unknown) => each(value, readBy(readers)),
  },
});

/** A value of the first shape as such a column holds it, for statements that write many at once. */
export const storedValue = (value: object): object => ({ v: 1, ...value });
