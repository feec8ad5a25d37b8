import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { allKinds, BY_KEY, LOOPS, MOST_LENGTH, OUTLINE } from '@dewpot/contract';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { bodyExamples } from './examples/index.js';

const point = {
  type: 'array',
  items: { type: 'number', minimum: -MOST_LENGTH, maximum: MOST_LENGTH },
  minItems: 2,
  maxItems: 2,
} as const;

/** Things of several kinds: each kind is a schema of its own. */
const ofKinds = () =>
  Object.fromEntries(
    allKinds().map(({ base, by, classes }) => {
      const refs = Object.entries(classes).map(([kind, { name }]) => [kind, `#/components/schemas/${name}`] as const);
      const discriminator = { propertyName: by, mapping: Object.fromEntries(refs) };
      return [base.name, { oneOf: refs.map(([, $ref]) => ({ $ref })), discriminator }];
    }),
  );

/** Schemas with an example of each thing that a route takes. */
const exemplified = (schemas: Record<string, object>) =>
  Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => {
      const example = bodyExamples[name];
      return [name, example ? { ...schema, example } : schema];
    }),
  );

/** The OpenAPI document of the controllers and of the contract's own checks. */
function makeDocument(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder()
    .setTitle('Dew Pot')
    .setDescription('Working and records for casting in reusable moulds')
    .setVersion('1')
    .build();
  const document = SwaggerModule.createDocument(app, config);
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      [BY_KEY]: () => ({ type: 'object' }),
      [OUTLINE]: () => ({ type: 'array', items: point }),
      [LOOPS]: () => ({ type: 'array', items: { type: 'array', items: point } }),
    },
  });
  document.components = {
    ...document.components,
    schemas: exemplified({ ...document.components?.schemas, ...(schemas as Record<string, object>), ...ofKinds() }),
  };
  return document;
}

/** Serves the OpenAPI document at /api/docs. It is made when it is first asked for: a server starts half a second sooner without it. */
export function serveOpenApi(app: INestApplication): void {
  SwaggerModule.setup('api/docs', app, () => makeDocument(app), { jsonDocumentUrl: 'api/openapi.json' });
}
