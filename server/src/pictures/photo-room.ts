import { fixed, msg } from '@dewpot/core/units';
import type { ServerConfig } from '../config.js';
import { ProblemError } from '../http/problem-error.js';

const MB = 2 ** 20;
/** What the photos of a workshop may take together, unless the server was told otherwise, MB. */
const USUAL = 2_000;

/** What the photos of a workshop may take together, bytes. */
export const mostPhotos = ({ photoMegabytes = USUAL }: Pick<ServerConfig, 'photoMegabytes'>): number =>
  photoMegabytes * MB;

/** There is no room for more photos. `bytes` are taken of `most`. */
export const photosFull = (bytes: number, most: number): ProblemError =>
  new ProblemError(409, msg('server.photosFull'), {
    detail: msg('server.photosTake', { mb: fixed(bytes / MB, 0), most: fixed(most / MB, 0) }),
  });
