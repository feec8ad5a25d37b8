import { msg, type Message } from '@dewpot/core/units';
import { ProblemError } from '../http/problem-error.js';

/** An archive cannot be read. `field` names the file within it. */
export const refuse = (field: string, why: Message, remedy: Message = msg('server.takeArchiveAgain')): ProblemError =>
  ProblemError.refused(msg('server.archiveRefused'), field, null, why, remedy);
