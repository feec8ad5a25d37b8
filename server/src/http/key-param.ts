import { msg } from '@dewpot/core/units';
import { Param, ParseUUIDPipe } from '@nestjs/common';
import { ProblemError } from './problem-error.js';

/** The key in the path; anything but a UUID is refused by name. */
export const Key = () =>
  Param(
    'id',
    new ParseUUIDPipe({
      exceptionFactory: () => new ProblemError(404, msg('server.notHere'), { detail: msg('server.keyNotUuid') }),
    }),
  );
