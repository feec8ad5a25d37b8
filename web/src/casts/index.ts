import { lazy } from 'react';

const fetchActions = async () => ({ default: (await import('./cast-actions')).CastActions });

/** The sheet on which something is done to like casts; fetched when the first is opened, or ahead of it. */
export const CastActions = lazy(fetchActions);

/** Fetches the sheet of actions once the screen has settled, so that it opens without a connection too. Answers how to call it off. */
export function fetchActionsAhead(): () => void {
  const timer = setTimeout(() => void fetchActions(), 3000);
  return () => clearTimeout(timer);
}
