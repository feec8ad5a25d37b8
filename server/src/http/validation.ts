import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { classFor } from '@dewpot/contract';
import { msg, type FieldIssue, type Message } from '@dewpot/core/units';
import { FigureLists } from './figure-lists.js';
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

/** What the library found wrong with a body. */
class WrongBody extends Error {
  constructor(readonly found: readonly ValidationError[]) {
    super(WrongBody.name);
  }
}

function problemOf(found: readonly ValidationError[]): ProblemError {
  const errors = issuesOf(found);
  const detail = errors.map(({ field, message }) => msg('server.fieldIssue', { field, message }));
  return new ProblemError(422, msg('server.invalid'), { detail, errors });
}

/** Checks a body that is of one of several kinds by the class of its kind, and its long lists of figures in one pass. */
class BodyPipe extends ValidationPipe {
  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    if (!metadata.metatype) return super.transform(value, metadata);
    const metatype = classFor(metadata.metatype as never, value);
    const lists = new FigureLists(metatype, value, MOST_ISSUES);
    try {
      const checked: unknown = await super.transform(lists.toCheck, { ...metadata, metatype });
      if (lists.tooLong.length > 0) throw new WrongBody([]);
      return lists.restore(checked);
    } catch (error) {
      if (error instanceof WrongBody) throw problemOf([...lists.placed(error.found), ...lists.tooLong]);
      throw error;
    }
  }
}

/** Checks every body against its contract class; unknown fields are refused. */
export const validation = new BodyPipe({
  transform: true,
  whitelist: true,
  validationError: { target: false },
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => new WrongBody(errors),
});
