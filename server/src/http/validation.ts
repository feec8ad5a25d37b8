import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { classFor } from '@dewpot/contract';
import type { FieldIssue } from '@dewpot/core/units';
import { ProblemError } from './problem-error.js';

const remedies: Record<string, string> = {
  isNumber: 'Enter a number.',
  isInt: 'Enter a whole number.',
  isString: 'Enter text.',
  isEmail: 'Enter an address like name@example.org.',
  isUuid: 'Send a UUID.',
  isArray: 'Send a list.',
  isIn: 'Choose one of the values offered.',
  whitelistValidation: 'Leave this field out.',
  isBoolean: 'Send true or false.',
  isHexColor: 'Write it like #b9b2a6.',
  arrayMinSize: 'Add at least one.',
  arrayMaxSize: 'Send fewer.',
  maxLength: 'Write less.',
  isLength: 'Mind the length.',
  min: 'Enter a larger number.',
  max: 'Enter a smaller number.',
  isObject: 'Send an object.',
};

/** So many issues are gathered; the answer tells the first of them. */
const MOST_ISSUES = 100;

function issuesOf(errors: readonly ValidationError[], path = ''): FieldIssue[] {
  return errors.slice(0, MOST_ISSUES).flatMap((error) => {
    const field = path ? `${path}.${error.property}` : error.property;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      value: error.value as unknown,
      message: `${message}.`,
      remedy: remedies[rule] ?? 'Correct this value.',
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
    return new ProblemError(422, 'Some values are invalid', {
      detail: issues.map(({ field, message }) => `${field}: ${message}`).join(' '),
      errors: issues,
    });
  },
});
