/**
 * What must be there by what the program itself has made sure of before.
 * @throws Error where it is not: a fault of the program, never of what was entered
 */
export function defined<T>(value: T | undefined | null): T {
  if (value === undefined || value === null) throw new Error('Something that must be there is missing.');
  return value;
}
