import 'reflect-metadata';
import type { ArgumentMetadata } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { sayAll, type Reader } from '@dewpot/locales';
import { validation } from '../http/validation.js';
import { answerTo, questionControllers } from '../script-api/index.js';

const controllers = new Map(questionControllers.map((kind) => [kind.name, new kind()]));

/** Answers a script's question as JSON, in its language. The body is checked here, so that a large one holds nobody up. */
export async function question(controller: string, method: string, body: unknown, reader: Reader): Promise<string> {
  const say = answerTo(reader);
  const asked = controllers.get(controller) as unknown as Record<string, (given?: unknown) => unknown>;
  const [metatype] = Reflect.getMetadata('design:paramtypes', asked, method) as ArgumentMetadata['metatype'][];
  const given = metatype && (await validation.transform(body, { type: 'body', metatype }));
  return JSON.stringify(sayAll(await defined(asked[method])(given), say));
}
