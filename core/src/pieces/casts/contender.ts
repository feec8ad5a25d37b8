import { standing, type CastEvent } from './events.js';

/** What is not undone by itself: the pour, and the joining, which is undone at the article. */
const lasting: readonly CastEvent['type'][] = ['poured', 'joined', 'assembled'];

/** Whether an event of this kind can be undone by itself. */
export const canUndo = ({ type }: Pick<CastEvent, 'type'>): boolean => !lasting.includes(type);

/**
 * The event on record that another one of the same kind, told later from elsewhere, would take the place of: the last one that
 * stands. None where nothing of its kind stands, or where it cannot be undone by itself.
 */
export const contender = (own: Pick<CastEvent, 'type' | 'id'>, events: readonly CastEvent[]): CastEvent | undefined =>
  standing(events)
    .filter((one) => one.type === own.type && one.id !== own.id && canUndo(one))
    .at(-1);
