import * as contract from '@dewpot/contract';
import type { Type } from '@nestjs/common';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { bodyExamples } from '../src/http/examples/index.js';
import { validation } from '../src/http/validation.js';
import { startServer, visitor, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const classes = contract as unknown as Record<string, Type<object> | undefined>;

interface Body {
  readonly schema?: { readonly $ref?: string };
  readonly examples?: object;
}
interface Operation {
  readonly requestBody?: { readonly content: Record<string, Body | undefined> };
}

it('of every body stand in the API’s document', async () => {
  const { body } = await visitor(harness).get('/api/openapi.json').expect(200);
  const operations = Object.entries(body.paths as Record<string, Record<string, Operation>>).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, { requestBody }]) => ({ route: `${method} ${path}`, json: requestBody?.content['application/json'] })),
  );
  const schemas = body.components.schemas as Record<string, { example?: object }>;
  const lacking = operations.filter(({ json }) => {
    const name = json?.schema?.$ref?.split('/').at(-1);
    return json && !json.examples && !schemas[name ?? '']?.example;
  });
  expect(operations.filter(({ json }) => json).length).toBeGreaterThan(80);
  expect(lacking.map(({ route }) => route)).toEqual([]);
}); // prettier-ignore

it.each(Object.entries(bodyExamples))('of %s is taken as it stands', async (name, example) => {
  const metatype = classes[name]!;
  const taken = (await validation.transform(structuredClone(example), { type: 'body', metatype })) as object;
  expect(JSON.parse(JSON.stringify(taken))).toEqual(example);
});
