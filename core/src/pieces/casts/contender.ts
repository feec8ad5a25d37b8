import { standing, type CastEvent } from './events.js';

/** What stays even if another of its kind comes: the pour, and the joining, which is undone at the article. */
const lasting: readonly CastEvent['type'][] = ['poured', 'joined', 'assembled', 'voided'];

/**
 * The event on record that another one of the same kind, told later from elsewhere, would take the place of: the last one that
 * stands. None where nothing of its kind stands, or where it cannot be undone by itself.
 */
export function contender({ type, id }: Pick<CastEvent, 'type' | 'id'>, events: readonly CastEvent[]): CastEvent | undefined {
  if (lasting.includes(type)) return undefined;
  return standing(events)
    .filter((one) => one.type === type && one.id !== id)
    .at(-1);
} // prettier-ignore
