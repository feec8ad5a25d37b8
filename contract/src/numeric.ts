import { Transform } from 'class-transformer';

/** Numbers come as text in an address. */
export const Numeric = () =>
  Transform(({ value }: { value: unknown }) => (typeof value === 'string' && value !== '' ? Number(value) : value));
