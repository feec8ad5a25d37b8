import { isForgotten, type LessonsSince } from '@dewpot/core/findings';
import type { SwatchView, TintView } from '@dewpot/contract';
import { versionKey } from '../db/revisions.js';
import type { SwatchEntity, TintEntity } from './tints.entities.js';

/** `used` holds the keys of the versions that were poured. */
export const tintView = ({ id, version, name, body, revision }: TintEntity, used: ReadonlySet<string>): TintView => ({
  id,
  version,
  name,
  ...body,
  revision,
  used: used.has(versionKey({ id, revision })),
});

/** `forgotten`: what of the workshop's lessons no longer counts. */
export const swatchView = (
  { id, version, name, body }: SwatchEntity,
  forgotten: readonly LessonsSince[],
): SwatchView => ({
  id,
  version,
  name,
  ...body,
  ...(body.measured && isForgotten({ doses: body.doses, at: body.measured.at }, forgotten) && { forgotten: true }),
});
