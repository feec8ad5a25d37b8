import type { DrySummary } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import type { CastEntity } from './casts.entities.js';

/** A cast without what is due to it. */
type BareCast = Omit<CastView, 'dues'>;

function castView({ id, code, pourId, mouldId, stage, expected, snapshot, projection }: CastEntity): BareCast {
  return { id, code, pourId, mouldId, stage, expected, snapshot, ...projection };
}

/** A cast with the opening of its gate as the forecast of its place moves it. */
export function underForecast(row: CastEntity, outlooks: ReadonlyMap<string, Partial<DrySummary>>): BareCast {
  const view = castView(row);
  return { ...view, dry: { ...view.dry, ...outlooks.get(row.id) } };
}
