import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { classFor } from '@dewpot/contract';
import { msg, type FieldIssue, type Message } from '@dewpot/core/units';
import { ProblemError } from './problem-error.js';

const remedies: Record<string, Message> = {
  isNumber: msg('server.enterNumber'),
  isInt: msg('server.enterWhole'),
  isString: msg('server.enterText'),
  isEmail: msg('server.enterAddress'),
  isUuid: msg('server.sendUuid'),
  isArray: msg('server.sendList'),
  isIn: msg('server.chooseOffered'),
  whitelistValidation: msg('server.leaveOut'),
  isBoolean: msg('server.sendBoolean'),
  isHexColor: msg('server.writeColour'),
  arrayMinSize: msg('server.addOne'),
  arrayMaxSize: msg('server.sendFewer'),
  maxLength: msg('server.writeLess'),
  isLength: msg('server.mindLength'),
  min: msg('server.larger'),
  max: msg('server.smaller'),
  isObject: msg('server.sendObject'),
};

/** So many issues are gathered; the answer tells the first of them. */
const MOST_ISSUES = 100;

function issuesOf(errors: readonly ValidationError[], path = ''): FieldIssue[] {
  return errors.slice(0, MOST_ISSUES).flatMap((error) => {
    const field = path ? `${path}.${error.property}` : error.property;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      value: error.value as unknown,
      message: msg('server.ruleBroken', { text: message, rule }),
      remedy: remedies[rule] ?? msg('server.correct'),
    }));
    return [...own, ...issuesOf(error.children ?? [], field)];
  });
}

/** Checks a body that is of one of several kinds by the class of its kind. */
class KindPipe extends ValidationPipe {
  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const { metatype } = metadata;
    return super.transform(value, metatype ? { ...metadata, metatype: classFor(metatype as never, value) } : metadata);
  }
}

/** Checks every body against its contract class; unknown fields are refused. */
export const validation = new KindPipe({
  transform: true,
  whitelist: true,
  validationError: { target: false },
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => {
    const issues = issuesOf(errors);
    return new ProblemError(422, msg('server.invalid'), {
      detail: issues.map(({ field, message }) => msg('server.fieldIssue', { field, message })),
      errors: issues,
    });
  },
});
