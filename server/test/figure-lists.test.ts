import 'reflect-metadata';
import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { FollowQuestion, MOST_READINGS, ReadingsInput } from '@dewpot/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ProblemError } from '../src/http/problem-error.js';
import { validation } from '../src/http/validation.js';

type Body = Record<string, unknown>;
const NOW = Date.UTC(2026, 11, 1);

/** Where a body is wrong, by the pipe of the application. */
async function refused(body: unknown, metatype: new () => object): Promise<string[]> {
  try {
    expect(await validation.transform(body, { type: 'body', metatype })).toEqual(body);
    return [];
  } catch (error) {
    expect(error).toBeInstanceOf(ProblemError);
    return (error as ProblemError).errors.map(({ field }) => field).sort();
  }
}

/** … and by the library alone. */
async function refusedByLibrary(body: unknown, metatype: new () => object): Promise<string[]> {
  const fields = (errors: readonly ValidationError[], path = ''): string[] =>
    errors.flatMap(({ property, constraints, children }) => [
      ...Object.keys(constraints ?? {}).map(() => path + property),
      ...fields(children ?? [], `${path}${property}.`),
    ]);
  const found: string[] = [];
  const exceptionFactory = (errors: readonly ValidationError[]) => {
    found.push(...fields(errors));
    return new Error('refused');
  };
  const plain = new ValidationPipe({ transform: true, whitelist: true, forbidNonWhitelisted: true, exceptionFactory });
  await plain.transform(body, { type: 'body', metatype }).catch(() => undefined);
  return found.sort();
}

const right = fc.record(
  { at: fc.integer({ min: 0, max: NOW }), temperature: fc.double({ min: -40, max: 60, noNaN: true }), humidity: fc.double({ min: 0, max: 1, noNaN: true }) }, // prettier-ignore
  { requiredKeys: ['at', 'temperature'] },
);
const wrong = fc.oneof(
  fc.constantFrom<unknown>(null, 'soon', 7, [], {}, { at: 'soon', temperature: 3 }, { at: 5 }),
  right.map((one) => ({ ...one, at: -1 })),
  right.map((one) => ({ ...one, temperature: Infinity })),
  right.map((one) => ({ ...one, humidity: null })),
  right.map((one) => ({ ...one, wind: '3' })),
  right.map((one) => ({ ...one, colour: 'red' })),
);

describe('a long list of figures', () => {
  it('is refused where the library alone refuses it, at the same places', async () => {
    const mixed = fc.record({
      readings: fc.array(fc.oneof({ weight: 20, arbitrary: right }, { weight: 1, arbitrary: wrong }), {
        minLength: 40,
        maxLength: 90,
      }),
    });
    await fc.assert(
      fc.asyncProperty(mixed, fc.constantFrom<Body>({}, { more: 1 }), async ({ readings }, more) => {
        const body = { readings, ...more };
        expect(await refused(body, ReadingsInput)).toEqual(await refusedByLibrary(body, ReadingsInput));
      }),
      { numRuns: 60 },
    );
  });

  it('is told from the other lists and fields of its body', async () => {
    const many = (more: object[] = []) => [...Array.from({ length: 80 }, (_, i) => ({ at: i, temperature: 5 })), ...more]; // prettier-ignore
    const body = { place: many(), outdoors: many([{ at: 9 }]), ahead: many(), kind: 'cave' };
    expect(await refused(body, FollowQuestion)).toEqual(await refusedByLibrary(body, FollowQuestion));
    expect(await refused({ ...body, outdoors: many(), kind: 'shed' }, FollowQuestion)).toEqual([]);
  });

  it('that is too long, or is none, is refused as such', async () => {
    const readings = Array.from({ length: MOST_READINGS + 1 }, (_, i) => ({ at: i, temperature: 5 }));
    expect(await refused({ readings }, ReadingsInput)).toEqual(['readings']);
    expect(await refused({ readings: readings.slice(1) }, ReadingsInput)).toEqual([]);
    for (const none of [[], {}, 'many', undefined])
      expect(await refused({ readings: none }, ReadingsInput)).toEqual(await refusedByLibrary({ readings: none }, ReadingsInput)); // prettier-ignore
  });

  it('of nothing but wrong parts is told of by a hundred of them', async () => {
    const body = { readings: Array.from({ length: MOST_READINGS }, () => ({ at: 'soon', temperature: 5 })) };
    const fields = new Set(await refused(body, ReadingsInput));
    expect(fields.size).toBe(100);
    expect(fields).toContain('readings.99.at');
  });
});
