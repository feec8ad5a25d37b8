import { Type } from 'class-transformer';
import { Allow, getMetadataStorage, IsObject, ValidateNested } from 'class-validator';
import { every, sized, type Size } from './limits.js';

type Class<T extends object = object> = new () => T;
type Classes = Readonly<Record<string, Class>>;

/** Classes that stand for the kinds of one thing; the value of the field `by` tells which. */
export interface Kinds<C extends Classes = Classes> {
  readonly base: Class;
  readonly by: string;
  readonly classes: C;
  /** Stands where the kind is none of these: its fields are let through, so that the kind alone is told of. */
  readonly unknown: Class;
}

/** Any of the kinds of a thing. */
export type AnyOf<K extends Kinds> = InstanceType<K['classes'][keyof K['classes']]>;

/** Each of several kinds without some of its fields. */
export type Without<E, K extends PropertyKey> = E extends unknown ? Omit<E, K> : never;

const known = new Map<Class, Kinds>();

/** Every thing that has kinds. */
export const allKinds = (): readonly Kinds[] => [...known.values()];

/** Names the classes of the kinds of a thing. `base` holds what all have: among it the field `by`, checked to be one of the kinds. */
export function kindsOf<C extends Classes>(base: Class, by: string, classes: C): Kinds<C> {
  const unknown = class extends base {};
  // The document of the API finds the schema of all kinds under the name of the base.
  Object.defineProperty(unknown, 'name', { value: base.name });
  for (const one of Object.values(classes))
    for (const { propertyName } of getMetadataStorage().getTargetValidationMetadatas(one, '', false, false))
      Allow()(unknown.prototype as object, propertyName);
  const kinds = { base, by, classes, unknown };
  known.set(base, kinds);
  return kinds;
}

/** The class that a value is checked by: that of its kind where `asked` has kinds. */
export function classFor(asked: Class, given: unknown): Class {
  const kinds = known.get(asked);
  if (!kinds) return asked;
  const kind = typeof given === 'object' && given !== null ? (given as Record<string, unknown>)[kinds.by] : undefined;
  return typeof kind === 'string' && Object.hasOwn(kinds.classes, kind)
    ? (kinds.classes[kind] ?? kinds.unknown)
    : kinds.unknown;
}

/** A thing by its kind, once it has passed the checks of the class of its kind. */
export const byKind = <K extends Kinds>(_: K, checked: InstanceType<K['base']>): AnyOf<K> => checked as AnyOf<K>;

const OfKind = ({ by, classes, unknown }: Kinds) =>
  Type(() => unknown, {
    discriminator: { property: by, subTypes: Object.entries(classes).map(([name, value]) => ({ name, value })) },
    keepDiscriminatorProperty: true,
  });

/** A part that is of one of several kinds. */
export const PartOfKind = (kinds: Kinds) => every(IsObject(), ValidateNested(), OfKind(kinds));

/** A list of parts, each of one of several kinds. */
export const ListOfKind = (kinds: Kinds, size: Size) =>
  every(...sized(size), IsObject({ each: true }), ValidateNested({ each: true }), OfKind(kinds));
