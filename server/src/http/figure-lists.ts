import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage, ValidationTypes, type ValidationError } from 'class-validator';

type Class = new () => object;
type Rules = Readonly<Record<string, (bound: unknown) => (figure: number) => boolean>>;
type Metadata = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>[number];

/** Shorter lists are checked as everything else is. */
const LONG = 50;

/** The rules of a figure, as the library has them. */
const rules: Rules = {
  isNumber: () => Number.isFinite,
  isInt: () => Number.isInteger,
  min: (least) => (figure) => figure >= (least as number),
  max: (most) => (figure) => figure <= (most as number),
};

interface Figure {
  optional: boolean;
  readonly holds: ((figure: number) => boolean)[];
}

/** A list of a body whose parts hold figures and nothing else. */
interface FigureList {
  readonly field: string;
  readonly least: number;
  readonly most: number;
  /** Whether a part is a right one. What is not proven may still be one: the library tells. */
  readonly proven: (part: unknown) => boolean;
}

const metadataOf = (of: Class): Metadata[] => getMetadataStorage().getTargetValidationMetadatas(of, '', false, false);

/** The figures of a class; undefined where it holds anything else. */
function figuresOf(of: Class): ReadonlyMap<string, Figure> | undefined {
  const figures = new Map<string, Figure>();
  for (const { propertyName, name = '', type, constraints } of metadataOf(of)) {
    const figure = figures.get(propertyName) ?? { optional: false, holds: [] };
    figures.set(propertyName, figure);
    if (type === ValidationTypes.CONDITIONAL_VALIDATION && name === 'isOptional') figure.optional = true;
    else if (rules[name]) figure.holds.push(rules[name](constraints?.[0] as unknown));
    else return undefined;
  }
  return figures.size > 0 ? figures : undefined;
}

function proofBy(figures: ReadonlyMap<string, Figure>): FigureList['proven'] {
  const needed = [...figures].filter(([, { optional }]) => !optional).length;
  return (part) => {
    if (typeof part !== 'object' || part === null) return false;
    let found = 0;
    for (const [name, value] of Object.entries(part as Record<string, unknown>)) {
      const figure = figures.get(name);
      if (!figure || typeof value !== 'number' || !figure.holds.every((rule) => rule(value))) return false;
      if (!figure.optional) found++;
    }
    return found === needed;
  };
}

const known = new WeakMap<Class, readonly FigureList[]>();

function listsOf(of: Class): readonly FigureList[] {
  const found = known.get(of);
  if (found) return found;
  const lists = findLists(of);
  known.set(of, lists);
  return lists;
}

function findLists(of: Class): FigureList[] {
  const all = metadataOf(of);
  return all
    .filter(({ name }) => name === 'isArray')
    .flatMap(({ propertyName: field }) => {
      const type = defaultMetadataStorage.findTypeMetadata(of, field);
      const figures = type?.typeFunction && !type.options.discriminator && figuresOf(type.typeFunction() as Class);
      const bound = (rule: string) => all.find(({ propertyName, name }) => propertyName === field && name === rule)?.constraints[0] as number | undefined; // prettier-ignore
      return figures ? [{ field, least: bound('arrayMinSize') ?? 0, most: bound('arrayMaxSize') ?? Infinity, proven: proofBy(figures) }] : []; // prettier-ignore
    });
}

/** A long list, and what of it is left to check. */
interface Narrowed extends FigureList {
  readonly whole: readonly unknown[];
  /** Places in the whole list of those that are left. */
  readonly left: readonly number[];
}

function narrow(list: FigureList, whole: readonly unknown[], mostIssues: number): Narrowed {
  const left: number[] = [];
  for (let i = 0; i < Math.min(whole.length, list.most) && left.length < mostIssues; i++)
    if (!list.proven(whole[i])) left.push(i);
  for (let i = 0; i < list.least; i++) if (!left.includes(i)) left.push(i);
  return { ...list, whole, left };
}

const sizeError = ({ field, most, whole }: Narrowed): ValidationError => ({
  property: field,
  value: whole,
  constraints: { arrayMaxSize: `${field} must contain no more than ${most} elements` },
});

/**
 * A body whose long lists of figures were looked through in one pass by the rules of its class: 5,000 readings take the library 300 ms.
 * What passed is left out of `toCheck`; what did not, up to `mostIssues` parts of a list, is left for the library to tell of.
 */
export class FigureLists {
  private readonly narrowed: readonly Narrowed[];
  readonly toCheck: unknown;

  constructor(of: Class, body: unknown, mostIssues: number) {
    const given = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};
    this.narrowed = listsOf(of).flatMap((list) => {
      const whole = given[list.field];
      return Array.isArray(whole) && whole.length >= LONG ? [narrow(list, whole, mostIssues)] : [];
    });
    const lists = this.narrowed.map(({ field, whole, left }) => [field, left.map((i) => whole[i])] as const);
    this.toCheck = lists.length > 0 ? { ...given, ...Object.fromEntries(lists) } : body;
  }

  /** What is wrong with the lists as such. */
  get tooLong(): ValidationError[] {
    return this.narrowed.filter(({ whole, most }) => whole.length > most).map(sizeError);
  }

  /** The checked body with its lists whole again. */
  restore(checked: unknown): unknown {
    for (const { field, whole } of this.narrowed) (checked as Record<string, unknown>)[field] = whole;
    return checked;
  }

  /** Issues by their places in the whole lists. */
  placed(errors: readonly ValidationError[]): ValidationError[] {
    return errors.map((error) => {
      const list = this.narrowed.find(({ field }) => field === error.property);
      if (!list) return error;
      const children = error.children?.map((child) => ({ ...child, property: String(list.left[Number(child.property)]) })); // prettier-ignore
      return { ...error, value: list.whole, ...(children && { children }) };
    });
  }
}
