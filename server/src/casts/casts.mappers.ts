import type { CastSnapshot, DrySummary, Life } from '@dewpot/core/casts';
import type { CastPictureView, CastRow, CastView } from '@dewpot/contract';
import type { CastEntity, CastPictureEntity } from './casts.entities.js';

/** A cast without what is due to it. */
type BareCast = Omit<CastView, 'dues'>;

/** A cast with the opening of its gate as the forecast of its place moves it. */
export function underForecast(row: CastEntity, outlooks: ReadonlyMap<string, Partial<DrySummary>>): BareCast {
  return { ...castRow(row), dry: { ...row.projection.dry, ...outlooks.get(row.id) } };
}

export function castRow({ id, code, pourId, mouldId, stage, expected, snapshot, projection }: CastEntity): CastRow {
  return { id, code, pourId, mouldId, stage, expected, snapshot, life: projection.life };
}

/** What a cast is listed by: the columns that lists of casts are ordered and chosen by. */
export function listedBy({ mouldName, mixName }: CastSnapshot, { stage, pouredAt, damage, faults = [] }: Life) {
  return { stage, pouredAt, mouldName, mixName, damaged: damage.length + faults.length > 0 };
}

type Pictured = Pick<CastPictureEntity, 'id' | 'at' | 'width' | 'height' | 'eventId'>;

export const castPictureView = ({ id, at, width, height, eventId }: Pictured): CastPictureView => ({
  ...{ id, at, width, height },
  ...(eventId && { eventId }),
});
